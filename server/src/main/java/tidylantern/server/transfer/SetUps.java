package tidylantern.server.transfer;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tidylantern.server.content.ContentSetUps;
import tidylantern.server.design.DesignJson;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.JsonProblems;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;
import tidylantern.server.source.Sources;
import tidylantern.server.source.reading.SourceSettings;
import tidylantern.server.trial.Trials;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Writes a site's set-up, and makes a site of one. */
@Component
class SetUps {
    private final Sites sites;
    private final ContentSetUps contents;
    private final Sources sources;
    private final Searches searches;
    private final DesignJson designs;
    private final Trials trials;
    private final JsonMapper json;

    SetUps(
            Sites sites,
            ContentSetUps contents,
            Sources sources,
            Searches searches,
            DesignJson designs,
            Trials trials,
            JsonMapper json) {
        this.sites = sites;
        this.contents = contents;
        this.sources = sources;
        this.searches = searches;
        this.designs = designs;
        this.trials = trials;
        this.json = json;
    }

    /** @param notes what is left for the owner to do */
    record Made(SiteKey site, int collections, int sources, List<SearchKey> searches, List<String> notes) {}

    /** @throws Refusal if there is no such site */
    @Transactional(readOnly = true)
    SetUp of(SiteKey key) {
        Sites.Site site = sites.get(key);
        List<Sources.SourceGiven> taken = new ArrayList<>();
        List<String> leftOut = new ArrayList<>();
        for (Sources.Source source : sources.ofSite(key)) {
            if (source.given().settings() instanceof SourceSettings.File file && file.upload() != null) {
                leftOut.add("The source “%s” reads a file that was uploaded. Upload it there again."
                        .formatted(source.given().name()));
            } else {
                taken.add(source.given());
            }
        }
        return new SetUp(
                SetUp.CURRENT_VERSION,
                new SetUp.SiteSetUp(
                        site.name(),
                        site.address(),
                        site.origins(),
                        site.timeZone(),
                        contents.places(key),
                        site.look()),
                contents.of(key),
                taken,
                searches.drafts(key).stream()
                        .map(draft -> new SetUp.SearchSetUp(
                                draft.search(),
                                json.readTree(designs.write(draft.design())),
                                trials.shapes(draft.search())))
                        .toList(),
                leftOut);
    }

    /**
     * Makes a site of its own; nothing that is there is changed, and nothing is published. All or nothing.
     *
     * @throws Refusal naming the key at fault
     */
    @Transactional
    Made make(String document) {
        SetUp given = read(document);
        Sites.Site site = sites.add(given.site().name(), given.site().address());
        sites.change(
                site.key(),
                given.site().name(),
                given.site().address(),
                given.site().origins(),
                given.site().timeZone());
        sites.changeLook(site.key(), given.site().look());
        contents.put(site.key(), given.collections(), given.site().places());
        given.sources().forEach(source -> sources.add(site.key(), source));
        List<String> notes = new ArrayList<>(given.leftOut());
        List<SearchKey> made = new ArrayList<>();
        for (SetUp.SearchSetUp search : given.searches()) {
            Searches.Draft draft = searches.add(
                    site.key(),
                    search.key().value(),
                    designs.read(search.design(), searches.contentOfSite(site.key())));
            made.add(draft.search());
            trials.addShapes(draft.search(), search.trials());
            if (!draft.search().equals(search.key())) {
                notes.add("The search “%s” has the key %s here, since %s is taken. Write it in the tags."
                        .formatted(draft.design().name(), draft.search(), search.key()));
            }
        }
        if (!given.sources().isEmpty()) {
            notes.add("Run the sources to bring the items in.");
        }
        if (!made.isEmpty()) {
            notes.add("Look the searches over and publish them.");
        }
        return new Made(site.key(), given.collections().size(), given.sources().size(), made, notes);
    }

    private SetUp read(String document) {
        try {
            JsonNode tree = json.readTree(document);
            if (!tree.isObject() || !tree.path("setUp").isInt()) {
                throw Refusal.bad(
                        "setUp",
                        "This is no set-up of a site: it says no version. Take one that was saved under Site.");
            }
            if (tree.path("setUp").asInt() != SetUp.CURRENT_VERSION) {
                throw Refusal.bad(
                        "setUp",
                        "The set-up is of version %d, and this installation reads version %d. Update it first."
                                .formatted(tree.path("setUp").asInt(), SetUp.CURRENT_VERSION));
            }
            SetUp setUp = json.treeToValue(tree, SetUp.class);
            if (setUp.site() == null
                    || setUp.site().name() == null
                    || setUp.site().address() == null) {
                throw Refusal.bad("site", "The set-up names no site with name and address.");
            }
            return setUp;
        } catch (JacksonException wrong) {
            throw JsonProblems.of(wrong);
        }
    }
}
