package tidylantern.server.deletion;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Types;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.PrivateFiles;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Moves rows out of their tables into {@code deleted}, and back. */
@Component
class DeletionStore {
    private static final int BATCH = 500;
    private static final TypeReference<LinkedHashMap<String, @Nullable Object>> ROW = new TypeReference<>() {};
    private static final String OF_SOURCES = "source_id IN (SELECT source_id FROM source WHERE %s)";
    private static final String OF_SEARCHES = "search_key IN (SELECT search_key FROM search WHERE %s)";
    private static final String TABLE = "table";
    private static final String DELETION =
            "SELECT deleted_id, kind, site_key, own_key, name, deleted, deleted_by FROM deleted ";

    private final JdbcClient jdbc;
    private final NamedParameterJdbcTemplate batches;
    private final JsonMapper json;

    DeletionStore(JdbcClient jdbc, NamedParameterJdbcTemplate batches, JsonMapper json) {
        this.jdbc = jdbc;
        this.batches = batches;
        this.json = json;
    }

    /** @param ownKey of the site, collection or search itself */
    record StoredDeletion(
            long deletedId,
            String kind,
            String siteKey,
            String ownKey,
            String name,
            OffsetDateTime deleted,
            String deletedBy) {
        SiteKey site() {
            return new SiteKey(siteKey);
        }
    }

    /** Rows of one table that belong to what is deleted. */
    private record Rows(String table, String where) {}

    /**
     * What belongs to each kind, in the order in which it can be put back. Access keys are not among it: whoever
     * deletes a site ends them for good.
     */
    private static List<Rows> rowsOf(Deletions.Kind kind) {
        String own =
                switch (kind) {
                    case SITE -> "site_key = :site";
                    case COLLECTION -> "site_key = :site AND collection_key = :key";
                    case SOURCE -> "source_id = :key";
                    case SEARCH -> "search_key = :key";
                };
        List<Rows> rows = new ArrayList<>();
        if (kind == Deletions.Kind.SITE) {
            List.of("site", "site_person", "site_origin", "own_place", "owner_change")
                    .forEach(table -> rows.add(new Rows(table, own)));
        }
        if (kind == Deletions.Kind.SITE || kind == Deletions.Kind.COLLECTION) {
            List.of("collection", "field", "merged_value", "item", "item_mark", "placement", "resting_item")
                    .forEach(table -> rows.add(new Rows(table, own)));
        }
        if (kind != Deletions.Kind.SEARCH) {
            rows.add(new Rows("source", own));
            // A run that is under way ends with its source.
            rows.add(new Rows("sync", OF_SOURCES.formatted(own) + " AND ended IS NOT NULL"));
            rows.add(new Rows("crawled_page", OF_SOURCES.formatted(own)));
        }
        if (kind == Deletions.Kind.SITE || kind == Deletions.Kind.SEARCH) {
            rows.add(new Rows("search", own));
            List.of(
                            "search_version",
                            "trial",
                            "asked_query",
                            "chosen_item",
                            "search_page",
                            "former_search_key",
                            "test_page",
                            "left_point")
                    .forEach(table -> rows.add(new Rows(table, OF_SEARCHES.formatted(own))));
        }
        return rows;
    }

    /** @return its number */
    long delete(
            Deletions.Kind kind, SiteKey site, String key, String name, OffsetDateTime now, String by, Path folder) {
        Path file = null;
        try {
            file = PrivateFiles.make(folder, "deleted-");
            write(kind, site, key, file);
            GeneratedKeyHolder number = new GeneratedKeyHolder();
            try (InputStream rows = Files.newInputStream(file)) {
                jdbc.sql(
                                "INSERT INTO deleted (kind, site_key, own_key, name, deleted, deleted_by, kept_rows) VALUES (:kind, :site, :key, :name, :now, :by, :rows)")
                        .param("kind", kind.toString())
                        .param("site", site.value())
                        .param("key", key)
                        .param("name", name)
                        .param("now", now)
                        .param("by", by)
                        .param("rows", rows, Types.BLOB)
                        .update(number, "deleted_id");
            }
            // The rest goes with it, by its foreign keys.
            Rows first = rowsOf(kind).getFirst();
            batches.update("DELETE FROM " + first.table() + " WHERE " + first.where(), of(site, key));
            return Objects.requireNonNull(number.getKey()).longValue();
        } catch (IOException failure) {
            throw new UncheckedIOException("keeping what is deleted", failure);
        } finally {
            remove(file);
        }
    }

    private static MapSqlParameterSource of(SiteKey site, String key) {
        return new MapSqlParameterSource("site", site.value()).addValue("key", key);
    }

