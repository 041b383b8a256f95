package tidylantern.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tidylantern.server.platform.AnswerPool.Kind;

/** Whose turn it is when more is asked than can be answered at once. */
class AnswerPoolTest {
    private final ExecutorService askers = Executors.newVirtualThreadPerTaskExecutor();
    private final ConcurrentLinkedQueue<String> order = new ConcurrentLinkedQueue<>();

    @AfterEach
    void stop() {
        askers.shutdownNow();
    }

    /** Asks and comes back once the question waits for its turn, or is answered. */
    private CompletableFuture<String> ask(AnswerPool pool, String client, Kind kind, int size, String name) {
        int before = pool.waiting();
        CompletableFuture<String> answer = CompletableFuture.supplyAsync(
                () -> pool.answer(client, kind, size, () -> {
                    order.add(name);
                    return name;
                }),
                askers);
        while (pool.waiting() == before && !answer.isDone()) {
            Thread.onSpinWait();
        }
        return answer;
    }

    /** Holds all threads until the latch opens. */
    private void hold(AnswerPool pool, int threads, String client, CountDownLatch until) throws InterruptedException {
        CountDownLatch held = new CountDownLatch(threads);
        for (int n = 0; n < threads; n++) {
            askers.submit(() -> pool.answer(client, Kind.WORK, 0, () -> {
                held.countDown();
                until.await();
                return "";
            }));
        }
        held.await();
    }

    @Test
    void whoTypesGoesBeforeWhoTurnsPagesAndShortBeforeLong() throws InterruptedException {
        AnswerPool pool = new AnswerPool(1);
        CountDownLatch go = new CountDownLatch(1);
        hold(pool, 1, "owner", go);
        List<CompletableFuture<String>> asked = List.of(
                ask(pool, "a", Kind.WORK, 0, "work"),
                ask(pool, "b", Kind.PAGE, 200, "long page"),
                ask(pool, "c", Kind.PAGE, 5, "page"),
                ask(pool, "d", Kind.LIVE, 100, "long live"),
                ask(pool, "e", Kind.LIVE, 3, "live"),
                ask(pool, "f", Kind.LIVE, 3, "live, later"));
        go.countDown();
        asked.forEach(CompletableFuture::join);
        assertThat(order).containsExactly("live", "live, later", "long live", "page", "long page", "work");
        pool.stop();
    }

    @Test
    void oneClientHasNoMoreThanItsShareWhileOthersWait() throws InterruptedException {
        AnswerPool pool = new AnswerPool(2);
        CountDownLatch go = new CountDownLatch(1);
        CountDownLatch second = new CountDownLatch(1);
        hold(pool, 1, "greedy", second);
        hold(pool, 1, "other", go);
        List<CompletableFuture<String>> asked = List.of(
                ask(pool, "greedy", Kind.LIVE, 1, "greedy 1"),
                ask(pool, "greedy", Kind.LIVE, 1, "greedy 2"),
                ask(pool, "modest", Kind.PAGE, 50, "modest"));
        go.countDown();
        asked.get(2).join();
        assertThat(order.peek()).as("though it came later, and is less urgent").isEqualTo("modest");
        asked.forEach(CompletableFuture::join);
        assertThat(order).as("where nobody else waits, a client may have all").hasSize(3);
        second.countDown();
        pool.stop();
    }

    @Test
    void nobodyIsOvertakenForEver() throws InterruptedException {
        AnswerPool pool = new AnswerPool(1);
        CountDownLatch go = new CountDownLatch(1);
        hold(pool, 1, "owner", go);
        List<CompletableFuture<String>> asked =
                new java.util.ArrayList<>(List.of(ask(pool, "patient", Kind.WORK, 0, "patient")));
        IntStream.range(0, 90).forEach(n -> asked.add(ask(pool, "visitor " + n, Kind.LIVE, 1, "live")));
        IntStream.range(0, 100).forEach(n -> asked.add(ask(pool, "later " + n, Kind.LIVE, 1, "live")));
        go.countDown();
        asked.forEach(CompletableFuture::join);
        assertThat(List.copyOf(order).indexOf("patient")).isLessThan(order.size() - 1);
        pool.stop();
    }

    @Test
    void beyondANumberThatWaitsTheAnswerIsToTryAgain() throws InterruptedException {
        AnswerPool pool = new AnswerPool(1);
        CountDownLatch go = new CountDownLatch(1);
        hold(pool, 1, "owner", go);
        List<CompletableFuture<String>> asked = IntStream.range(0, 60)
                .mapToObj(n -> ask(pool, "one", Kind.PAGE, n, "one"))
                .toList();
        assertThatThrownBy(() -> pool.answer("one", Kind.LIVE, 0, () -> ""))
                .isInstanceOfSatisfying(
                        Refusal.class, busy -> assertThat(busy.retryAfter()).isEqualTo(1))
                .hasMessageContaining("Too many");
        CompletableFuture<String> other = ask(pool, "another", Kind.LIVE, 0, "another");
        go.countDown();
        asked.forEach(CompletableFuture::join);
        assertThat(other.join()).isEqualTo("another");
        pool.stop();
    }
}
