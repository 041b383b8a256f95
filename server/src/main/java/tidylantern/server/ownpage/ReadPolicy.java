package tidylantern.server.ownpage;

import java.net.URI;
import java.util.Optional;
import org.htmlunit.csp.FetchDirectiveKind;
import org.htmlunit.csp.Policy;
import org.htmlunit.csp.url.URLWithScheme;
import org.jspecify.annotations.Nullable;
import tidylantern.core.embedding.PagePolicy;
import tidylantern.core.embedding.PageSeen;

/** A content security policy as HtmlUnit's library reads it, which a browser without a screen is built on. */
final class ReadPolicy implements PagePolicy {
    private final Policy policy;
    private final URI page;

    /** @param policy as a header or a meta element has it; what cannot be read of it, browsers pass over as well */
    ReadPolicy(String policy, URI page) {
        this.policy = Policy.parseSerializedCSP(policy, (severity, message, directive, value) -> {
            // An owner is told what is kept from working, not how a policy should be written.
        });
        this.page = page;
    }

    @Override
    public @Nullable String keepsFromLoading(PageSeen.Script script) {
        // Scripts of the page as it comes are what parsers insert.
        boolean isAllowed = policy.allowsExternalScript(
                Optional.ofNullable(script.nonce()),
                Optional.empty(),
                whole(script.address()),
                Optional.of(true),
                whole(page));
        return isAllowed
                ? null
                : deciding(
                        FetchDirectiveKind.ScriptSrcElem, FetchDirectiveKind.ScriptSrc, FetchDirectiveKind.DefaultSrc);
    }

    @Override
    public @Nullable String keepsFromAsking(URI service) {
        return policy.allowsConnection(whole(service), whole(page))
                ? null
                : deciding(FetchDirectiveKind.ConnectSrc, FetchDirectiveKind.DefaultSrc);
    }

    private static Optional<URLWithScheme> whole(URI address) {
        return org.htmlunit.csp.url.URI.parseURI(address.toString()).map(parsed -> parsed);
    }

    /** The first of these that the policy has, the most general where it has none. */
    private String deciding(FetchDirectiveKind... kinds) {
        for (FetchDirectiveKind kind : kinds) {
            if (policy.getFetchDirective(kind).isPresent()) {
                return kind.getRepr();
            }
        }
        return kinds[kinds.length - 1].getRepr();
    }
}
