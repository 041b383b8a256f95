package tidylantern.server.content;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.springframework.stereotype.Component;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.server.key.SiteKey;

/**
 * The designs that are asked, each compiled once for the content of its site. A published version is one object for as
 * long as it is live; a draft is read anew with every change, so the last few are known by what they say, too.
 */
@Component
public class CompiledSearches {
    private static final int MOST = 256;
    private static final int LAST = 16;

    private final SiteContents contents;
    /** By the design object itself. */
    private final Cache<SearchDesign, CompiledSearch> known =
            Caffeine.newBuilder().weakKeys().maximumSize(MOST).build();

    private final Deque<CompiledSearch> last = new ArrayDeque<>();

    CompiledSearches(SiteContents contents) {
        this.contents = contents;
    }

    /** @throws tidylantern.server.platform.Refusal if there is no such site */
    public CompiledSearch of(SiteKey site, SearchDesign design) {
        return of(contents.of(site), design);
    }

    CompiledSearch of(SiteContent content, SearchDesign design) {
        CompiledSearch compiled = known.getIfPresent(design);
        if (compiled == null || compiled.content() != content) {
            compiled = compiled(content, design);
            known.put(design, compiled);
        }
        return compiled;
    }

    private CompiledSearch compiled(SiteContent content, SearchDesign design) {
        synchronized (last) {
            List<CompiledSearch> ofContent =
                    last.stream().filter(one -> one.content() == content).toList();
            for (CompiledSearch one : ofContent) {
                if (one.design().equals(design)) {
                    return one;
                }
            }
            // An owner who changes a draft seldom changes its words, which then need not be taken apart once more.
            CompiledSearch made = ofContent.isEmpty()
                    ? CompiledSearch.of(content, design)
                    : ofContent.getFirst().with(design);
            last.addFirst(made);
            if (last.size() > LAST) {
                last.removeLast();
            }
            return made;
        }
    }
}
