package tidylantern.server.platform;

import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Runs answers on as many threads as there are processors. They are reckoning, not waiting: more at once would only
 * make each slower. Those that come meanwhile wait their turn, up to a number that still gets its answer soon: live
 * answers before pages, pages before an owner's long work, short queries before long ones, and else as they came. While
 * others wait, no client has more than half of the threads.
 */
@Component
public class AnswerPool {
    private static final int MOST_WAITING = 200;
    private static final int MOST_WAITING_OF_ONE_CLIENT = 60;

    /** What is asked for, the most urgent first. */
    public enum Kind {
        /** Somebody is typing. */
        LIVE,
        /** A page of results, or a part of one. */
        PAGE,
        /** What an owner waits for beside everything else: trials, shares, explanations. */
        WORK
    }

    /**
     * A question in the queue.
     *
     * @param client who asks
     * @param size of the question, such as its letters; only compared
     * @param number by which it came
     */
    private record Waiting(FutureTask<?> task, String client, Kind kind, int size, long number) {}

    private static final Comparator<Waiting> TURN =
            Comparator.comparing(Waiting::kind).thenComparing(Waiting::size).thenComparing(Waiting::number);
    /** So many questions are overtaken at most by those that came later. */
    private static final int MOST_OVERTAKING = 100;

    private final int threads;
    private final List<Waiting> queue = new ArrayList<>();
    private final Map<String, Integer> running = new HashMap<>();
    private long numbers;
    private boolean stopped;

    AnswerPool() {
        this(Runtime.getRuntime().availableProcessors());
    }

    AnswerPool(int threads) {
        this.threads = threads;
        for (int n = 0; n < threads; n++) {
            Thread.ofPlatform().name("answer-" + n).daemon().start(this::work);
        }
    }

    /**
     * Waits for the answer.
     *
     * @param client who asks
     * @param size of the question, such as its letters; of two that wait the smaller goes first
     * @throws Refusal with status 503 if too many wait already
     */
    public <T> T answer(String client, Kind kind, int size, Callable<T> question) {
        FutureTask<T> answer = new FutureTask<>(question);
        add(answer, client, kind, size);
        try {
            return answer.get();
        } catch (InterruptedException hurried) {
            answer.cancel(true);
            Thread.currentThread().interrupt();
            throw stopping();
        } catch (CancellationException cancelled) {
            throw stopping();
        } catch (ExecutionException failed) {
            if (failed.getCause() instanceof RuntimeException reason) {
                throw reason;
            }
            throw new IllegalStateException("an answer failed", failed.getCause());
        }
    }

    private static Refusal stopping() {
        return new Refusal(HttpStatus.SERVICE_UNAVAILABLE, null, "The service is stopping. Try again in a moment.");
    }

    private synchronized void add(FutureTask<?> task, String client, Kind kind, int size) {
        boolean hasItsShare = queue.stream()
                        .filter(waiting -> waiting.client().equals(client))
                        .count()
                >= MOST_WAITING_OF_ONE_CLIENT;
        if (queue.size() >= MOST_WAITING || hasItsShare || stopped) {
            throw Refusal.busy("Too many ask at once. Try again in a second.");
        }
        queue.add(new Waiting(task, client, kind, size, numbers++));
        notifyAll();
    }

    /** How many questions wait for their turn. */
    synchronized int waiting() {
        return queue.size();
    }

    private void work() {
        for (Waiting next = next(); next != null; next = next()) {
            try {
                next.task().run();
            } finally {
                done(next.client());
            }
        }
    }

    private synchronized @Nullable Waiting next() {
        try {
            while (queue.isEmpty() && !stopped) {
                wait();
            }
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
            return null;
        }
        if (stopped) {
            return null;
        }
        Waiting next = first();
        queue.remove(next);
        running.merge(next.client(), 1, Integer::sum);
        return next;
    }

    /** Of those whose client has not its share already; of all, where there are no others. */
    private Waiting first() {
        Waiting oldest =
                queue.stream().min(Comparator.comparing(Waiting::number)).orElseThrow();
        if (numbers - oldest.number() > MOST_OVERTAKING + queue.size()) {
            return oldest;
        }
        int share = Math.max(1, threads / 2);
        return queue.stream()
                .filter(waiting -> running.getOrDefault(waiting.client(), 0) < share)
                .min(TURN)
                .orElseGet(() -> queue.stream().min(TURN).orElseThrow());
    }

    private synchronized void done(String client) {
        running.computeIfPresent(client, (key, has) -> has > 1 ? has - 1 : null);
    }

    @PreDestroy
    synchronized void stop() {
        stopped = true;
        queue.forEach(waiting -> waiting.task().cancel(false));
        queue.clear();
        notifyAll();
    }
}
