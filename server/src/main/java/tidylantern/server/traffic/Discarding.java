package tidylantern.server.traffic;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import java.io.IOException;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Reads the rest of a body that was refused and throws it away, without holding a thread, before the refusal is
 * written: whoever is still sending would otherwise find the connection gone, and not why. For a while, and up to a
 * size; then the refusal is written all the same, and the connection closed.
 */
final class Discarding implements ReadListener, AsyncListener {
    private static final Logger LOG = LoggerFactory.getLogger(Discarding.class);
    private static final Duration LONGEST = Duration.ofSeconds(15);
    private static final long MOST_BYTES = 100_000_000;
    private static final int AT_ONCE = 1 << 14;

    private final AsyncContext waiting;
    private final Runnable done;
    private final Answer answer;
    private final long until = System.nanoTime() + LONGEST.toNanos();
    private final byte[] some = new byte[AT_ONCE];
    private long bytes;
    private boolean ended;

    /** Writes the refusal. */
    @FunctionalInterface
    interface Answer {
        void write() throws IOException;
    }

    /** @param done is run once, when nothing more will be read */
    Discarding(AsyncContext waiting, Runnable done, Answer answer) {
        this.waiting = waiting;
        this.done = done;
        this.answer = answer;
        waiting.setTimeout(LONGEST.toMillis());
    }

    @Override
    public synchronized void onDataAvailable() throws IOException {
        ServletInputStream in = waiting.getRequest().getInputStream();
        while (!ended && in.isReady()) {
            int n = in.read(some);
            if (n < 0) {
                return;
            }
            bytes += n;
            if (bytes > MOST_BYTES || System.nanoTime() > until) {
                end(true);
            }
        }
    }

    @Override
    public synchronized void onAllDataRead() {
        end(false);
    }

    @Override
    public synchronized void onError(Throwable failure) {
        end(true);
    }

    @Override
    public synchronized void onTimeout(AsyncEvent event) {
        end(true);
    }

    private void end(boolean early) {
        if (ended) {
            return;
        }
        ended = true;
        done.run();
        try {
            if (early) {
                UnreadBodies.drop(waiting.getRequest());
            }
            answer.write();
        } catch (IOException gone) {
            LOG.debug("Nobody is there to be told why", gone);
        } finally {
            waiting.complete();
        }
    }

    @Override
    public synchronized void onComplete(AsyncEvent event) {
        if (!ended) {
            ended = true;
            done.run();
        }
    }

    @Override
    public void onError(AsyncEvent event) {
        onError(event.getThrowable());
    }

    @Override
    public void onStartAsync(AsyncEvent event) {
        event.getAsyncContext().addListener(this);
    }
}
