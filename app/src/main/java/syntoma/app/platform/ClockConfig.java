package syntoma.app.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The time. With the demo data it starts at the last evening of the demo log and runs on from there. */
@Configuration
class ClockConfig {
    @Bean
    Clock clock(
            @Value("${syntoma.demo}") boolean demo,
            @Value("${syntoma.demo-now:2026-09-05T21:12:00+02:00}") String start) {
        if (!demo) {
            return Clock.system(ZoneId.systemDefault());
        }
        OffsetDateTime from = OffsetDateTime.parse(start);
        Clock here = Clock.system(from.getOffset());
        return Clock.offset(here, Duration.between(Instant.now(here), from.toInstant()));
    }
}
