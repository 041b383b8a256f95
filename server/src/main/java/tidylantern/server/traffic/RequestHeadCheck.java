package tidylantern.server.traffic;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.web.filter.OncePerRequestFilter;
import tidylantern.server.platform.Problems;
import tidylantern.server.platform.Refusal;

/**
 * Refuses what the head of a request shows to be wrong, of its address and of its body, before anything else looks at
 * it or reads from it.
 */
class RequestHeadCheck extends OncePerRequestFilter {
    private final Problems problems;

    RequestHeadCheck(Problems problems) {
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Refusal objection = RequestHeads.bringsBody(request) ? RequestHeads.objection(request) : null;
        if (objection == null) {
            objection = RequestHeads.unreadable(request);
        }
        if (objection != null) {
            problems.write(response, objection);
            return;
        }
        chain.doFilter(request, response);
    }
}
