package tidylantern.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** What is to be done again and again is done again and again. */
class RepeatingTest {
    @Test
    void aFailureEndsNothing() throws InterruptedException {
        CountDownLatch times = new CountDownLatch(3);
        try (ScheduledExecutorService schedule = Executors.newSingleThreadScheduledExecutor()) {
            Repeating.every(Duration.ofMillis(1), schedule, "This", () -> {
                times.countDown();
                throw new IllegalStateException("as it does each time");
            });
            assertThat(times.await(30, TimeUnit.SECONDS)).as("it goes on").isTrue();
            schedule.shutdownNow();
        }
    }
}
