package tidylantern.server.traffic;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.security.autoconfigure.web.servlet.SecurityFilterProperties;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import tidylantern.server.platform.DiskRoom;
import tidylantern.server.platform.PrivateFiles;
import tidylantern.server.platform.Problems;
import tidylantern.server.platform.Settings;

/** In which order the filters of this package stand. */
@Configuration
class TrafficFilters {
    private static final Logger LOG = LoggerFactory.getLogger(TrafficFilters.class);
    private static final int MOST_BODIES_OF_ONE_CLIENT = 20;
    private static final int MOST_BODIES = 300;

    private final Shares bodiesUnderWay = new Shares(MOST_BODIES_OF_ONE_CLIENT, MOST_BODIES);

    @Bean
    FilterRegistrationBean<RequestHeadCheck> requestHeadCheck(Problems problems) {
        return at(Ordered.HIGHEST_PRECEDENCE + 10, new RequestHeadCheck(problems), DispatcherType.REQUEST);
    }

    /** Around everything behind it that may refuse a request by its head. */
    @Bean
    FilterRegistrationBean<UnreadBodies> unreadBodies() {
        return at(Ordered.HIGHEST_PRECEDENCE + 9, new UnreadBodies(bodiesUnderWay), DispatcherType.REQUEST);
    }

    @Bean
    FilterRegistrationBean<AnswerRate> answerRate(Settings settings, Clock clock, Problems problems) {
        // Behind security, which says in the refusal that the site's own script may read it.
        return at(
                SecurityFilterProperties.DEFAULT_FILTER_ORDER + 10,
                new AnswerRate(settings.answersPerSecond(), clock, problems),
                DispatcherType.REQUEST);
    }

    @Bean
    FilterRegistrationBean<BodyIntake> shortBodies(Problems problems, DiskRoom room) {
        return at(
                Ordered.HIGHEST_PRECEDENCE + 11,
                new BodyIntake(problems, bodiesUnderWay, room, null),
                DispatcherType.REQUEST);
    }

    @Bean
    FilterRegistrationBean<BodyIntake> otherBodies(Problems problems, Settings settings, DiskRoom room) {
        Path folder = settings.data().resolve("arriving");
        clear(folder);
        return at(
                Ordered.LOWEST_PRECEDENCE - 10,
                new BodyIntake(problems, bodiesUnderWay, room, folder),
                DispatcherType.REQUEST);
    }

    /** Reached once more when the body is there, which is a dispatch of its own kind. */
    @Bean
    FilterRegistrationBean<ReceivedBodyRequests> receivedBodyRequests() {
        return at(Ordered.HIGHEST_PRECEDENCE + 12, new ReceivedBodyRequests(), DispatcherType.ASYNC);
    }

    /** Whatever a service that was killed left behind belongs to nobody. */
    private static void clear(Path folder) {
        try {
            PrivateFiles.makeFolder(folder);
            try (Stream<Path> left = Files.list(folder)) {
                for (Path file : left.toList()) {
                    Files.deleteIfExists(file);
                }
            }
        } catch (IOException failure) {
            LOG.warn("The folder {} cannot be used; large bodies will be refused", folder, failure);
        }
    }

    private static <F extends Filter> FilterRegistrationBean<F> at(int order, F filter, DispatcherType when) {
        FilterRegistrationBean<F> registration = new FilterRegistrationBean<>(filter);
        registration.setOrder(order);
        registration.setDispatcherTypes(when);
        registration.setAsyncSupported(true);
        return registration;
    }
}
