package tidylantern.server.design;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tidylantern.server.account.Secrets;
import tidylantern.server.key.SearchKey;

/**
 * Links that show the draft of a search in place of its live version, on the site's own pages, to whoever has them.
 * Only their fingerprints are kept.
 */
@Component
public class DraftLinks {
    private static final int BYTES = 24;
    private static final Duration GOOD_FOR = Duration.ofDays(7);

    private final DraftLinkStore store;
    private final Clock clock;

    DraftLinks(DraftLinkStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    /**
     * @param token that goes into addresses; told once
     * @param ends when it shows the draft no more
     */
    public record DraftLink(String token, Instant ends) {}

    @Transactional
    public DraftLink make(SearchKey search) {
        Instant now = clock.instant();
        store.removeEnded(now);
        DraftLink link = new DraftLink(Secrets.random(BYTES), now.plus(GOOD_FOR));
        store.add(search, Secrets.hash(link.token()), link.ends());
        return link;
    }

    /** Ends all links of a search at once. */
    @Transactional
    public void endAll(SearchKey search) {
        store.removeAll(search);
    }

    /** Whether a token shows the draft of a search now. */
    public boolean isGood(SearchKey search, String token) {
        return store.has(search, Secrets.hash(token), clock.instant());
    }
}
