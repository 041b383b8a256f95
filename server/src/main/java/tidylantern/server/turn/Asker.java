package tidylantern.server.turn;

import jakarta.servlet.http.HttpServletRequest;
import java.util.function.BooleanSupplier;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import tidylantern.server.platform.Clients;

/**
 * Who waits for an answer.
 *
 * @param client as fairness goes; empty where no request waits for it
 * @param gone whether the connection was closed from its far side, as browsers do when a page no longer wants an
 *     answer; asked on the request's own thread alone
 */
public record Asker(String client, BooleanSupplier gone) {
    private static final String GONE = Asker.class.getName();
    private static final Asker NOBODY = new Asker("", () -> false);

    /** Of the request that this thread works on. */
    public static Asker current() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                ? of(request.getRequest())
                : NOBODY;
    }

    private static Asker of(HttpServletRequest request) {
        return new Asker(
                Clients.of(request), request.getAttribute(GONE) instanceof BooleanSupplier gone ? gone : NOBODY.gone());
    }

    /** Says how it is found out whether whoever sent a request has gone. */
    public static void howToSee(HttpServletRequest request, BooleanSupplier gone) {
        request.setAttribute(GONE, gone);
    }
}
