package tidylantern.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.annotation.Order;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tidylantern.server.platform.Problems;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.RoutedPath;

/** Lets requests of the workbench and of scripts through to what whoever sends them may do, before anything is done. */
@Component
@Order(AccessFilter.BEHIND_SECURITY)
class AccessFilter extends OncePerRequestFilter {
    /** Once it is known who asks, and before it is asked whether anything can be changed. */
    static final int BEHIND_SECURITY = -1;

    private static final String OWNERS = "/api/owner/";

    private final Access access;
    private final Problems problems;

    AccessFilter(Access access, Problems problems) {
        this.access = access;
        this.problems = problems;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !RoutedPath.of(request).startsWith(OWNERS);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        // Security lets nobody come here without having signed in, but for the few addresses that are there for that.
        Refusal objection = who == null
                ? null
                : access.objection(
                        who, request.getMethod(), RoutedPath.of(request).substring(OWNERS.length()));
        if (objection != null) {
            problems.write(response, objection);
            return;
        }
        chain.doFilter(request, response);
    }
}
