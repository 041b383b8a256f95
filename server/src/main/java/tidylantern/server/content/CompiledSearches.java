package tidylantern.server.content;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.query.compiled.CompiledSearch;

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
    public CompiledSearch of(String site, SearchDesign design) {
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
        List<CompiledSearch> some;
        synchronized (last) {
            some = List.copyOf(last);
        }
        CompiledSearch like = null;
        for (CompiledSearch one : some) {
            if (one.content() == content && one.design().equals(design)) {
                return one;
            }
            like = closer(like, one, content, design);
        }
        CompiledSearch made = like == null ? CompiledSearch.of(content, design) : like.with(design);
        synchronized (last) {
            last.addFirst(made);
            if (last.size() > LAST) {
                last.removeLast();
            }
        }
        return made;
    }

    /** One of the same words, which need not be taken apart once more. */
    private static @Nullable CompiledSearch closer(
            @Nullable CompiledSearch like, CompiledSearch one, SiteContent content, SearchDesign design) {
        return like == null && one.content() == content && one.design().words().equals(design.words()) ? one : like;
    }
}
