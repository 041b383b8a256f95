package tidylantern.server.traffic;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import tidylantern.server.platform.DiskRoom;
import tidylantern.server.platform.Problems;
import tidylantern.server.platform.Refusal;

/**
 * One body on its way in. The container tells when bytes are there, when that was all, and when the time is over;
 * whichever end comes first is the end. What arrived goes on with the request; its file is deleted when the request is
 * over.
 */
final class Arrival implements ReadListener, AsyncListener {
    private static final Logger LOG = LoggerFactory.getLogger(Arrival.class);
    private static final int AT_ONCE = 1 << 14;

    private final AsyncContext waiting;
    private final BodyRule rule;
    private final Place place;
    private final Problems problems;
    private final DiskRoom room;
    private final Runnable done;
    private final ByteArrayOutputStream memory = new ByteArrayOutputStream();
    private final OutputStream into;
    private final byte[] some = new byte[AT_ONCE];
    private long bytes;
    private boolean ended;
    /** Once the body was refused: what becomes of the rest of it. */
    private @Nullable Discarding discarding;

    /**
     * Where a body goes.
     *
     * @param file null to keep it in memory
     * @param beforeSecurity whether security has yet to see the request
     * @param gzip whether it is packed
     */
    record Place(@Nullable Path file, boolean beforeSecurity, boolean gzip) {}

    /** @param done is run once, when no more will arrive */
    Arrival(AsyncContext waiting, BodyRule rule, Place place, Problems problems, DiskRoom room, Runnable done)
            throws IOException {
        this.waiting = waiting;
        this.rule = rule;
        this.place = place;
        this.problems = problems;
        this.room = room;
        this.done = done;
        this.into = place.file() == null ? memory : Files.newOutputStream(place.file());
    }

    @Override
    public synchronized void onDataAvailable() throws IOException {
        if (discarding != null) {
            discarding.onDataAvailable();
            return;
        }
        ServletInputStream in = waiting.getRequest().getInputStream();
        while (!ended && in.isReady()) {
            int n = in.read(some);
            if (n < 0) {
                return;
            }
            bytes += n;
            Refusal objection =
                    bytes > rule.mostBytes() ? RequestHeads.tooLarge(rule) : place.file() == null ? null : tooFull(n);
            if (objection != null) {
                refuse(objection);
                onDataAvailable();
                return;
            }
            into.write(some, 0, n);
        }
    }

    private @Nullable Refusal tooFull(int more) {
        try {
            room.require(more);
            return null;
        } catch (Refusal full) {
            return full;
        }
    }

    @Override
    public synchronized void onAllDataRead() throws IOException {
        if (discarding != null) {
            discarding.onAllDataRead();
        }
        if (ended) {
            return;
        }
        end();
        new ReceivedBody(memory.toByteArray(), place, rule.mostBytes()).keepWith(waiting.getRequest());
        waiting.setTimeout(0);
        waiting.dispatch();
    }

    /** The sender broke off, or what came could not be kept. */
    @Override
    public synchronized void onError(Throwable failure) {
        if (discarding != null) {
            discarding.onError(failure);
            return;
        }
        try {
            // Nothing more comes, so nothing is waited for.
            refuse(Refusal.bad(
                    null, "The body broke off or could not be kept. Nothing of it was kept; send it again."));
        } catch (IOException gone) {
            LOG.debug("Nobody is there to be told that a body broke off", gone);
        }
        if (discarding != null) {
            discarding.onError(failure);
        }
    }

    @Override
    public synchronized void onTimeout(AsyncEvent event) throws IOException {
        if (discarding != null) {
            discarding.onTimeout(event);
            return;
        }
        refuse(new Refusal(
                HttpStatus.REQUEST_TIMEOUT,
                null,
                "The body did not arrive within %d seconds. Nothing of it was kept; send it again, in smaller parts if need be."
                        .formatted(rule.time().toSeconds())));
    }

    private void refuse(Refusal refusal) throws IOException {
        if (ended) {
            return;
        }
        ended = true;
        // Whoever is too slow to send is not waited for any longer; others read the refusal once they have sent the
        // rest.
        discarding = new Discarding(
                waiting, done, () -> problems.write((HttpServletResponse) waiting.getResponse(), refusal));
        if (refusal.status() == HttpStatus.REQUEST_TIMEOUT) {
            discarding.onError(new IOException("too slow"));
        }
        into.close();
    }

    private void end() throws IOException {
        ended = true;
        done.run();
        into.close();
    }

    @Override
    public synchronized void onComplete(AsyncEvent event) throws IOException {
        if (discarding != null) {
            discarding.onComplete(event);
        } else if (!ended) {
            end();
        }
        if (place.file() != null) {
            Files.deleteIfExists(place.file());
        }
    }

    @Override
    public void onError(AsyncEvent event) {
        onError(event.getThrowable());
    }

    @Override
    public void onStartAsync(AsyncEvent event) {
        // Whoever starts anew has the body already.
        event.getAsyncContext().addListener(this);
    }
}
