package tidylantern.core.proposal;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.index.SiteIndex;

/**
 * A search that could be published as it is.
 *
 * @param told what kind of site the content tells of
 * @param kind for which the search is proposed: what the owner said, or else what was told
 * @param collections of the site, in its order
 * @param parts all that is proposed, in the order of the steps, those that the owner left away too
 * @param design with the parts that are on
 */
public record SearchProposal(
        KindOfSite told,
        KindOfSite kind,
        List<ProposedCollection> collections,
        List<ProposedPart> parts,
        SearchDesign design) {
    public SearchProposal {
        collections = List.copyOf(collections);
        parts = List.copyOf(parts);
    }

    /**
     * What an owner says about a search to be proposed.
     *
     * @param name of the search
     * @param kind null for what the content tells
     * @param collections that are searched; null for all that have items
     * @param without keys of parts that are left away; others are passed over
     */
    public record Wanted(
            String name,
            @Nullable KindOfSite kind,
            @Nullable Set<CollectionKey> collections,
            Set<String> without) {
        public Wanted {
            collections = collections == null ? null : Set.copyOf(collections);
            without = Set.copyOf(Objects.requireNonNullElse(without, Set.of()));
        }

        /** Everything as it is told. */
        public static Wanted named(String name) {
            return new Wanted(name, null, null, Set.of());
        }
    }

    /**
     * A collection of the site.
     *
     * @param items that can be found
     * @param kind that its fields tell of
     * @param on whether it is searched
     */
    public record ProposedCollection(CollectionKey key, String label, int items, KindOfSite kind, boolean on) {}

    /**
     * One decision.
     *
     * @param key by which it is left away
     * @param step of a search that it belongs to
     * @param what is proposed, in a few words
     * @param why it is, in a sentence without a stop
     * @param on whether it is part of the design
     */
    public record ProposedPart(String key, DesignChecks.Step step, String what, String why, boolean on) {}

    /** @param today by the site's own time */
    public static SearchProposal of(SiteIndex index, SiteContent content, Wanted wanted, LocalDate today) {
        return new Proposing(index, content, wanted, today).proposal();
    }
}
