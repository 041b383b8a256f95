package tidylantern.server.transfer;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.OwnPlace;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.look.Look;
import tidylantern.server.content.ContentSetUps.CollectionSetUp;
import tidylantern.server.key.SearchKey;
import tidylantern.server.source.Sources.SourceGiven;
import tidylantern.server.trial.TrialShape;
import tools.jackson.databind.JsonNode;

/**
 * All that an owner decided about a site, as one JSON document. No items, accounts or access keys are in it.
 *
 * @param setUp version of this form
 * @param searches with the draft of each
 * @param leftOut what could not be taken along, and what to do about it
 */
record SetUp(
        int setUp,
        SiteSetUp site,
        List<CollectionSetUp> collections,
        List<SourceGiven> sources,
        List<SearchSetUp> searches,
        List<String> leftOut) {
    static final int CURRENT_VERSION = 1;

    SetUp {
        collections = List.copyOf(Objects.requireNonNullElse(collections, List.of()));
        sources = List.copyOf(Objects.requireNonNullElse(sources, List.of()));
        searches = List.copyOf(Objects.requireNonNullElse(searches, List.of()));
        leftOut = List.copyOf(Objects.requireNonNullElse(leftOut, List.of()));
    }

    /** @param timeZone null where an older installation wrote the set-up */
    record SiteSetUp(
            String name,
            String address,
            List<String> origins,
            @Nullable String timeZone,
            List<OwnPlace> places,
            Look look) {
        SiteSetUp {
            origins = List.copyOf(Objects.requireNonNullElse(origins, List.of()));
            places = List.copyOf(Objects.requireNonNullElse(places, List.<OwnPlace>of()));
            look = Objects.requireNonNullElseGet(look, Look::asBelow);
        }
    }

    /** @param key in the tags of the site's pages */
    record SearchSetUp(
            SearchKey key,
            @Schema(implementation = SearchDesign.class) JsonNode design,
            List<TrialShape> trials) {
        SearchSetUp {
            trials = List.copyOf(Objects.requireNonNullElse(trials, List.of()));
        }
    }
}
