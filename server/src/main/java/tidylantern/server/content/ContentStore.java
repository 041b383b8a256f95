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
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.OwnerMark;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;
import tools.jackson.databind.json.JsonMapper;

/**
 * Items as their sources brought them, what was removed, and what owners marked; each change of a site has a number.
 */
@Component
public class ContentStore {
    private final JdbcClient jdbc;
    private final NamedParameterJdbcTemplate batches;
    private final JsonMapper json;

    ContentStore(JdbcClient jdbc, NamedParameterJdbcTemplate batches, JsonMapper json) {
        this.jdbc = jdbc;
        this.batches = batches;
        this.json = json;
    }

    boolean hasItems(SiteKey site) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM item WHERE site_key = :site)")
                .param("site", site.value())
                .query(Boolean.class)
                .single();
    }

    /** How many items each collection has; none for those without. Walks over all items of the site. */
    Map<String, Integer> counts(SiteKey site) {
        Map<String, Integer> counts = new HashMap<>();
        jdbc.sql(
                        "SELECT collection_key, COUNT(*) AS items FROM item WHERE site_key = :site GROUP BY collection_key ORDER BY collection_key")
                .param("site", site.value())
                .query(row -> {
                    counts.put(row.getString("collection_key"), row.getInt("items"));
                });
        return counts;
    }

    /** An item as its source brought it. */
    public record StoredItem(
            String collectionKey,
            String itemId,
            String properties,
            String title,
            @Nullable String address,
            long changeNumber,
            OffsetDateTime changed,
            @Nullable Long sourceId) {
        /** That brought it last; null where it was pushed. */
        @Nullable SourceId source() {
            return sourceId == null ? null : new SourceId(sourceId);
        }

        ItemRef ref() {
            return new ItemRef(new CollectionKey(collectionKey), new ItemId(itemId));
        }

        /** As it is after a change. */
        StoredItem changed(long number, OffsetDateTime when) {
            return new StoredItem(collectionKey, itemId, properties, title, address, number, when, sourceId);
        }
    }

    private static final String ITEM =
            "SELECT collection_key, item_id, properties, title, address, change_number, changed, source_id FROM item ";

    /** What an item says, and the source that brought it last. */
    public record Said(String properties, @Nullable Long sourceId) {
        /** Null where it was pushed. */
        public @Nullable SourceId source() {
            return sourceId == null ? null : new SourceId(sourceId);
        }
    }

    /** Whether there is such an item. */
    boolean has(SiteKey site, CollectionKey collection, String id) {
        return jdbc.sql(
                        "SELECT EXISTS (SELECT 1 FROM item WHERE site_key = :site AND collection_key = :collection AND item_id = :id)")
                .param("site", site.value())
                .param("collection", collection.value())
                .param("id", id)
                .query(Boolean.class)
                .single();
    }

    /**
     * What some items say, as their source brought them, by id; without those there are none of. Each is looked up by
     * its whole key: asked for a list, or joined the other way round, H2 walks over the whole collection, which makes a
     * large push quadratic.
     */
    public Map<String, Said> said(SiteKey site, CollectionKey collection, List<String> ids) {
        Map<String, Said> said = new HashMap<>();
        jdbc.sql("""
                SELECT item.item_id, item.properties, item.source_id FROM UNNEST(:ids) AS wanted (id)
                LEFT JOIN item ON item.site_key = :site AND item.collection_key = :collection AND item.item_id = wanted.id""")
                .param("ids", ids.toArray(String[]::new))
                .param("site", site.value())
                .param("collection", collection.value())
                .query(row -> {
                    String id = row.getString("item_id");
                    if (id != null) {
                        said.put(id, new Said(row.getString("properties"), row.getObject("source_id", Long.class)));
                    }
                });
        return said;
    }

    /** These items are a source's from now on, though it changed nothing. */
    public void claim(SiteKey site, CollectionKey collection, List<String> ids, SourceId source) {
        set("source_id", source.value(), site, collection, ids);
    }

    /** Keeps items that are new to their collections. */
    public void add(SiteKey site, List<StoredItem> items) {
        each("""
                INSERT INTO item (site_key, collection_key, item_id, properties, title, address, change_number, changed, source_id)
                VALUES (:site, :collection, :id, :properties, :title, :address, :change, :changed, :source)""", site, items);
    }

    /** Keeps items in place of what they were. */
    public void replace(SiteKey site, List<StoredItem> items) {
        each("""
                UPDATE item SET properties = :properties, title = :title, address = :address, change_number = :change,
                    changed = :changed, source_id = :source
                WHERE site_key = :site AND collection_key = :collection AND item_id = :id""", site, items);
    }

    private void each(String statement, SiteKey site, List<StoredItem> items) {
        batches.batchUpdate(
                statement,
                items.stream()
                        .map(item -> new MapSqlParameterSource("site", site.value())
                                .addValue("collection", item.collectionKey())
                                .addValue("id", item.itemId())
                                .addValue("properties", item.properties())
                                .addValue("title", item.title())
                                .addValue("address", item.address())
                                .addValue("change", item.changeNumber())
                                .addValue("changed", item.changed())
                                .addValue("source", item.sourceId(), java.sql.Types.BIGINT))
                        .toArray(MapSqlParameterSource[]::new));
    }

    /** Raises the site's number of changes, and with it locks out other writers of the site until the commit. */
    public long nextChange(SiteKey site) {
        jdbc.sql("UPDATE site SET last_change = last_change + 1 WHERE site_key = :site")
                .param("site", site.value())
                .update();
        return lastChange(site);
    }

    long lastChange(SiteKey site) {
        return jdbc.sql("SELECT last_change FROM site WHERE site_key = :site")
                .param("site", site.value())
                .query(Long.class)
                .single();
    }

    /** Marks every item of a collection as changed, so that the index reads it anew. */
    public void touch(SiteKey site, CollectionKey collection, long change) {
        jdbc.sql("UPDATE item SET change_number = :change WHERE site_key = :site AND collection_key = :collection")
                .param("site", site.value())
                .param("collection", collection.value())
                .param("change", change)
                .update();
    }

    /** The same for some of the items. */
    void touch(SiteKey site, CollectionKey collection, List<String> ids, long change) {
        set("change_number", change, site, collection, ids);
    }

    /** @param column one of the table's own, by a name from this class */
    private void set(String column, long value, SiteKey site, CollectionKey collection, List<String> ids) {
        batches.batchUpdate(
                "UPDATE item SET " + column
                        + " = :value WHERE site_key = :site AND collection_key = :collection AND item_id = :id",
                ids.stream()
                        .map(id -> new MapSqlParameterSource("site", site.value())
                                .addValue("collection", collection.value())
                                .addValue("id", id)
                                .addValue("value", value))
                        .toArray(MapSqlParameterSource[]::new));
    }

    /** Where a walk over the changes stands: after this item. */
    record Place(long changeNumber, String collection, String id) {}

    /**
     * The items that follow a place in the order of changes: a stretch of one change and collection, at most
     * {@code most} of them; none at the end. In steps that each follow the index: H2 compares rows (a, b, c) > (x, y,
     * z) one by one, and sorts anew unless the order names all of the index's columns.
     */
    List<StoredItem> changedAfter(SiteKey site, Place place, int most) {
        List<StoredItem> items = stretch(site, place, most);
        if (items.isEmpty()) {
            return nextStretch(site, place)
                    .map(next -> stretch(site, next, most))
                    .orElse(List.of());
        }
        return items;
    }

    private List<StoredItem> stretch(SiteKey site, Place after, int most) {
        return jdbc.sql(ITEM + """
                WHERE site_key = :site AND change_number = :change AND collection_key = :collection AND item_id > :id
                ORDER BY site_key, change_number, collection_key, item_id LIMIT :most""")
                .param("site", site.value())
                .param("change", after.changeNumber())
                .param("collection", after.collection())
                .param("id", after.id())
                .param("most", most)
                .query(StoredItem.class)
                .list();
    }

    private Optional<Place> nextStretch(SiteKey site, Place after) {
        Optional<Place> sameChange = jdbc.sql("""
                SELECT change_number, collection_key AS collection, '' AS id FROM item
                WHERE site_key = :site AND change_number = :change AND collection_key > :collection
                ORDER BY site_key, change_number, collection_key LIMIT 1""")
                .param("site", site.value())
                .param("change", after.changeNumber())
                .param("collection", after.collection())
                .query(Place.class)
                .optional();
        return sameChange.isPresent()
                ? sameChange
                : jdbc.sql("""
                SELECT change_number, collection_key AS collection, '' AS id FROM item
                WHERE site_key = :site AND change_number > :change
                ORDER BY site_key, change_number, collection_key LIMIT 1""")
                        .param("site", site.value())
                        .param("change", after.changeNumber())
                        .query(Place.class)
                        .optional();
    }

    /**
     * The items of a collection whose ids follow one, by id; at most {@code most} of them. The empty id comes before
     * all.
     */
    List<StoredItem> itemsAfter(SiteKey site, CollectionKey collection, String id, int most) {
        return jdbc.sql(ITEM + """
                WHERE site_key = :site AND collection_key = :collection AND item_id > :id
                ORDER BY site_key, collection_key, item_id LIMIT :most""")
                .param("site", site.value())
                .param("collection", collection.value())
                .param("id", id)
                .param("most", most)
                .query(StoredItem.class)
                .list();
    }

    public Optional<StoredItem> item(SiteKey site, CollectionKey collection, String id) {
        return jdbc.sql(ITEM + "WHERE site_key = :site AND collection_key = :collection AND item_id = :id")
                .param("site", site.value())
                .param("collection", collection.value())
                .param("id", id)
                .query(StoredItem.class)
                .optional();
    }

    /** What an item is called; its id where it is gone. */
    String titleOf(SiteKey site, ItemRef item) {
        return jdbc.sql(
                        "SELECT title FROM item WHERE site_key = :site AND collection_key = :collection AND item_id = :id")
                .param("site", site.value())
                .param("collection", item.collection().value())
                .param("id", item.id().value())
                .query(String.class)
                .optional()
                .orElse(item.id().value());
    }

    /** How many items a collection has. Walks over all of them. */
    public int count(SiteKey site, CollectionKey collection) {
        return jdbc.sql("SELECT COUNT(*) FROM item WHERE site_key = :site AND collection_key = :collection")
                .param("site", site.value())
                .param("collection", collection.value())
                .query(Integer.class)
                .single();
    }

    /** An item's id and its title. */
    public record Titled(String itemId, String title) {}

    /**
     * Some by id; of those that one source last brought, or of all of the collection.
     *
     * @param last id of the one before the first; empty to begin
     */
    public List<Titled> titlesAfter(
            SiteKey site, CollectionKey collection, @Nullable SourceId source, String last, int most) {
        return jdbc.sql("""
                SELECT item_id, title FROM item
                WHERE site_key = :site AND collection_key = :collection AND item_id > :last
                AND (source_id = :source OR :source IS NULL)
                ORDER BY site_key, collection_key, item_id LIMIT :most""")
                .param("site", site.value())
                .param("collection", collection.value())
                .param("source", source == null ? null : source.value(), java.sql.Types.BIGINT)
                .param("last", last)
                .param("most", most)
                .query(Titled.class)
                .list();
    }

    void remove(SiteKey site, CollectionKey collection, List<String> ids, long change) {
        MapSqlParameterSource[] each = ids.stream()
                .map(id -> new MapSqlParameterSource("site", site.value())
                        .addValue("collection", collection.value())
                        .addValue("id", id)
                        .addValue("change", change))
                .toArray(MapSqlParameterSource[]::new);
        batches.batchUpdate(
                "DELETE FROM item WHERE site_key = :site AND collection_key = :collection AND item_id = :id", each);
        batches.batchUpdate("""
                MERGE INTO removed_item (site_key, collection_key, item_id, change_number) KEY (site_key, collection_key, item_id)
                VALUES (:site, :collection, :id, :change)""", each);
    }

    /** These are there (again), so no index may take them out any more. */
    public void notRemoved(SiteKey site, CollectionKey collection, List<String> ids) {
        batches.batchUpdate(
                "DELETE FROM removed_item WHERE site_key = :site AND collection_key = :collection AND item_id = :id",
                ids.stream()
                        .map(id -> new MapSqlParameterSource("site", site.value())
                                .addValue("collection", collection.value())
                                .addValue("id", id))
                        .toArray(MapSqlParameterSource[]::new));
    }

    /** What was removed by a change after {@code change}, and has not come back. */
    List<ItemRef> removedAfter(SiteKey site, long change) {
        return jdbc.sql(
                        "SELECT collection_key, item_id FROM removed_item WHERE site_key = :site AND change_number > :change ORDER BY collection_key, item_id")
                .param("site", site.value())
                .param("change", change)
                .query((row, n) -> new ItemRef(
                        new CollectionKey(row.getString("collection_key")), new ItemId(row.getString("item_id"))))
                .list();
    }

    /** The marks of the items from one id to another, by id. */
    Map<String, OwnerMark> marks(SiteKey site, String collection, String first, String last) {
        Map<String, OwnerMark> marks = new HashMap<>();
        jdbc.sql(
                        "SELECT item_id, mark FROM item_mark WHERE site_key = :site AND collection_key = :collection AND item_id >= :first AND item_id <= :last ORDER BY site_key, collection_key, item_id")
                .param("site", site.value())
                .param("collection", collection)
                .param("first", first)
                .param("last", last)
                .query(row -> {
                    marks.put(row.getString("item_id"), json.readValue(row.getString("mark"), OwnerMark.class));
                });
        return marks;
    }

    /** All marks of a collection, by item. */
    Map<String, OwnerMark> marks(SiteKey site, String collection) {
        return marks(site, collection, "", "\uffff");
    }

    /** Puts a mark in place of the one before, and takes one away that says nothing. */
    void putMark(SiteKey site, ItemRef item, OwnerMark mark) {
        if (mark.saysNothing()) {
            jdbc.sql("DELETE FROM item_mark WHERE site_key = :site AND collection_key = :collection AND item_id = :id")
                    .param("site", site.value())
                    .param("collection", item.collection().value())
                    .param("id", item.id().value())
                    .update();
            return;
        }
        jdbc.sql(
                        "MERGE INTO item_mark (site_key, collection_key, item_id, mark) KEY (site_key, collection_key, item_id) VALUES (:site, :collection, :id, :mark)")
                .param("site", site.value())
                .param("collection", item.collection().value())
                .param("id", item.id().value())
                .param("mark", json.writeValueAsString(mark))
                .update();
    }

    /** Marks one item as changed, so that the index reads it anew. */
    void touch(SiteKey site, ItemRef item, long change) {
        jdbc.sql(
                        "UPDATE item SET change_number = :change WHERE site_key = :site AND collection_key = :collection AND item_id = :id")
                .param("site", site.value())
                .param("collection", item.collection().value())
                .param("id", item.id().value())
                .param("change", change)
                .update();
    }

    /** Has what was committed written to the disk itself, so that a power cut keeps it too. */
    void force() {
        jdbc.sql("CHECKPOINT SYNC").update();
    }
}
