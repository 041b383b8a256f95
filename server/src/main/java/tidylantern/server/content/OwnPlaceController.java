package tidylantern.server.content;

import io.swagger.v3.oas.annotations.Operation;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.OwnPlace;
import tidylantern.core.index.IndexFields;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;

/** Places that visitors may name by names of the owner's own. */
@RestController
@RequestMapping("/api/owner/sites/{site}/places")
class OwnPlaceController {
    private static final int MOST = 2_000;

    private final OwnPlaces places;
    private final SiteContents contents;

    OwnPlaceController(OwnPlaces places, SiteContents contents) {
        this.places = places;
        this.contents = contents;
    }

    /** @param latitude in degrees; null is refused */
    record PlaceGiven(
            @Nullable String name,
            @Nullable Double latitude,
            @Nullable Double longitude) {}

    @GetMapping
    List<OwnPlace> all(@PathVariable SiteKey site) {
        return contents.of(site).ownPlaces();
    }

    @Operation(summary = "Puts these names of places in place of those that were there; they hold at once.")
    @PutMapping
    List<OwnPlace> put(@PathVariable SiteKey site, @RequestBody List<PlaceGiven> given) {
        contents.of(site);
        if (given.size() > MOST) {
            throw Refusal.bad("places", "%,d names are too many; %,d are the most.".formatted(given.size(), MOST));
        }
        Set<String> names = new HashSet<>();
        List<OwnPlace> checked = given.stream()
                .map(one -> {
                    if (one.latitude() == null || one.longitude() == null) {
                        throw Refusal.bad(
                                "places",
                                "Say where \"%s\" is, by latitude and longitude."
                                        .formatted(Objects.requireNonNullElse(one.name(), "")));
                    }
                    OwnPlace place =
                            new OwnPlace(Objects.requireNonNullElse(one.name(), ""), one.latitude(), one.longitude());
                    if (!names.add(IndexFields.folded(place.name()))) {
                        throw Refusal.bad(
                                "places",
                                "\"%s\" stands twice; visitors could not tell the two apart.".formatted(place.name()));
                    }
                    return place;
                })
                .toList();
        places.put(site, checked);
        return all(site);
    }
}
