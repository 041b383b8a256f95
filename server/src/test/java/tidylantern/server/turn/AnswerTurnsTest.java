package tidylantern.server.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import tidylantern.server.platform.Refusal;
import tidylantern.server.turn.AnswerTurns.Kind;

/** Whose turn it is when more is asked than can be answered at once. */
class AnswerTurnsTest {
    private final ExecutorService askers = Executors.newVirtualThreadPerTaskExecutor();
    private final ConcurrentLinkedQueue<String> order = new ConcurrentLinkedQueue<>();

    @AfterEach
    void stop() {
        askers.shutdownNow();
    }

    private static Asker asker(String client) {
        return new Asker(client, () -> false);
    }

    /** Asks and comes back once the question waits for its turn, or is answered. */
    private CompletableFuture<String> ask(AnswerTurns turns, String client, Kind kind, int letters, String name) {
        int before = turns.waiting();
        CompletableFuture<String> answer = CompletableFuture.supplyAsync(
                () -> turns.answer(asker(client), kind, letters, () -> {
                    order.add(name);
                    return name;
                }),
                askers);
        while (turns.waiting() == before && !answer.isDone()) {
            Thread.onSpinWait();
        }
        return answer;
    }

    /** Holds turns until the latch opens. */
    private void hold(AnswerTurns turns, int many, String client, CountDownLatch until) throws InterruptedException {
        CountDownLatch held = new CountDownLatch(many);
        for (int n = 0; n < many; n++) {
            askers.submit(() -> turns.answer(asker(client), Kind.WORK, 0, () -> {
                held.countDown();
                until.await();
                return "";
            }));
        }
        held.await();
    }

    private record Question(String client, Kind kind, int letters, String name) {}

    /** Names of the questions as they are answered, all of which come while the only turn is taken. */
    private List<String> orderOf(List<Question> questions) throws InterruptedException {
        AnswerTurns turns = new AnswerTurns(1);
        CountDownLatch go = new CountDownLatch(1);
        hold(turns, 1, "holder", go);
        List<CompletableFuture<String>> asked = questions.stream()
                .map(question -> ask(turns, question.client, question.kind, question.letters, question.name))
                .toList();
        go.countDown();
        asked.forEach(CompletableFuture::join);
        turns.stop();
        return List.copyOf(order);
    }

    @Test
    void pagesGoBeforeWhatIsTypedAndThatBeforeLongWork() throws InterruptedException {
        assertThat(orderOf(List.of(
                        new Question("a", Kind.WORK, 0, "work"),
                        new Question("b", Kind.LIVE, 3, "live"),
                        new Question("c", Kind.PAGE, 200, "long page"),
                        new Question("d", Kind.PAGE, 60, "page"),
                        new Question("e", Kind.PAGE, 5, "page, later"))))
                .containsExactly("page", "page, later", "long page", "live", "work");
    }

    @Test
    void ofWhatIsTypedTheNewestGoesFirstUnlessItIsLong() throws InterruptedException {
        assertThat(orderOf(List.of(
                        new Question("a", Kind.LIVE, 3, "first"),
                        new Question("b", Kind.LIVE, 8, "second"),
                        new Question("c", Kind.LIVE, 5, "third"),
                        new Question("d", Kind.LIVE, 61, "long"))))
                .containsExactly("third", "second", "first", "long");
    }

    @Test
    void oneClientHasNoMoreThanItsShareWhileOthersWait() throws InterruptedException {
        AnswerTurns turns = new AnswerTurns(2);
        CountDownLatch go = new CountDownLatch(1);
        CountDownLatch second = new CountDownLatch(1);
        hold(turns, 1, "greedy", second);
        hold(turns, 1, "other", go);
        List<CompletableFuture<String>> asked = List.of(
                ask(turns, "greedy", Kind.LIVE, 1, "greedy 1"),
                ask(turns, "greedy", Kind.LIVE, 1, "greedy 2"),
                ask(turns, "modest", Kind.WORK, 50, "modest"));
        go.countDown();
        asked.get(2).join();
        assertThat(order.peek()).as("though it came later, and is less urgent").isEqualTo("modest");
        asked.forEach(CompletableFuture::join);
        assertThat(order).as("where nobody else waits, a client may have all").hasSize(3);
        second.countDown();
        turns.stop();
    }

