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
import org.springframework.web.util.ContentCachingResponseWrapper;
import tidylantern.server.platform.Clients;

/**
 * What becomes of bodies that nobody read, since their requests were refused by their heads: they are thrown away
 * first, and the refusal follows.
 */
final class UnreadBodies implements Filter {
    private static final String DROP = UnreadBodies.class.getName() + ".drop";
    private static final String RAW = UnreadBodies.class.getName() + ".raw";

    private final Shares underWay;

    UnreadBodies(Shares underWay) {
        this.underWay = underWay;
    }

    /** Tells how a request's connection is closed without waiting for the rest of it; the web server's affair. */
    static void howToDrop(ServletRequest request, Runnable drop) {
        request.setAttribute(DROP, drop);
    }

    /** Gives a request's body up: what has not been read is not waited for. */
    static void drop(ServletRequest request) {
        if (request.getAttribute(DROP) instanceof Runnable drop) {
            drop.run();
        }
    }

    /** The response as the web server gave it, for whoever answers later. */
    static ServletResponse rawResponse(ServletRequest request, ServletResponse otherwise) {
        return request.getAttribute(RAW) instanceof ServletResponse raw ? raw : otherwise;
    }

    @Override
    public void doFilter(ServletRequest given, ServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        HttpServletRequest request = (HttpServletRequest) given;
        boolean mayBring =
                request.getMethod().equals("POST") || request.getMethod().equals("PUT");
        if (!mayBring || !RequestHeads.bringsBody(request)) {
            chain.doFilter(request, response);
            return;
        }
        request.setAttribute(RAW, response);
        ContentCachingResponseWrapper held = new ContentCachingResponseWrapper((HttpServletResponse) response);
        chain.doFilter(request, held);
        if (request.isAsyncStarted()) {
            return;
        }
        String client = Clients.of(request);
        if (request.getInputStream().isFinished() || !underWay.take(client)) {
            held.copyBodyToResponse();
            return;
        }
        AsyncContext waiting = request.startAsync(request, response);
        Discarding discarding = new Discarding(waiting, () -> underWay.giveBack(client), held::copyBodyToResponse);
        waiting.addListener(discarding);
        request.getInputStream().setReadListener(discarding);
    }
}
