package tidylantern.core.embedding;

import java.net.URI;
import org.jspecify.annotations.Nullable;

/**
 * One content security policy of a page (Content Security Policy Level 3), as far as it decides over a search on it.
 */
public interface PagePolicy {
    /** The directive that keeps a script from loading; null where none does. */
    @Nullable String keepsFromLoading(PageSeen.Script script);

    /** The directive that keeps the page from asking a service; null where none does. */
    @Nullable String keepsFromAsking(URI service);
}
