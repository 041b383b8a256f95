package tidylantern.server.platform;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The clock everybody reads, so that a test can set it. */
@Configuration
class Time {
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
