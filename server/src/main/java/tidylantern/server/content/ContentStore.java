package tidylantern.server.content;

import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;

@Component
class ContentStore {
    private final JdbcClient jdbc;
    private final NamedParameterJdbcTemplate batches;

    ContentStore(JdbcClient jdbc, NamedParameterJdbcTemplate batches) {
        this.jdbc = jdbc;
        this.batches = batches;
    }

    record StoredCollection(String collectionKey, String label, String language) {}

    /** In the owner's order. */
    List<StoredCollection> collections(String site) {
        return jdbc.sql("SELECT collection_key, label, language FROM collection WHERE site_key = :site ORDER BY place, collection_key")
                .param("site", site).query(StoredCollection.class).list();
    }

    void addCollection(String site, StoredCollection collection) {
        jdbc.sql("""
                INSERT INTO collection (site_key, collection_key, label, language, place)
                VALUES (:site, :key, :label, :language, (SELECT COUNT(*) FROM collection WHERE site_key = :site))""")
                .param("site", site).param("key", collection.collectionKey()).param("label", collection.label())
                .param("language", collection.language()).update();
    }

    void changeCollection(String site, StoredCollection collection) {
        jdbc.sql("UPDATE collection SET label = :label, language = :language WHERE site_key = :site AND collection_key = :key")
                .param("site", site).param("key", collection.collectionKey()).param("label", collection.label())
                .param("language", collection.language()).update();
    }

    /** By collection; each in the order in which its fields were first seen. */
    Map<String, List<Field>> fields(String site) {
        Map<String, List<Field>> byCollection = new HashMap<>();
        jdbc.sql("SELECT collection_key, field_key, kind, property, label FROM field WHERE site_key = :site ORDER BY collection_key, place, field_key")
                .param("site", site)
                .query(row -> {
                    byCollection.computeIfAbsent(row.getString("collection_key"), key -> new java.util.ArrayList<>())
                            .add(new Field(new FieldKey(row.getString("field_key")), FieldKind.of(row.getString("kind")),
                                    row.getString("property"), row.getString("label")));
                });
        return byCollection;
    }

    void addField(String site, CollectionKey collection, Field field) {
        jdbc.sql("""
                INSERT INTO field (site_key, collection_key, field_key, kind, property, label, place)
                VALUES (:site, :collection, :key, :kind, :property, :label,
                        (SELECT COUNT(*) FROM field WHERE site_key = :site AND collection_key = :collection))""")
                .param("site", site).param("collection", collection.value()).param("key", field.key().value())
                .param("kind", field.kind().toString()).param("property", field.property()).param("label", field.label()).update();
    }

    void changeField(String site, CollectionKey collection, Field field) {
        jdbc.sql("UPDATE field SET kind = :kind, label = :label WHERE site_key = :site AND collection_key = :collection AND field_key = :key")
                .param("site", site).param("collection", collection.value()).param("key", field.key().value())
                .param("kind", field.kind().toString()).param("label", field.label()).update();
    }

    /** How many items each collection has; none for those without. */
    Map<String, Integer> counts(String site) {
        Map<String, Integer> counts = new HashMap<>();
        jdbc.sql("SELECT collection_key, COUNT(*) AS items FROM item WHERE site_key = :site GROUP BY collection_key ORDER BY collection_key")
                .param("site", site).query(row -> {
                    counts.put(row.getString("collection_key"), row.getInt("items"));
                });
        return counts;
    }

    /** An item as its source brought it. */
    record StoredItem(String collectionKey, String itemId, String properties, String title, @Nullable String address,
            long changeNumber, OffsetDateTime changed) {}

    /**
     * What an item says, as its source brought it. One look-up by its whole key: asked for a list, H2 walks over the whole
     * collection, which makes a large push quadratic.
     */
    Optional<String> properties(String site, CollectionKey collection, String id) {
        return jdbc.sql("SELECT properties FROM item WHERE site_key = :site AND collection_key = :collection AND item_id = :id")
                .param("site", site).param("collection", collection.value()).param("id", id).query(String.class).optional();
    }

