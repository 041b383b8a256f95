package tidylantern.server.source;

import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;
import tidylantern.server.key.SyncId;

@Component
class SourceStore {
    private static final String SOURCE =
            "SELECT source_id, site_key, collection_key, name, settings, mapping, removes_missing, schedule, next_run, secrets FROM source ";
    private static final String SYNC = "SELECT sync_id, source_id, state, begun, begun_by, ended, report FROM sync ";

    private final JdbcClient jdbc;
    private final NamedParameterJdbcTemplate batches;

    SourceStore(JdbcClient jdbc, NamedParameterJdbcTemplate batches) {
        this.jdbc = jdbc;
        this.batches = batches;
    }

    /**
     * @param nextRun null for a source that runs by hand alone
     * @param secrets of its address, as a JSON object
     */
    record StoredSource(
            long sourceId,
            String siteKey,
            String collectionKey,
            String name,
            String settings,
            String mapping,
            boolean removesMissing,
            String schedule,
            @Nullable OffsetDateTime nextRun,
            String secrets) {
        SourceId source() {
            return new SourceId(sourceId);
        }

        SiteKey site() {
            return new SiteKey(siteKey);
        }
    }

    /** By id. */
    List<StoredSource> ofSite(SiteKey site) {
        return jdbc.sql(SOURCE + "WHERE site_key = :site ORDER BY source_id")
                .param("site", site.value())
                .query(StoredSource.class)
                .list();
    }

    Optional<StoredSource> find(SourceId source) {
        return jdbc.sql(SOURCE + "WHERE source_id = :source")
                .param("source", source.value())
                .query(StoredSource.class)
                .optional();
    }

    /** The settings of every source there is. */
    List<String> settings() {
        return jdbc.sql("SELECT settings FROM source ORDER BY source_id")
                .query(String.class)
                .list();
    }

    /** Those whose time has come, by id. */
    List<StoredSource> due(OffsetDateTime now) {
        return jdbc.sql(SOURCE + "WHERE next_run <= :now ORDER BY source_id")
                .param("now", now)
                .query(StoredSource.class)
                .list();
    }

