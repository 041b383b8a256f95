package tidylantern.server.site;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;
import tidylantern.server.key.SyncId;

@Component
class SiteStore {
    private final JdbcClient jdbc;

    SiteStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record StoredSite(String siteKey, String name, String address, String timeZone, String look, boolean sample) {
        SiteKey key() {
            return new SiteKey(siteKey);
        }
    }

    /** By key. */
    List<StoredSite> all() {
        return jdbc.sql("SELECT site_key, name, address, time_zone, look, sample FROM site ORDER BY site_key")
                .query(StoredSite.class)
                .list();
    }

    Optional<StoredSite> find(SiteKey key) {
        return jdbc.sql("SELECT site_key, name, address, time_zone, look, sample FROM site WHERE site_key = :key")
                .param("key", key.value())
                .query(StoredSite.class)
                .optional();
    }

    void add(StoredSite site) {
        jdbc.sql(
                        "INSERT INTO site (site_key, name, address, time_zone, look, sample) VALUES (:key, :name, :address, :zone, :look, :sample)")
                .param("key", site.siteKey())
                .param("name", site.name())
                .param("address", site.address())
                .param("zone", site.timeZone())
                .param("look", site.look())
                .param("sample", site.sample())
                .update();
    }

    void changeLook(SiteKey key, String look) {
        jdbc.sql("UPDATE site SET look = :look WHERE site_key = :key")
                .param("key", key.value())
                .param("look", look)
                .update();
    }

    void change(SiteKey key, String name, String address, String timeZone) {
        jdbc.sql("UPDATE site SET name = :name, address = :address, time_zone = :zone WHERE site_key = :key")
                .param("key", key.value())
                .param("name", name)
                .param("address", address)
                .param("zone", timeZone)
                .update();
    }

    /** In their own order. */
    List<String> origins(SiteKey site) {
        return jdbc.sql("SELECT origin FROM site_origin WHERE site_key = :site ORDER BY origin")
                .param("site", site.value())
                .query(String.class)
                .list();
    }

    List<String> originsOfSearch(SearchKey search) {
        return jdbc.sql(
                        "SELECT o.origin FROM site_origin o JOIN search s ON s.site_key = o.site_key WHERE s.search_key = :search ORDER BY o.origin")
                .param("search", search.value())
                .query(String.class)
                .list();
    }

    Optional<SiteKey> siteOfSearch(SearchKey search) {
        return siteOf("SELECT site_key FROM search WHERE search_key = :of", search.value());
    }

    Optional<SiteKey> siteOfSource(SourceId source) {
        return siteOf("SELECT site_key FROM source WHERE source_id = :of", source.value());
    }

    Optional<SiteKey> siteOfSync(SyncId sync) {
        return siteOf(
                "SELECT s.site_key FROM source s JOIN sync y ON y.source_id = s.source_id WHERE y.sync_id = :of",
                sync.value());
    }

    private Optional<SiteKey> siteOf(String sql, Object of) {
        return jdbc.sql(sql).param("of", of).query(String.class).optional().map(SiteKey::new);
    }

    void removeOrigins(SiteKey site) {
        jdbc.sql("DELETE FROM site_origin WHERE site_key = :site")
                .param("site", site.value())
                .update();
    }

    void addOrigin(SiteKey site, String origin) {
        jdbc.sql("INSERT INTO site_origin (site_key, origin) VALUES (:site, :origin)")
                .param("site", site.value())
                .param("origin", origin)
                .update();
    }
}
