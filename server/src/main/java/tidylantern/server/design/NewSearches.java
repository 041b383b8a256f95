package tidylantern.server.design;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.proposal.KindOfSite;
import tidylantern.core.proposal.SearchProposal;
import tidylantern.server.content.SiteContents;
import tidylantern.server.content.SiteIndexes;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;

/** How a search begins: as it is proposed from the content, as a copy of another, or with nothing decided. */
@Component
public class NewSearches {
    private static final String NOT_NAMED_YET = "Search";

    private final Searches searches;
    private final SiteIndexes indexes;
    private final SiteContents contents;
    private final Clock clock;

    NewSearches(Searches searches, SiteIndexes indexes, SiteContents contents, Clock clock) {
        this.searches = searches;
        this.indexes = indexes;
        this.contents = contents;
        this.clock = clock;
    }

    /**
     * What an owner says about a proposal.
     *
     * @param kind of site; null for what the content tells
     * @param collections keys of those that are searched; null for all that have items
     * @param without keys of parts that are left away; null for none
     */
    record ProposalChoices(
            @Nullable KindOfSite kind,
            @Nullable List<String> collections,
            @Nullable List<String> without) {}

    /** @param said as owners read it */
    record NamedKind(KindOfSite key, String said) {}

    /** @param kinds that can be said */
    record ProposedSearch(
            KindOfSite told,
            KindOfSite kind,
            List<NamedKind> kinds,
            List<SearchProposal.ProposedCollection> collections,
            List<SearchProposal.ProposedPart> parts) {}

    /**
     * @param said null for what the content tells
     * @throws Refusal if there is no such kind
     */
    static @Nullable KindOfSite kindOfSite(@Nullable String said) {
        return said == null || said.isBlank()
                ? null
                : Arrays.stream(KindOfSite.values())
                        .filter(kind -> kind.toString().equals(said))
                        .findFirst()
                        .orElseThrow(() -> Refusal.bad(
                                "kind",
                                "There is no kind of site \"%s\"; choose one of %s."
                                        .formatted(said, Arrays.toString(KindOfSite.values()))));
    }

    /** What would be proposed. */
    ProposedSearch look(SiteKey site, ProposalChoices wanted) {
        SearchProposal proposal = propose(site, NOT_NAMED_YET, wanted);
        return new ProposedSearch(
                proposal.told(),
                proposal.kind(),
                Arrays.stream(KindOfSite.values())
                        .map(kind -> new NamedKind(kind, kind.said()))
                        .toList(),
                proposal.collections(),
                proposal.parts());
    }

    /** A search as it is proposed for all that a site has, published at once. */
    public Searches.Summary publishProposed(SiteKey site, String name, String by) {
        Searches.Summary made = add(site, name, new ProposalChoices(null, null, null), null);
        return searches.publish(made.key(), searches.draft(made.key()).revision(), by, null);
    }

    /**
     * @param proposed null for a search with nothing decided
     * @param copyOf key of another search of the site; null for none
     */
    Searches.Summary add(SiteKey site, String name, @Nullable ProposalChoices proposed, @Nullable SearchKey copyOf) {
        SearchDesign design = proposed != null
                ? propose(site, name, proposed).design()
                : copyOf != null ? copy(site, copyOf, name) : SearchDesign.firstFor(name, contents.of(site));
        return searches.summary(searches.add(site, name, design).search());
    }

    private SearchDesign copy(SiteKey site, SearchKey of, String name) {
        Searches.Draft draft = searches.draft(of);
        if (!draft.site().equals(site)) {
            throw Refusal.notFound("This site has no search \"%s\" to copy.".formatted(of));
        }
        return draft.design().withName(name);
    }

    private SearchProposal propose(SiteKey site, String name, ProposalChoices wanted) {
        SiteContent content = contents.of(site);
        Set<CollectionKey> collections = wanted.collections() == null
                ? null
                : wanted.collections().stream()
                        .map(key -> contents.collection(site, key).key())
                        .collect(Collectors.toSet());
        return indexes.proposal(
                site,
                new SearchProposal.Wanted(
                        name,
                        wanted.kind(),
                        collections,
                        wanted.without() == null ? Set.of() : Set.copyOf(wanted.without())),
                LocalDate.now(clock.withZone(content.zone())));
    }
}