    SourceId add(StoredSource source) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        jdbc.sql("""
                INSERT INTO source (site_key, collection_key, name, settings, mapping, removes_missing, schedule, next_run, secrets)
                VALUES (:site, :collection, :name, :settings, :mapping, :removes, :schedule, :next, :secrets)""")
                .param("site", source.siteKey())
                .param("collection", source.collectionKey())
                .param("name", source.name())
                .param("settings", source.settings())
                .param("mapping", source.mapping())
                .param("removes", source.removesMissing())
                .param("schedule", source.schedule())
                .param("next", source.nextRun(), java.sql.Types.TIMESTAMP_WITH_TIMEZONE)
                .param("secrets", source.secrets())
                .update(key, "source_id");
        Number made = key.getKey();
        if (made == null) {
            throw new IllegalStateException("the database gave the source no id");
        }
        return new SourceId(made.longValue());
    }

    void change(StoredSource source) {
        jdbc.sql(
                        "UPDATE source SET name = :name, settings = :settings, mapping = :mapping, removes_missing = :removes, schedule = :schedule, next_run = :next, secrets = :secrets WHERE source_id = :source")
                .param("name", source.name())
                .param("settings", source.settings())
                .param("mapping", source.mapping())
                .param("removes", source.removesMissing())
                .param("schedule", source.schedule())
                .param("next", source.nextRun(), java.sql.Types.TIMESTAMP_WITH_TIMEZONE)
                .param("secrets", source.secrets())
                .param("source", source.sourceId())
                .update();
    }

    void nextRun(SourceId source, @Nullable OffsetDateTime next) {
        jdbc.sql("UPDATE source SET next_run = :next WHERE source_id = :source")
                .param("next", next, java.sql.Types.TIMESTAMP_WITH_TIMEZONE)
                .param("source", source.value())
                .update();
    }

    void delete(SourceId source) {
        jdbc.sql("DELETE FROM source WHERE source_id = :source")
                .param("source", source.value())
                .update();
    }

    /** @param ended null while it goes on */
    record StoredSync(
            long syncId,
            long sourceId,
            String state,
            OffsetDateTime begun,
            String begunBy,
            @Nullable OffsetDateTime ended,
            String report) {
        SyncId sync() {
            return new SyncId(syncId);
        }

        SourceId source() {
            return new SourceId(sourceId);
        }
    }

    /** Newest first. */
    List<StoredSync> syncs(SourceId source, int most) {
        return jdbc.sql(SYNC + "WHERE source_id = :source ORDER BY sync_id DESC LIMIT :most")
                .param("source", source.value())
                .param("most", most)
                .query(StoredSync.class)
                .list();
    }

    Optional<StoredSync> sync(SyncId sync) {
        return jdbc.sql(SYNC + "WHERE sync_id = :sync")
                .param("sync", sync.value())
                .query(StoredSync.class)
                .optional();
    }

    /** Those in a state, by id. */
    List<StoredSync> inState(String state) {
        return jdbc.sql(SYNC + "WHERE state = :state ORDER BY sync_id")
                .param("state", state)
                .query(StoredSync.class)
                .list();
    }

    SyncId addSync(SourceId source, String state, OffsetDateTime begun, String by, String report) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        jdbc.sql(
                        "INSERT INTO sync (source_id, state, begun, begun_by, report) VALUES (:source, :state, :begun, :by, :report)")
                .param("source", source.value())
                .param("state", state)
                .param("begun", begun)
                .param("by", by)
                .param("report", report)
                .update(key, "sync_id");
        Number made = key.getKey();
        if (made == null) {
            throw new IllegalStateException("the database gave the sync no id");
        }
        return new SyncId(made.longValue());
    }

    void changeSync(SyncId sync, String state, @Nullable OffsetDateTime ended, String report) {
        jdbc.sql("UPDATE sync SET state = :state, ended = :ended, report = :report WHERE sync_id = :sync")
                .param("state", state)
                .param("ended", ended, java.sql.Types.TIMESTAMP_WITH_TIMEZONE)
                .param("report", report)
                .param("sync", sync.value())
                .update();
    }

    /** Forgets all but the newest. */
    void keepNewest(SourceId source, int most) {
        jdbc.sql(
                        "DELETE FROM sync WHERE source_id = :source AND sync_id NOT IN (SELECT sync_id FROM sync WHERE source_id = :source ORDER BY sync_id DESC LIMIT :most)")
                .param("source", source.value())
                .param("most", most)
                .update();
    }

    /** @param links a JSON array of addresses */
    record StoredPage(
            String address,
            @Nullable String entityTag,
            @Nullable String lastModified,
            @Nullable String itemId,
            String links) {}

    /** What a crawl knows of pages that it read in this way, by address. */
    Map<String, StoredPage> pages(SourceId source, String readAs) {
        Map<String, StoredPage> pages = new HashMap<>();
        jdbc.sql(
                        "SELECT address, entity_tag, last_modified, item_id, links FROM crawled_page WHERE source_id = :source AND read_as = :as ORDER BY source_id, address")
                .param("source", source.value())
                .param("as", readAs)
                .query(StoredPage.class)
                .list()
                .forEach(page -> pages.put(page.address(), page));
        return pages;
    }

    void putPages(SourceId source, String readAs, List<StoredPage> pages) {
        jdbc.sql("DELETE FROM crawled_page WHERE source_id = :source")
                .param("source", source.value())
                .update();
        batches.batchUpdate(
                "INSERT INTO crawled_page (source_id, address, entity_tag, last_modified, item_id, links, read_as) VALUES (:source, :address, :tag, :modified, :item, :links, :as)",
                pages.stream()
                        .map(page -> new MapSqlParameterSource("source", source.value())
                                .addValue("address", page.address())
                                .addValue("tag", page.entityTag())
                                .addValue("modified", page.lastModified())
                                .addValue("item", page.itemId())
                                .addValue("links", page.links())
                                .addValue("as", readAs))
                        .toArray(MapSqlParameterSource[]::new));
    }

    /** What recurs on the pages of a crawl, as its reader told it. */
    Set<Long> furniture(SourceId source) {
        String keys = jdbc.sql("SELECT furniture FROM source WHERE source_id = :source")
                .param("source", source.value())
                .query(String.class)
                .optional()
                .orElse("");
        return keys.isEmpty()
                ? Set.of()
                : Arrays.stream(keys.split(" "))
                        .map(key -> Long.parseUnsignedLong(key, 16))
                        .collect(Collectors.toSet());
    }

    void putFurniture(SourceId source, Set<Long> keys) {
        String said = keys.stream().sorted().map(Long::toHexString).collect(Collectors.joining(" "));
        jdbc.sql("UPDATE source SET furniture = :keys WHERE source_id = :source")
                .param("keys", said)
                .param("source", source.value())
                .update();
    }
}
