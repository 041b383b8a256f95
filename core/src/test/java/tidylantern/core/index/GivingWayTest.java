package tidylantern.core.index;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class GivingWayTest {
    @Test
    void allPartsOfAWorkAreDoneOnThreadsOfTheLowestPriority() {
        Set<Integer> priorities = GivingWay.onAllProcessors(() -> IntStream.range(0, 10_000)
                .parallel()
                .mapToObj(n -> Thread.currentThread().getPriority())
                .collect(Collectors.toSet()));
        assertThat(priorities).containsExactly(Thread.MIN_PRIORITY);
        int alone = GivingWay.alone(() -> Thread.currentThread().getPriority());
        assertThat(alone).isEqualTo(Thread.MIN_PRIORITY);
        assertThat(GivingWay.threads("named-").newThread(() -> {}).getPriority())
                .isEqualTo(Thread.MIN_PRIORITY);
    }

    @Test
    void whatAWorkThrowsIsThrownAsItWas() {
        UncheckedIOException reason = new UncheckedIOException(new IOException("no room"));
        assertThatThrownBy(() -> GivingWay.alone(() -> {
                    throw reason;
                }))
                .isSameAs(reason);
        assertThatThrownBy(() -> GivingWay.onAllProcessors(() -> {
                    throw reason;
                }))
                .isSameAs(reason);
        StackOverflowError error = new StackOverflowError();
        assertThatThrownBy(() -> GivingWay.alone(() -> {
                    throw error;
                }))
                .isSameAs(error);
    }

    /** A writer that went on while its work did would let go of the site's turn. */
    @Test
    void whoeverIsInterruptedWaitsUntilTheWorkIsDoneAndIsInterruptedStill() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch goOn = new CountDownLatch(1);
        FutureTask<Boolean> waiting = new FutureTask<>(() -> GivingWay.alone(() -> {
                    begun.countDown();
                    goOn.await();
                    return true;
                })
                && Thread.currentThread().isInterrupted());
        Thread caller = Thread.ofPlatform().start(waiting);
        begun.await();
        caller.interrupt();
        assertThat(waiting.isDone()).isFalse();
        goOn.countDown();
        assertThat(waiting.get()).as("done, and still interrupted").isTrue();
    }
}
