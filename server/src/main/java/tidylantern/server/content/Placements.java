package tidylantern.server.content;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.Placement;
import tidylantern.server.history.Changeable;
import tidylantern.server.history.History;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.SomeNames;

/** Placements of items in featured tiers that owners give by hand. They hold at once. */
@Component
class Placements {
    private final PlacementStore placements;
    private final ContentStore items;
    private final SiteContents contents;
    private final SiteWriter writer;
    private final History history;
    private final PlacementChanges changes = new PlacementChanges();

    Placements(
            PlacementStore placements, ContentStore items, SiteContents contents, SiteWriter writer, History history) {
        this.placements = placements;
        this.items = items;
        this.contents = contents;
        this.writer = writer;
        this.history = history;
        history.learn(changes);
    }

    List<PlacementStore.StoredPlacement> of(SiteKey site) {
        contents.of(site);
        return placements.ofSite(site);
    }

    /**
     * Places items in a tier, or changes how they are placed in it; all or none.
     *
     * @param given one at least, all in the same tier
     * @throws Refusal naming the first item that is not there
     */
    void put(SiteKey site, List<Placement> given) {
        mustBeThere(site, given);
        List<ItemRef> placed = given.stream().map(Placement::item).toList();
        change(
                site,
                new Placed(given.getFirst().tier(), placed),
                () -> given.forEach(placement -> placements.put(site, placement)));
    }

    private void mustBeThere(SiteKey site, List<Placement> given) {
        for (Placement placement : given) {
            ItemRef item = placement.item();
            if (items.item(site, item.collection(), item.id().value()).isEmpty()) {
                throw Refusal.notFound("There is no item \"%s\" in \"%s\".".formatted(item.id(), item.collection()));
            }
        }
    }

    void remove(SiteKey site, List<ItemRef> given, String tier) {
        change(site, new Placed(tier, given), () -> given.forEach(item -> placements.remove(site, item, tier)));
    }

    private void change(SiteKey site, Placed placed, Runnable change) {
        writer.change(site, () -> history.change(changes, site, placed, change));
    }

    /** Items and the tier that they are placed in, or taken out of. */
    private record Placed(String tier, List<ItemRef> items) {}

    /** How items are placed in a tier, those that are. */
    private record Places(List<Placement> placements) {}

    private final class PlacementChanges extends Changeable<Placed, Places> {
        PlacementChanges() {
            super("placement", Placed.class, Places.class);
        }

        @Override
        protected Places now(SiteKey site, Placed placed) {
            Set<ItemRef> wanted = new HashSet<>(placed.items());
            return new Places(placements.ofSite(site).stream()
                    .map(PlacementStore.StoredPlacement::placement)
                    .filter(one -> one.tier().equals(placed.tier()) && wanted.contains(one.item()))
                    .toList());
        }

        @Override
        protected void putBack(SiteKey site, Placed placed, Places state) {
            List<Placement> before = state.placements();
            mustBeThere(site, before);
            change(site, placed, () -> {
                placed.items().forEach(item -> placements.remove(site, item, placed.tier()));
                before.forEach(placement -> placements.put(site, placement));
            });
        }

        @Override
        protected String told(SiteKey site, Placed placed, @Nullable Places before, @Nullable Places after) {
            List<ItemRef> old = itemsOf(before);
            List<ItemRef> now = itemsOf(after);
            List<ItemRef> come = without(now, old);
            List<ItemRef> gone = without(old, now);
            if (come.isEmpty() && gone.isEmpty()) {
                return "How %s stands in “%s”".formatted(titles(site, now), placed.tier());
            }
            return come.isEmpty()
                    ? "%s taken out of “%s”".formatted(titles(site, gone), placed.tier())
                    : "%s placed in “%s”".formatted(titles(site, come), placed.tier());
        }

        private static List<ItemRef> itemsOf(@Nullable Places places) {
            return Objects.requireNonNull(places).placements().stream()
                    .map(Placement::item)
                    .toList();
        }

        private static List<ItemRef> without(List<ItemRef> some, List<ItemRef> others) {
            List<ItemRef> left = new ArrayList<>(some);
            left.removeAll(others);
            return left;
        }

        private String titles(SiteKey site, List<ItemRef> some) {
            return SomeNames.of(
                    some.stream().map(item -> items.titleOf(site, item)).toList());
        }
    }
}
