package tidylantern.server.operation;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tidylantern.server.platform.DiskRoom;
import tidylantern.server.platform.Problems;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.RoutedPath;

/**
 * Lets changes through while they can be kept: not while the database is not what it was, while a copy is brought back,
 * or while the disk has no more room than its reserve. Reading goes on.
 */
@Component
@Order(ChangeGate.BEHIND_SECURITY)
public class ChangeGate extends OncePerRequestFilter {
    static final int BEHIND_SECURITY = 0;
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");
    private static final String OWNERS = "/api/owner/";
    private static final String SESSION = OWNERS + "session";
    /** Says itself when it may be done. */
    private static final String RESTORE = OWNERS + "installation/restore";

    private final Standby standby;
    private final DiskRoom room;
    private final Problems problems;
    private final AtomicInteger changes = new AtomicInteger();
    private volatile boolean shut;

    ChangeGate(Standby standby, DiskRoom room, Problems problems) {
        this.standby = standby;
        this.room = room;
        this.problems = problems;
    }

    /** How many changes were let through since the start. */
    int changes() {
        return changes.get();
    }

    /** Something changed that no request asked for. */
    public void changed() {
        changes.incrementAndGet();
    }

    void shut(boolean now) {
        shut = now;
    }

    /** Why nothing may be changed just now; null if it may. */
    public @Nullable Refusal objection() {
        if (standby.active()) {
            return new Refusal(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    null,
                    "The database is not what it was, so nothing is changed. " + String.join(" ", standby.missing())
                            + " Whoever runs the service can bring a copy back, or accept the loss; its guide says how.");
        }
        if (shut) {
            return new Refusal(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    null,
                    "A copy of the database is being brought back. Try again in a minute.");
        }
        try {
            room.require(0);
            return null;
        } catch (Refusal low) {
            return low;
        }
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = RoutedPath.of(request);
        return READING.contains(request.getMethod())
                || !path.startsWith(OWNERS)
                || path.equals(SESSION)
                || path.equals(RESTORE);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Refusal objection = objection();
        if (objection != null) {
            problems.write(response, objection);
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            changes.incrementAndGet();
        }
    }
}