    void put(String site, List<StoredItem> items) {
        batches.batchUpdate("""
                MERGE INTO item (site_key, collection_key, item_id, properties, title, address, change_number, changed)
                KEY (site_key, collection_key, item_id)
                VALUES (:site, :collection, :id, :properties, :title, :address, :change, :changed)""",
                items.stream().map(item -> new MapSqlParameterSource("site", site).addValue("collection", item.collectionKey())
                        .addValue("id", item.itemId()).addValue("properties", item.properties()).addValue("title", item.title())
                        .addValue("address", item.address()).addValue("change", item.changeNumber()).addValue("changed", item.changed()))
                        .toArray(MapSqlParameterSource[]::new));
    }

    /** Raises the site's number of changes, and with it locks out other writers of the site until the commit. */
    long nextChange(String site) {
        jdbc.sql("UPDATE site SET last_change = last_change + 1 WHERE site_key = :site").param("site", site).update();
        return lastChange(site);
    }

    long lastChange(String site) {
        return jdbc.sql("SELECT last_change FROM site WHERE site_key = :site").param("site", site).query(Long.class).single();
    }

    /** Marks every item of a collection as changed, so that the index reads it anew. */
    void touch(String site, CollectionKey collection, long change) {
        jdbc.sql("UPDATE item SET change_number = :change WHERE site_key = :site AND collection_key = :collection")
                .param("site", site).param("collection", collection.value()).param("change", change).update();
    }

    /** Where a walk over the changes stands: after this item. */
    record Place(long changeNumber, String collection, String id) {}

    /**
     * The items that follow a place in the order of changes: a stretch of one change and collection, at most {@code most}
     * of them; none at the end. In steps that each follow the index: H2 compares rows
     * (a, b, c) > (x, y, z) one by one, and sorts anew unless the order names all of the index's columns.
     */
    List<StoredItem> changedAfter(String site, Place place, int most) {
        List<StoredItem> items = stretch(site, place, most);
        if (items.isEmpty()) {
            return nextStretch(site, place).map(next -> stretch(site, next, most)).orElse(List.of());
        }
        return items;
    }

    private List<StoredItem> stretch(String site, Place after, int most) {
        return jdbc.sql("""
                SELECT collection_key, item_id, properties, title, address, change_number, changed FROM item
                WHERE site_key = :site AND change_number = :change AND collection_key = :collection AND item_id > :id
                ORDER BY site_key, change_number, collection_key, item_id LIMIT :most""")
                .param("site", site).param("change", after.changeNumber()).param("collection", after.collection()).param("id", after.id())
                .param("most", most).query(StoredItem.class).list();
    }

    private Optional<Place> nextStretch(String site, Place after) {
        Optional<Place> sameChange = jdbc.sql("""
                SELECT change_number, collection_key AS collection, '' AS id FROM item
                WHERE site_key = :site AND change_number = :change AND collection_key > :collection
                ORDER BY site_key, change_number, collection_key LIMIT 1""")
                .param("site", site).param("change", after.changeNumber()).param("collection", after.collection()).query(Place.class).optional();
        return sameChange.isPresent() ? sameChange : jdbc.sql("""
                SELECT change_number, collection_key AS collection, '' AS id FROM item
                WHERE site_key = :site AND change_number > :change
                ORDER BY site_key, change_number, collection_key LIMIT 1""")
                .param("site", site).param("change", after.changeNumber()).query(Place.class).optional();
    }

    /** One page of a collection's items whose title or id holds {@code words}, by title. */
    List<StoredItem> page(String site, CollectionKey collection, String words, int offset, int most) {
        return jdbc.sql("""
                SELECT collection_key, item_id, properties, title, address, change_number, changed FROM item
                WHERE site_key = :site AND collection_key = :collection AND (LOCATE(:words, LOWER(title)) > 0 OR LOCATE(:words, LOWER(item_id)) > 0)
                ORDER BY LOWER(title), item_id OFFSET :offset ROWS FETCH NEXT :most ROWS ONLY""")
                .param("site", site).param("collection", collection.value()).param("words", words)
                .param("offset", offset).param("most", most).query(StoredItem.class).list();
    }

    int count(String site, CollectionKey collection, String words) {
        return jdbc.sql("""
                SELECT COUNT(*) FROM item
                WHERE site_key = :site AND collection_key = :collection AND (LOCATE(:words, LOWER(title)) > 0 OR LOCATE(:words, LOWER(item_id)) > 0)""")
                .param("site", site).param("collection", collection.value()).param("words", words).query(Integer.class).single();
    }

    /** Has what was committed written to the disk itself, so that a power cut keeps it too. */
    void force() {
        jdbc.sql("CHECKPOINT SYNC").update();
    }
}
