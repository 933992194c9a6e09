package syntoma.app.store;

import com.zaxxer.hikari.HikariDataSource;
import jakarta.persistence.EntityManagerFactory;
import java.io.IOException;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.autoconfigure.flyway.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The store's parts, wired. */
@Configuration
public class StoreConfig {
    /** H2 writes where it is asked to, not behind anybody's back; see {@link Force}. */
    private static final String SETTINGS = ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE";

    /** As many as requests are worked on at a time, one for an import, one to force. */
    private static final int CONNECTIONS = 26;

    /** Notes the store as closed after the last connection is gone. */
    private static final class Store extends HikariDataSource {
        private final StoreFiles files;

        private Store(StoreFiles files) {
            this.files = files;
        }

        @Override
        public void close() {
            super.close();
            try {
                StoreCheck.noteClosing(files);
            } catch (IOException unnoted) {
                throw new java.io.UncheckedIOException(unnoted);
            }
        }
    }

    /** The data directory as it was said to the start: a property's value would be read for placeholders. */
    @Bean
    StoreFiles storeFiles(ApplicationArguments said) {
        List<String> data = said.getOptionValues("syntoma.data");
        return StoreFiles.in(data == null || data.isEmpty() ? StoreFiles.OWN : data.get(0));
    }

    @Bean
    StoreAddress storeAddress(StoreFiles files) {
        return StoreAddress.of(files.dir().toString());
    }

    /** The store in the data directory, or the one that is given for tests. */
    @Bean(destroyMethod = "close")
    DataSource dataSource(StoreFiles files, StoreAddress address, @Value("${syntoma.store:}") String given) {
        HikariDataSource source = given.isEmpty() ? new Store(files) : new HikariDataSource();
        source.setJdbcUrl((given.isEmpty() ? address.jdbc(StoreFiles.DATABASE) : given) + SETTINGS);
        source.setUsername("sa");
        source.setPassword("");
        source.setMaximumPoolSize(CONNECTIONS);
        return source;
    }

    @Bean
    Force force(DataSource source, StoreFiles files, StoreAddress address) {
        return new Force(source, files, address);
    }

    @Bean
    Revision revision() {
        return new Revision();
    }

    @Bean
    Pen pen() {
        return new Pen();
    }

    @Bean
    ForcedTransactions transactionManager(EntityManagerFactory entities, Pen pen, Force force, Revision revision) {
        return new ForcedTransactions(entities, pen, force, revision);
    }

    @Bean
    LeadsByKey leadsByKey() {
        return new LeadsByKey();
    }

    /** A store of its own has its layout before it is opened; see {@link StoreLayout}. */
    @Bean
    FlywayMigrationStrategy layout(Force force) {
        return flyway -> {
            flyway.migrate();
            force.force();
        };
    }
}
