package syntoma.app;

import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import syntoma.app.store.StoreFiles;

/** Tests that run beside each other have a data directory each. */
@TestConfiguration
public class ForkFiles {
    @Bean
    @Primary
    StoreFiles forkFiles() {
        return files();
    }

    public static StoreFiles files() {
        return StoreFiles.in("target/test-data/" + ProcessHandle.current().pid());
    }
}
