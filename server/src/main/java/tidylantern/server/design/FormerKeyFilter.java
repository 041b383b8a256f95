package tidylantern.server.design;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tidylantern.server.key.SearchKey;

/**
 * Leads requests that name a search by a key of before to the search, wherever its key stands in the address: so nobody
 * behind it, not even the check of origins, knows more than one key of a search.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 20)
class FormerKeyFilter extends OncePerRequestFilter {
    private static final Pattern NAMING = Pattern.compile("(/api/(?:public|owner)/searches/|/s/)([a-z0-9-]+)(/.*)?");

    private final FormerKeys keys;

    FormerKeyFilter(FormerKeys keys) {
        this.keys = keys;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Matcher naming = NAMING.matcher(request.getRequestURI());
        if (naming.matches()) {
            SearchKey named = new SearchKey(naming.group(2));
            SearchKey now = keys.now(named);
            if (!now.equals(named)) {
                String rest = naming.group(3) == null ? "" : naming.group(3);
                chain.doFilter(new AtAnotherPath(request, naming.group(1) + now + rest), response);
                return;
            }
        }
        chain.doFilter(request, response);
    }

    private static final class AtAnotherPath extends HttpServletRequestWrapper {
        private final String path;

        AtAnotherPath(HttpServletRequest request, String path) {
            super(request);
            this.path = path;
        }

        @Override
        public String getRequestURI() {
            return path;
        }

        @Override
        public String getServletPath() {
            return path;
        }

        @Override
        public StringBuffer getRequestURL() {
            StringBuffer whole = super.getRequestURL();
            return whole.replace(whole.length() - super.getRequestURI().length(), whole.length(), path);
        }
    }
}
