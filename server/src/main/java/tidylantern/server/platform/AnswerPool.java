package tidylantern.server.platform;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Runs answers on as many threads as there are processors. They are reckoning, not waiting: more at once would only make
 * each slower. Those that come meanwhile wait their turn, up to a number that still gets its answer soon.
 */
@Component
public class AnswerPool {
    private static final int MOST_WAITING = 200;
    private final ThreadPoolExecutor threads;

    AnswerPool() {
        int cores = Runtime.getRuntime().availableProcessors();
        threads = new ThreadPoolExecutor(cores, cores, 0, TimeUnit.SECONDS, new ArrayBlockingQueue<>(MOST_WAITING),
                Thread.ofPlatform().name("answer-", 0).daemon().factory());
    }

    /**
     * Waits for the answer.
     *
     * @throws Refusal with status 503 if too many wait already
     */
    public <T> T answer(Callable<T> question) {
        Future<T> answer;
        try {
            answer = threads.submit(question);
        } catch (RejectedExecutionException full) {
            throw new Refusal(HttpStatus.SERVICE_UNAVAILABLE, null, "Too many ask at once. Try again in a second.");
        }
        try {
            return answer.get();
        } catch (InterruptedException stopped) {
            answer.cancel(true);
            Thread.currentThread().interrupt();
            throw new Refusal(HttpStatus.SERVICE_UNAVAILABLE, null, "The service is stopping. Try again in a moment.");
        } catch (ExecutionException failed) {
            if (failed.getCause() instanceof RuntimeException reason) {
                throw reason;
            }
            throw new IllegalStateException("an answer failed", failed.getCause());
        }
    }

    @PreDestroy
    void stop() {
        threads.shutdown();
    }
}