    private void write(Deletions.Kind kind, SiteKey site, String key, Path file) throws IOException {
        try (BufferedWriter out = new BufferedWriter(
                new OutputStreamWriter(new GZIPOutputStream(Files.newOutputStream(file)), StandardCharsets.UTF_8))) {
            for (Rows rows : rowsOf(kind)) {
                batches.query("SELECT * FROM " + rows.table() + " WHERE " + rows.where(), of(site, key), row -> {
                    try {
                        out.write(json.writeValueAsString(columns(rows.table(), row)));
                        out.newLine();
                    } catch (IOException failure) {
                        throw new UncheckedIOException(failure);
                    }
                });
            }
        } catch (UncheckedIOException failure) {
            throw failure.getCause();
        }
    }

    private static Map<String, @Nullable Object> columns(String table, ResultSet row) throws SQLException {
        Map<String, @Nullable Object> columns = new LinkedHashMap<>();
        columns.put(TABLE, table);
        ResultSetMetaData shape = row.getMetaData();
        for (int i = 1; i <= shape.getColumnCount(); i++) {
            // The database reads its own spelling of times and numbers again.
            columns.put(shape.getColumnName(i).toLowerCase(Locale.ROOT), row.getString(i));
        }
        return columns;
    }

    private static void remove(@Nullable Path file) {
        try {
            if (file != null) {
                Files.deleteIfExists(file);
            }
        } catch (IOException failure) {
            throw new UncheckedIOException("removing a temporary file", failure);
        }
    }

    /** Puts the rows back where they were. */
    void bringBack(long number) {
        jdbc.sql("SELECT kept_rows FROM deleted WHERE deleted_id = :number")
                .param("number", number)
                .query(row -> {
                    try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                            new GZIPInputStream(row.getBinaryStream(1)), StandardCharsets.UTF_8))) {
                        List<Map<String, @Nullable Object>> batch = new ArrayList<>();
                        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                            Map<String, @Nullable Object> one = json.readValue(line, ROW);
                            if (!batch.isEmpty()
                                    && (batch.size() == BATCH
                                            || !Objects.equals(
                                                    one.get(TABLE),
                                                    batch.getFirst().get(TABLE)))) {
                                insert(batch);
                                batch.clear();
                            }
                            batch.add(one);
                        }
                        if (!batch.isEmpty()) {
                            insert(batch);
                        }
                    } catch (IOException failure) {
                        throw new UncheckedIOException("reading what was deleted", failure);
                    }
                });
        forget(number);
    }

    private void insert(List<Map<String, @Nullable Object>> rows) {
        List<String> columns = rows.getFirst().keySet().stream()
                .filter(column -> !column.equals(TABLE))
                .toList();
        String sql = "INSERT INTO %s (%s) OVERRIDING SYSTEM VALUE VALUES (%s)"
                .formatted(
                        rows.getFirst().get(TABLE),
                        String.join(", ", columns),
                        String.join(
                                ", ",
                                columns.stream().map(column -> ":" + column).toList()));
        batches.batchUpdate(
                sql,
                rows.stream()
                        .map(row -> {
                            MapSqlParameterSource values = new MapSqlParameterSource();
                            columns.forEach(column -> values.addValue(column, row.get(column)));
                            return values;
                        })
                        .toArray(MapSqlParameterSource[]::new));
    }

    void forget(long number) {
        jdbc.sql("DELETE FROM deleted WHERE deleted_id = :number")
                .param("number", number)
                .update();
    }

    int forgetBefore(OffsetDateTime then) {
        return jdbc.sql("DELETE FROM deleted WHERE deleted < :then")
                .param("then", then)
                .update();
    }

    /** The newest first. */
    List<StoredDeletion> all() {
        return jdbc.sql(DELETION + "ORDER BY deleted_id DESC")
                .query(StoredDeletion.class)
                .list();
    }

    Optional<StoredDeletion> find(long number) {
        return jdbc.sql(DELETION + "WHERE deleted_id = :number")
                .param("number", number)
                .query(StoredDeletion.class)
                .optional();
    }

    /** Whether the place of what was deleted is taken by another. */
    boolean taken(StoredDeletion deletion) {
        Rows first = rowsOf(Deletions.Kind.of(deletion.kind())).getFirst();
        Integer there = batches.queryForObject(
                "SELECT COUNT(*) FROM " + first.table() + " WHERE " + first.where(),
                of(deletion.site(), deletion.ownKey()),
                Integer.class);
        return there != null && there > 0;
    }
}
