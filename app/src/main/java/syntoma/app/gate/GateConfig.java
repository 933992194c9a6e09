package syntoma.app.gate;

import jakarta.servlet.DispatcherType;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import syntoma.app.store.StoreFiles;

/** Where the gate stands: right after those who decide who may call. */
@Configuration
class GateConfig {
    private static final int AFTER_THE_GUARD = Ordered.HIGHEST_PRECEDENCE + 20;

    @Bean
    FilterRegistrationBean<Gate> gate(StoreFiles files) throws IOException {
        Path spool = Files.isDirectory(files.spool()) ? files.spool() : Files.createTempDirectory("syntoma-spool");
        FilterRegistrationBean<Gate> gate = new FilterRegistrationBean<>(new Gate(spool));
        gate.setOrder(AFTER_THE_GUARD);
        gate.setDispatcherTypes(DispatcherType.REQUEST, DispatcherType.ASYNC);
        return gate;
    }
}
