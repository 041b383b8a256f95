package tidylantern.server.sample;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.design.look.Look;
import tidylantern.demo.Quillhaven;
import tidylantern.server.content.ContentSetUps;
import tidylantern.server.content.ContentSetUps.CollectionSetUp;
import tidylantern.server.content.intake.ItemIntake;
import tidylantern.server.design.NewSearches;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;
import tools.jackson.databind.json.JsonMapper;

/**
 * The sample site: six collections of the made-up Isles, a search as it is proposed for them, live at once, and pages
 * on which it stands. It is a site as any other, and is deleted as any other.
 */
@Component
class SampleSite {
    /** Path of its pages. */
    static final String ROOT = "/sample";

    private static final String NAME = "Quillhaven Isles, a sample";
    private static final String SEARCH = "Sample search";
    private static final ItemIntake.Manner ALL_THERE_IS =
            new ItemIntake.Manner(false, true, true, null, List.of(), "the service");

    private final Sites sites;
    private final ContentSetUps contents;
    private final ItemIntake intake;
    private final NewSearches newSearches;
    private final Searches searches;
    private final TransactionTemplate transaction;
    private final JsonMapper json;
    private final Clock clock;
    /** Read once a day, and not before anybody takes the sample. */
    private volatile @Nullable Dated dated;

    private record Dated(LocalDate day, Quillhaven isles) {}

    SampleSite(
            Sites sites,
            ContentSetUps contents,
            ItemIntake intake,
            NewSearches newSearches,
            Searches searches,
            TransactionTemplate transaction,
            JsonMapper json,
            Clock clock) {
        this.sites = sites;
        this.contents = contents;
        this.intake = intake;
        this.newSearches = newSearches;
        this.searches = searches;
        this.transaction = transaction;
        this.json = json;
        this.clock = clock;
    }

    /** The sample site, if it was taken. */
    Optional<Sites.Site> there() {
        return sites.all().stream().filter(Sites.Site::sample).findFirst();
    }

    /** The key of its first search that visitors can ask; empty where there is none any more. */
    Optional<SearchKey> search(Sites.Site sample) {
        return searches.drafts(sample.key()).stream()
                .map(Searches.Draft::search)
                .filter(key -> searches.findLive(key).isPresent())
                .findFirst();
    }

    /** Its content, with dates that are counted from today. */
    Quillhaven isles() {
        LocalDate today = LocalDate.now(clock);
        Dated known = dated;
        if (known == null || !known.day().equals(today)) {
            known = new Dated(today, new Quillhaven(today));
            dated = known;
        }
        return known.isles();
    }

    /**
     * Makes it, with a search that is live.
     *
     * @param origin under which the service is asked now
     * @throws Refusal if it is there already
     */
    synchronized Sites.Site take(String origin, String by) {
        if (there().isPresent()) {
            throw Refusal.conflict("The sample site is there already. Throw it away to take it anew.");
        }
        Quillhaven isles = isles();
        SiteKey key = Objects.requireNonNull(transaction.execute(status -> {
            Sites.Site site = sites.add(NAME, origin + ROOT, true);
            sites.changeLook(site.key(), json.readValue(Quillhaven.look(), Look.class));
            contents.put(
                    site.key(),
                    Quillhaven.PARTS.stream()
                            .map(part -> new CollectionSetUp(
                                    new CollectionKey(part.key()), part.label(), "en", List.of(), List.of(), List.of()))
                            .toList(),
                    List.of());
            return site.key();
        }));
        for (Quillhaven.Part part : Quillhaven.PARTS) {
            byte[] lines = isles.pushedLines(part.key()).getBytes(StandardCharsets.UTF_8);
            intake.take(key, part.key(), () -> new ByteArrayInputStream(lines), ALL_THERE_IS, ItemIntake.Watch.NONE);
        }
        newSearches.publishProposed(key, SEARCH, by);
        return sites.get(key);
    }
}
