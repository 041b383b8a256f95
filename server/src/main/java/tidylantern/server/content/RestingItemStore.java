package tidylantern.server.content;

import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.core.content.CollectionKey;
import tidylantern.server.key.SiteKey;

@Component
class RestingItemStore {
    private static final String OF_A_REMOVAL =
            "r.site_key = :site AND r.collection_key = :collection AND r.removed_by = :removal ";
    private static final String THERE_AGAIN = """
            EXISTS (SELECT 1 FROM item i
            WHERE i.site_key = r.site_key AND i.collection_key = r.collection_key AND i.item_id = r.item_id)
            """;

    private final JdbcClient jdbc;
    private final NamedParameterJdbcTemplate batches;

    RestingItemStore(JdbcClient jdbc, NamedParameterJdbcTemplate batches) {
        this.jdbc = jdbc;
        this.batches = batches;
    }

    /** Lays items to rest as they are now; to be called before they are removed. */
    void lay(SiteKey site, CollectionKey collection, long removal, List<String> ids, OffsetDateTime now) {
        batches.batchUpdate(
                """
                MERGE INTO resting_item
                (site_key, collection_key, removed_by, item_id, properties, title, address, source_id, rests_from)
                KEY (site_key, collection_key, removed_by, item_id)
                SELECT site_key, collection_key, :removal, item_id, properties, title, address, source_id, :now
                FROM item WHERE site_key = :site AND collection_key = :collection AND item_id = :id""",
                ids.stream()
                        .map(id -> new MapSqlParameterSource("site", site.value())
                                .addValue("collection", collection.value())
                                .addValue("removal", removal)
                                .addValue("id", id)
                                .addValue("now", now))
                        .toArray(MapSqlParameterSource[]::new));
    }

    /** How many items of a removal rest, and how many of them are there again. */
    record Rest(int items, int thereAgain) {}

    Rest of(SiteKey site, CollectionKey collection, long removal) {
        return jdbc.sql("SELECT COUNT(*) AS items, COUNT(CASE WHEN " + THERE_AGAIN
                        + "THEN 1 END) AS there_again FROM resting_item r WHERE " + OF_A_REMOVAL)
                .param("site", site.value())
                .param("collection", collection.value())
                .param("removal", removal)
                .query(Rest.class)
                .single();
    }

    /**
     * Items of a removal by id, as they were; those that are gone, or those that are there again.
     *
     * @param last id of the one before the first; empty to begin
     */
    List<ContentStore.StoredItem> after(
            SiteKey site, CollectionKey collection, long removal, boolean gone, String last, int most) {
        return jdbc.sql("""
                SELECT r.collection_key, r.item_id, r.properties, r.title, r.address, r.removed_by AS change_number,
                r.rests_from AS changed, s.source_id
                FROM resting_item r LEFT JOIN source s ON s.source_id = r.source_id WHERE\s""" + OF_A_REMOVAL + "AND "
                        + (gone ? "NOT " : "") + THERE_AGAIN
                        + "AND r.item_id > :last ORDER BY r.site_key, r.collection_key, r.removed_by, r.item_id "
                        + "LIMIT :most")
                .param("site", site.value())
                .param("collection", collection.value())
                .param("removal", removal)
                .param("last", last)
                .param("most", most)
                .query(ContentStore.StoredItem.class)
                .list();
    }

    /** Has the days of a removal begin again. */
    void restAnew(SiteKey site, CollectionKey collection, long removal, OffsetDateTime now) {
        jdbc.sql("UPDATE resting_item r SET rests_from = :now WHERE " + OF_A_REMOVAL)
                .param("site", site.value())
                .param("collection", collection.value())
                .param("removal", removal)
                .param("now", now)
                .update();
    }

    int forgetBefore(OffsetDateTime then) {
        return jdbc.sql("DELETE FROM resting_item WHERE rests_from < :then")
                .param("then", then)
                .update();
    }
}
