package tidylantern.server.content;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.content.OwnPlace;
import tidylantern.server.history.Changeable;
import tidylantern.server.history.History;
import tidylantern.server.history.Told;
import tidylantern.server.key.SiteKey;

/** Names of places that owners give; they hold at once. */
@Component
class OwnPlaces {
    private final OwnPlaceStore store;
    private final SiteWriter writer;
    private final History history;
    private final PlaceChanges changes = new PlaceChanges();

    OwnPlaces(OwnPlaceStore store, SiteWriter writer, History history) {
        this.store = store;
        this.writer = writer;
        this.history = history;
        history.learn(changes);
    }

    /** Puts these in place of those that were there. */
    void put(SiteKey site, List<OwnPlace> places) {
        writer.change(
                site,
                () -> history.change(changes, site, site, () -> {
                    store.removeAll(site);
                    places.forEach(place -> store.add(site, place));
                }));
    }

    /** All of a site, by name. */
    private record Named(List<OwnPlace> places) {}

    private final class PlaceChanges extends Changeable<SiteKey, Named> {
        PlaceChanges() {
            super("places", SiteKey.class, Named.class);
        }

        @Override
        protected Named now(SiteKey site, SiteKey subject) {
            return new Named(store.ofSite(site));
        }

        @Override
        protected void putBack(SiteKey site, SiteKey subject, Named named) {
            put(site, named.places());
        }

        @Override
        protected String told(SiteKey site, SiteKey subject, @Nullable Named before, @Nullable Named after) {
            return new Told("Names of places")
                    .changed("names", names(before), names(after))
                    .toString();
        }

        private static List<String> names(@Nullable Named named) {
            return Objects.requireNonNull(named).places().stream()
                    .map(OwnPlace::name)
                    .toList();
        }
    }
}
