package tidylantern.server.traffic;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import tidylantern.server.platform.Clients;
import tidylantern.server.platform.DiskRoom;
import tidylantern.server.platform.PrivateFiles;
import tidylantern.server.platform.Problems;
import tidylantern.server.platform.Refusal;

/**
 * Receives the bodies of requests that may send one, before anybody works with them. It waits for bytes without holding
 * a thread, as long and as much as the endpoint's {@link BodyRule} says, and lets no client have more than its share
 * under way.
 *
 * <p>It stands in two places. Before security it receives what says of itself that it is short: refused or not, such a
 * request is read to its end, and its sender can read why. Behind security stands all the rest, so that whoever may not
 * send anything is not listened to.
 */
final class BodyIntake implements Filter {
    /** Larger ones are received into a file. */
    private static final long MOST_IN_MEMORY = 5_000_000;

    private final Problems problems;
    private final Shares underWay;
    private final DiskRoom room;
    private final @Nullable Path folder;

    /**
     * @param underWay of all bodies that arrive, in whichever place
     * @param folder for large bodies; null before security
     */
    BodyIntake(Problems problems, Shares underWay, DiskRoom room, @Nullable Path folder) {
        this.room = room;
        this.problems = problems;
        this.underWay = underWay;
        this.folder = folder;
    }

    @Override
    public void doFilter(ServletRequest given, ServletResponse answer, FilterChain chain)
            throws IOException, ServletException {
        HttpServletRequest request = (HttpServletRequest) given;
        boolean here = folder != null ? RequestHeads.bringsBody(request) : RequestHeads.isShort(request);
        if (!here) {
            chain.doFilter(given, answer);
            return;
        }
        String client = Clients.of(request);
        if (underWay.take(client)) {
            receive(request, (HttpServletResponse) answer, client);
        } else {
            ((HttpServletResponse) answer).setHeader(HttpHeaders.RETRY_AFTER, "5");
            problems.write(
                    (HttpServletResponse) answer,
                    new Refusal(
                            HttpStatus.TOO_MANY_REQUESTS,
                            null,
                            "Too many bodies are being sent at once. Wait for the others to end."));
        }
    }

    private void receive(HttpServletRequest request, HttpServletResponse response, String client) throws IOException {
        try {
            BodyRule rule = BodyRule.of(request.getMethod(), request.getRequestURI());
            Path file = folder != null && rule.mostBytes() > MOST_IN_MEMORY ? PrivateFiles.make(folder, "body-") : null;
            AsyncContext waiting = request.startAsync(request, UnreadBodies.rawResponse(request, response));
            waiting.setTimeout(rule.time().toMillis());
            Arrival arrival = new Arrival(
                    waiting,
                    rule,
                    new Arrival.Place(file, folder == null, RequestHeads.gzip(request)),
                    problems,
                    room,
                    () -> underWay.giveBack(client));
            waiting.addListener(arrival);
            request.getInputStream().setReadListener(arrival);
        } catch (IOException | RuntimeException failure) {
            underWay.giveBack(client);
            throw failure;
        }
    }
}
