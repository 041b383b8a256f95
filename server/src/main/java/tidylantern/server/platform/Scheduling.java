package tidylantern.server.platform;

import org.springframework.boot.task.ThreadPoolTaskSchedulerCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.annotation.EnableScheduling;
import tidylantern.core.index.GivingWay;

/**
 * What is done again and again is done by Spring's scheduler, on a few threads that all features share; what fails is
 * logged, and its time comes again. Visitors' answers go before all of it.
 */
@Configuration
@EnableScheduling
class Scheduling {
    @Bean
    ThreadPoolTaskSchedulerCustomizer givingWay() {
        return scheduler -> scheduler.setThreadPriority(GivingWay.PRIORITY);
    }
}
