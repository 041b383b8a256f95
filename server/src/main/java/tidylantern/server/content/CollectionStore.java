package tidylantern.server.content;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.server.key.SiteKey;
import tools.jackson.databind.json.JsonMapper;

/** Collections, and what is known of their fields. */
@Component
public class CollectionStore {
    private final JdbcClient jdbc;
    private final JsonMapper json;

    CollectionStore(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    record StoredCollection(String collectionKey, String label, String language) {}

    /** In the owner's order. */
    List<StoredCollection> collections(SiteKey site) {
        return jdbc.sql("""
                SELECT collection_key, label, language
                FROM collection
                WHERE site_key = :site
                ORDER BY place, collection_key""")
                .param("site", site.value())
                .query(StoredCollection.class)
                .list();
    }

    void addCollection(SiteKey site, StoredCollection collection) {
        jdbc.sql("""
                INSERT INTO collection (site_key, collection_key, label, language, place)
                VALUES (:site, :key, :label, :language, (SELECT COUNT(*) FROM collection WHERE site_key = :site))""")
                .param("site", site.value())
                .param("key", collection.collectionKey())
                .param("label", collection.label())
                .param("language", collection.language())
                .update();
    }

    void changeCollection(SiteKey site, StoredCollection collection) {
        jdbc.sql("""
                UPDATE collection
                SET label = :label, language = :language
                WHERE site_key = :site AND collection_key = :key""")
                .param("site", site.value())
                .param("key", collection.collectionKey())
                .param("label", collection.label())
                .param("language", collection.language())
                .update();
    }

    /** By collection; each in the order in which its fields were first seen. */
    Map<String, List<Field>> fields(SiteKey site) {
        Map<String, Map<CategoryPath, CategoryPath>> merged = merged(site);
        Map<String, List<Field>> byCollection = new HashMap<>();
        jdbc.sql("""
                SELECT collection_key, field_key, kind, property, label, unit, guessed
                FROM field
                WHERE site_key = :site
                ORDER BY collection_key, place, field_key""").param("site", site.value()).query(row -> {
            String collection = row.getString("collection_key");
            String key = row.getString("field_key");
            byCollection
                    .computeIfAbsent(collection, of -> new ArrayList<>())
                    .add(new Field(
                            new FieldKey(key),
                            FieldKind.of(row.getString("kind")),
                            row.getString("property"),
                            row.getString("label"),
                            row.getString("unit"),
                            merged.getOrDefault(collection + "/" + key, Map.of()),
                            row.getBoolean("guessed")));
        });
        return byCollection;
    }

    /** By collection and field, a slash between the two. */
    private Map<String, Map<CategoryPath, CategoryPath>> merged(SiteKey site) {
        Map<String, Map<CategoryPath, CategoryPath>> merged = new HashMap<>();
        jdbc.sql("""
                SELECT collection_key, field_key, from_path, into_path
                FROM merged_value
                WHERE site_key = :site
                ORDER BY collection_key, field_key, from_path""").param("site", site.value()).query(row -> {
            merged.computeIfAbsent(
                            row.getString("collection_key") + "/" + row.getString("field_key"), key -> new HashMap<>())
                    .put(path(row.getString("from_path")), path(row.getString("into_path")));
        });
        return merged;
    }

    private CategoryPath path(String names) {
        return new CategoryPath(List.of(json.readValue(names, String[].class)));
    }

    /** Puts what a field's merged values are in place of what they were. */
    void putMerged(SiteKey site, CollectionKey collection, Field field) {
        jdbc.sql("""
                DELETE
                FROM merged_value
                WHERE site_key = :site AND collection_key = :collection AND field_key = :field""")
                .param("site", site.value())
                .param("collection", collection.value())
                .param("field", field.key().value())
                .update();
        field.merged().forEach((from, into) -> jdbc.sql("""
                INSERT INTO merged_value (site_key, collection_key, field_key, from_path, into_path)
                VALUES (:site, :collection, :field, :from, :into)""")
                .param("site", site.value())
                .param("collection", collection.value())
                .param("field", field.key().value())
                .param("from", json.writeValueAsString(from.names()))
                .param("into", json.writeValueAsString(into.names()))
                .update());
    }

    public void addField(SiteKey site, CollectionKey collection, Field field) {
        jdbc.sql("""
                INSERT INTO field (site_key, collection_key, field_key, kind, property, label, unit, guessed, place)
                VALUES (:site, :collection, :key, :kind, :property, :label, :unit, :guessed,
                        (SELECT COUNT(*) FROM field WHERE site_key = :site AND collection_key = :collection))""")
                .param("site", site.value())
                .param("collection", collection.value())
                .param("key", field.key().value())
                .param("kind", field.kind().toString())
                .param("property", field.property())
                .param("label", field.label())
                .param("unit", field.unit())
                .param("guessed", field.guessed())
                .update();
    }

    public void changeField(SiteKey site, CollectionKey collection, Field field) {
        jdbc.sql("""
                UPDATE field
                SET kind = :kind, label = :label, unit = :unit, guessed = :guessed
                WHERE site_key = :site AND collection_key = :collection AND field_key = :key""")
                .param("site", site.value())
                .param("collection", collection.value())
                .param("key", field.key().value())
                .param("kind", field.kind().toString())
                .param("label", field.label())
                .param("unit", field.unit())
                .param("guessed", field.guessed())
                .update();
    }
}
