package tidylantern.server.content;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.Placement;
import tidylantern.server.key.SiteKey;

@Component
class PlacementStore {
    private final JdbcClient jdbc;

    PlacementStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param title of the item; null where it is gone */
    record StoredPlacement(
            String collectionKey,
            String itemId,
            String tier,
            @Nullable Integer place,
            @Nullable LocalDate fromDay,
            @Nullable LocalDate untilDay,
            @Nullable String title) {
        Placement placement() {
            return new Placement(
                    new ItemRef(new CollectionKey(collectionKey), new ItemId(itemId)), tier, place, fromDay, untilDay);
        }
    }

    /** By tier, place and item. */
    List<StoredPlacement> ofSite(SiteKey site) {
        return jdbc.sql("""
                SELECT p.collection_key, p.item_id, p.tier, p.place, p.from_day, p.until_day, i.title FROM placement p
                LEFT JOIN item i ON i.site_key = p.site_key AND i.collection_key = p.collection_key AND i.item_id = p.item_id
                WHERE p.site_key = :site ORDER BY p.tier, p.place NULLS LAST, p.collection_key, p.item_id""")
                .param("site", site.value())
                .query(StoredPlacement.class)
                .list();
    }

    void put(SiteKey site, Placement placement) {
        jdbc.sql("""
                MERGE INTO placement (site_key, collection_key, item_id, tier, place, from_day, until_day) KEY (site_key, collection_key, item_id, tier)
                VALUES (:site, :collection, :id, :tier, :place, :from, :until)""")
                .param("site", site.value())
                .param("collection", placement.item().collection().value())
                .param("id", placement.item().id().value())
                .param("tier", placement.tier())
                .param("place", placement.place())
                .param("from", placement.from())
                .param("until", placement.until())
                .update();
    }

    void remove(SiteKey site, ItemRef item, String tier) {
        jdbc.sql(
                        "DELETE FROM placement WHERE site_key = :site AND collection_key = :collection AND item_id = :id AND tier = :tier")
                .param("site", site.value())
                .param("collection", item.collection().value())
                .param("id", item.id().value())
                .param("tier", tier)
                .update();
    }
}
