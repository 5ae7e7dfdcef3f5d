package whipsaw.app;

import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import whipsaw.core.design.Solver;
import whipsaw.core.table.CodeTables;

/** The server. */
@SpringBootApplication
public class Application {

    @Bean
    CodeTables codeTables() {
        return CodeTables.shipped();
    }

    @Bean
    Solver solver(CodeTables tables) {
        return new Solver(tables);
    }
}
