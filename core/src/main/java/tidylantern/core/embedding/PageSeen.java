package tidylantern.core.embedding;

import java.net.URI;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A page of a site as it comes, before any script has run.
 *
 * @param address where it came from in the end
 * @param policies its content security policies, of headers and of meta elements
 * @param scripts that load the elements
 * @param tags of the elements, those that stand where they are never run too
 */
public record PageSeen(URI address, List<PagePolicy> policies, List<Script> scripts, List<Tag> tags) {
    public PageSeen {
        policies = List.copyOf(policies);
        scripts = List.copyOf(scripts);
        tags = List.copyOf(tags);
    }

    /**
     * @param address of the script, whole
     * @param nonce that its tag carries; null for none
     */
    public record Script(URI address, @Nullable String nonce) {}

    /**
     * @param element its name, such as {@code tidy-results}
     * @param search the key that it asks; empty where it names none
     * @param inert whether it stands in a template or a noscript, where browsers draw nothing
     */
    public record Tag(String element, String search, boolean inert) {}
}
