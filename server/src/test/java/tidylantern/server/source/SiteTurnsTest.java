package tidylantern.server.source;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tidylantern.server.key.SiteKey;

/** However many runs one site begins, those of another do not wait for it. */
class SiteTurnsTest {
    private static final SiteKey SLOW = new SiteKey("slow");
    private static final SiteKey OTHER = new SiteKey("other");

    @Test
    void aSiteWhoseRunsHangHoldsNobodyElse() throws InterruptedException {
        SiteTurns turns = new SiteTurns(4, 2);
        CountDownLatch hanging = new CountDownLatch(1);
        CountDownLatch held = new CountDownLatch(2);
        ConcurrentLinkedQueue<String> ran = new ConcurrentLinkedQueue<>();
        IntStream.range(0, 6)
                .forEach(n -> turns.add(SLOW, () -> {
                    held.countDown();
                    awaits(hanging);
                    ran.add("slow");
                }));
        held.await();
        CountDownLatch other = new CountDownLatch(1);
        turns.add(OTHER, () -> {
            ran.add("other");
            other.countDown();
        });
        other.await();
        assertThat(List.copyOf(ran)).containsExactly("other");
        CountDownLatch all = new CountDownLatch(1);
        hanging.countDown();
        turns.add(SLOW, all::countDown);
        all.await();
        assertThat(turns.stop(10_000)).isTrue();
        assertThat(ran).hasSize(7);
    }

    @Test
    void aRunThatFailsLeavesItsThread() throws InterruptedException {
        SiteTurns turns = new SiteTurns(1, 1);
        turns.add(OTHER, () -> {
            throw new IllegalStateException("as a test wants it");
        });
        CountDownLatch next = new CountDownLatch(1);
        turns.add(OTHER, next::countDown);
        next.await();
        assertThat(turns.stop(10_000)).isTrue();
    }

    private static void awaits(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
