package syntoma.app.platform;

import java.time.OffsetDateTime;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock that everything asks. */
@Configuration
class ClockConfig {
    @Bean
    LogClock clock(
            @Value("${syntoma.demo}") boolean demo,
            @Value("${syntoma.demo-now:2026-09-05T21:12:00+02:00}") String evening) {
        return new LogClock(OffsetDateTime.parse(evening), demo);
    }
}
