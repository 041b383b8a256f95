package tidylantern.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Component;

/** Begins the sessions of those who proved who they are. */
@Component
public class Sessions {
    private final Accounts accounts;
    private final KnownBrowsers browsers;
    private final HttpSessionSecurityContextRepository contexts = new HttpSessionSecurityContextRepository();

    Sessions(Accounts accounts, KnownBrowsers browsers) {
        this.accounts = accounts;
        this.browsers = browsers;
    }

    /** From this request on, the browser is signed in. */
    public void begin(String name, HttpServletRequest request, HttpServletResponse response) {
        browsers.remember(request, response, name);
        HttpSession old = request.getSession(false);
        if (old != null) {
            // A session from before signing in may be known to somebody else.
            old.invalidate();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(name, null, List.of()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        request.getSession().setAttribute(PasswordNumberFilter.NUMBER, accounts.passwordNumber(name));
    }
}