    @Test
    void aQuestionIsOvertakenByTwentyAtMost() throws InterruptedException {
        List<Question> questions = new ArrayList<>();
        questions.add(new Question("owner", Kind.WORK, 0, "work"));
        IntStream.range(0, 90).forEach(n -> questions.add(new Question("visitor " + n, Kind.LIVE, 1, "live")));
        IntStream.range(0, 90).forEach(n -> questions.add(new Question("later " + n, Kind.PAGE, 1, "page")));
        List<String> answered = orderOf(questions);
        assertThat(answered.indexOf("work")).isEqualTo(20);
        assertThat(answered.indexOf("live"))
                .as("the first that was typed comes right after")
                .isEqualTo(21);
    }

    @Test
    void beyondANumberThatWaitsTheAnswerIsToTryAgain() throws InterruptedException {
        AnswerTurns turns = new AnswerTurns(1);
        CountDownLatch go = new CountDownLatch(1);
        hold(turns, 1, "owner", go);
        List<CompletableFuture<String>> asked = IntStream.range(0, 60)
                .mapToObj(n -> ask(turns, "one", Kind.PAGE, n, "one"))
                .toList();
        assertThatThrownBy(() -> turns.answer(asker("one"), Kind.LIVE, 0, () -> ""))
                .isInstanceOfSatisfying(
                        Refusal.class, busy -> assertThat(busy.retryAfter()).isEqualTo(1))
                .hasMessageContaining("Too many");
        CompletableFuture<String> other = ask(turns, "another", Kind.LIVE, 0, "another");
        go.countDown();
        asked.forEach(CompletableFuture::join);
        assertThat(other.join()).isEqualTo("another");
        turns.stop();
    }

    @Test
    void whoHasGoneIsNotAnsweredAndKeepsNobodyWaiting() throws InterruptedException {
        AnswerTurns turns = new AnswerTurns(1);
        CountDownLatch go = new CountDownLatch(1);
        hold(turns, 1, "owner", go);
        AtomicBoolean gone = new AtomicBoolean();
        CompletableFuture<String> typedOn = CompletableFuture.supplyAsync(
                () -> turns.answer(new Asker("visitor", gone::get), Kind.LIVE, 3, () -> {
                    order.add("nobody reads this");
                    return "";
                }),
                askers);
        while (turns.waiting() == 0) {
            Thread.onSpinWait();
        }
        gone.set(true);
        assertThatThrownBy(typedOn::join).hasMessageContaining("gone");
        assertThat(turns.waiting()).isZero();
        go.countDown();
        assertThat(ask(turns, "visitor", Kind.LIVE, 3, "next").join()).isEqualTo("next");
        assertThat(order).containsExactly("next");
    }

    /** The system is asked for that, which may take its time. */
    @Test
    @Timeout(20)
    void lookingWhetherSomebodyIsStillThereHoldsNobodyUp() throws InterruptedException, ExecutionException {
        AnswerTurns turns = new AnswerTurns(1);
        CountDownLatch until = new CountDownLatch(1);
        CountDownLatch looked = new CountDownLatch(1);
        CountDownLatch answered = new CountDownLatch(1);
        hold(turns, 1, "holder", until);
        Asker slow = new Asker("slow", () -> {
            looked.countDown();
            try {
                answered.await();
            } catch (InterruptedException hurried) {
                Thread.currentThread().interrupt();
            }
            return false;
        });
        CompletableFuture<String> first =
                CompletableFuture.supplyAsync(() -> turns.answer(slow, Kind.WORK, 0, () -> "first"), askers);
        looked.await();
        CompletableFuture<String> second = ask(turns, "other", Kind.LIVE, 0, "second");
        until.countDown();
        // Not joined: a thread that joins is not to be interrupted, not by the timeout either.
        assertThat(second.get()).isEqualTo("second");
        answered.countDown();
        assertThat(first.get()).isEqualTo("first");
    }

    @Test
    void whoWaitsWhileTheServiceStopsIsToldSo() throws InterruptedException {
        AnswerTurns turns = new AnswerTurns(1);
        CountDownLatch go = new CountDownLatch(1);
        hold(turns, 1, "owner", go);
        CompletableFuture<String> waiting = ask(turns, "visitor", Kind.PAGE, 3, "page");
        turns.stop();
        assertThatThrownBy(waiting::join).hasMessageContaining("stopping");
        go.countDown();
        assertThat(order).isEmpty();
    }

    @Test
    void aFailedAnswerGivesItsTurnBack() {
        AnswerTurns turns = new AnswerTurns(1);
        assertThatThrownBy(() -> turns.answer(asker("one"), Kind.PAGE, 1, () -> {
                    throw new java.io.IOException("the disk is gone");
                }))
                .hasRootCauseMessage("the disk is gone");
        assertThat(ask(turns, "one", Kind.PAGE, 1, "next").join()).isEqualTo("next");
    }
}
