package tidylantern.server.content;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.Placement;
import tidylantern.server.platform.Refusal;

/** Placements of items in featured tiers that owners give by hand. They hold at once. */
@Component
class Placements {
    private final PlacementStore placements;
    private final ContentStore items;
    private final SiteContents contents;
    private final TransactionTemplate transaction;

    Placements(PlacementStore placements, ContentStore items, SiteContents contents, TransactionTemplate transaction) {
        this.placements = placements;
        this.items = items;
        this.contents = contents;
        this.transaction = transaction;
    }

    List<PlacementStore.StoredPlacement> of(String site) {
        contents.of(site);
        return placements.ofSite(site);
    }

    /**
     * Places items, or changes how they are placed; all or none.
     *
     * @throws Refusal naming the first item that is not there
     */
    void put(String site, List<Placement> given) {
        for (Placement placement : given) {
            if (items.item(
                            site,
                            placement.item().collection(),
                            placement.item().id().value())
                    .isEmpty()) {
                throw Refusal.notFound("There is no item \"%s\" in \"%s\"."
                        .formatted(placement.item().id(), placement.item().collection()));
            }
        }
        change(site, () -> given.forEach(placement -> placements.put(site, placement)));
    }

    void remove(String site, List<ItemRef> given, String tier) {
        change(site, () -> given.forEach(item -> placements.remove(site, item, tier)));
    }

    private void change(String site, Runnable change) {
        transaction.executeWithoutResult(status -> change.run());
        items.force();
        contents.forget(site);
    }
}
