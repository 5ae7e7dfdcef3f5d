package whipsaw.app;

import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import whipsaw.core.table.CodeTables;

/** The server. */
@SpringBootApplication
public class Application {

    @Bean
    CodeTables shippedTables() {
        return CodeTables.shipped();
    }
}
