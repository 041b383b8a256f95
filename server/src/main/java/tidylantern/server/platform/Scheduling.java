package tidylantern.server.platform;

import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.annotation.EnableScheduling;

/**
 * What is done again and again is done by Spring's scheduler, on a few threads that all features share; what fails is
 * logged, and its time comes again.
 */
@Configuration
@EnableScheduling
class Scheduling {}
