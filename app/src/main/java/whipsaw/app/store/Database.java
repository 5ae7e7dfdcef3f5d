package whipsaw.app.store;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.PropertySource;

/** The database of the data folder: write-ahead log, full synchronous commits, transactions that take the write lock when they begin. */
@Configuration
class Database {
    private static final String DATA = "whipsaw.data";

    /** How SQLite is used; every connection is opened with it. */
    private static final Map<String, String> PRAGMAS = Map.of(
            "journal_mode", "WAL",
            "synchronous", "FULL",
            "foreign_keys", "true",
            // a slow disk may hold the lock for seconds: a person waits rather than is refused
            "busy_timeout", "20000",
            "transaction_mode", "IMMEDIATE");

    /** The folder as it was given: nothing in its name is taken for a placeholder. */
    @Bean
    DataFolder dataFolder(ConfigurableEnvironment environment) {
        for (PropertySource<?> source : environment.getPropertySources()) {
            Object given = source.getName().equals("configurationProperties") ? null : source.getProperty(DATA);
            if (given != null) {
                return new DataFolder(Path.of(given.toString()));
            }
        }
        throw new IllegalStateException(DATA + " is not set");
    }

    @Bean
    HikariDataSource dataSource(
            DataFolder folder, @Value("${spring.datasource.hikari.maximum-pool-size}") int connections) {
        HikariDataSource source = new HikariDataSource();
        source.setJdbcUrl(StoredFile.url(folder.database()));
        source.setMaximumPoolSize(connections);
        PRAGMAS.forEach(source::addDataSourceProperty);
        return source;
    }
}
