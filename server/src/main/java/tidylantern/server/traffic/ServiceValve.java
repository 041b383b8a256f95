package tidylantern.server.traffic;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import tidylantern.server.platform.Clients;
import tidylantern.server.turn.Asker;

/**
 * Stands before everything else that a request meets. No client holds more than its share of the threads, and work for
 * owners never all of them; a body that nobody wanted to read is not waited for, but its connection closed.
 */
final class ServiceValve extends ValveBase {
    /** Of the server's 200 threads. */
    private static final int MOST_OF_ONE_CLIENT = 60;

    private static final int MOST_OF_ALL = 190;
    private static final int MOST_FOR_OWNERS = 100;
    private static final String OWNERS = "/api/owner/";

    private final Shares all = new Shares(MOST_OF_ONE_CLIENT, MOST_OF_ALL);
    private final Shares forOwners = new Shares(MOST_FOR_OWNERS, MOST_FOR_OWNERS);

    ServiceValve() {
        super(true);
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        UnreadBodies.howToDrop(
                request, () -> request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null));
        Asker.howToSee(request, () -> isGone(request.getCoyoteRequest()));
        String client = Clients.of(request);
        // Without an address where the head could not be read.
        boolean owners = String.valueOf(request.getDecodedRequestURI()).startsWith(OWNERS);
        boolean share = all.take(client);
        boolean place = share && (!owners || forOwners.take(OWNERS));
        try {
            if (place) {
                getNext().invoke(request, response);
            } else {
                refuse(response, share);
            }
        } finally {
            if (share) {
                all.giveBack(client);
            }
            if (place && owners) {
                forOwners.giveBack(OWNERS);
            }
        }
        if (!request.isAsync() && !request.getCoyoteRequest().isFinished()) {
            UnreadBodies.drop(request);
        }
    }

    /**
     * Whether the connection was closed from its far side. The web server is asked to look whether more came, which is
     * kept for the next request; that nothing can come any more it tells as one single byte, and no request is so
     * short. Of a request whose body came without a thread nothing is seen.
     */
    private static boolean isGone(org.apache.coyote.Request request) {
        if (request.getReadListener() != null) {
            return false;
        }
        request.action(ActionCode.AVAILABLE, true);
        return request.getAvailable() == 1;
    }

    private static void refuse(Response response, boolean ofAll) throws IOException {
        HttpStatus status = ofAll ? HttpStatus.SERVICE_UNAVAILABLE : HttpStatus.TOO_MANY_REQUESTS;
        response.setStatus(status.value());
        response.setHeader(HttpHeaders.RETRY_AFTER, "1");
        // It says nothing of anybody, and elements on a site's page are to read when they may ask again.
        response.setHeader(HttpHeaders.ACCESS_CONTROL_ALLOW_ORIGIN, "*");
        response.setHeader(HttpHeaders.ACCESS_CONTROL_EXPOSE_HEADERS, HttpHeaders.RETRY_AFTER);
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getOutputStream()
                .write(
                        "{\"status\":%d,\"title\":\"%s\",\"detail\":\"Too many requests at once. Try again in a second.\"}"
                                .formatted(status.value(), status.getReasonPhrase())
                                .getBytes(StandardCharsets.UTF_8));
    }
}
