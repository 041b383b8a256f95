package tidylantern.server.design;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

@Component
class SearchStore {
    private final JdbcClient jdbc;

    SearchStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param liveVersion null where nothing was published yet */
    record StoredSearch(
            String searchKey,
            String siteKey,
            String draft,
            long draftRevision,
            @Nullable Integer liveVersion) {}

    /** @param reason null where nobody said one */
    record StoredVersion(
            int version,
            String design,
            OffsetDateTime published,
            String publishedBy,
            @Nullable String reason) {}

    /** A version without its design, which may be large. */
    record VersionHead(
            int version,
            OffsetDateTime published,
            String publishedBy,
            @Nullable String reason) {}

    /** By key. */
    List<StoredSearch> ofSite(String site) {
        return jdbc.sql(
                        "SELECT search_key, site_key, draft, draft_revision, live_version FROM search WHERE site_key = :site ORDER BY search_key")
                .param("site", site)
                .query(StoredSearch.class)
                .list();
    }

    Optional<StoredSearch> find(String key) {
        return jdbc.sql(
                        "SELECT search_key, site_key, draft, draft_revision, live_version FROM search WHERE search_key = :key")
                .param("key", key)
                .query(StoredSearch.class)
                .optional();
    }

    /** Like {@link #find}, for one who changes it: nobody else does until the transaction is over. */
    Optional<StoredSearch> findToChange(String key) {
        return jdbc.sql(
                        "SELECT search_key, site_key, draft, draft_revision, live_version FROM search WHERE search_key = :key FOR UPDATE")
                .param("key", key)
                .query(StoredSearch.class)
                .optional();
    }

    /** Which version of a search is live, and on which site. */
    record LiveVersion(String siteKey, int liveVersion) {}

    /** Asked with every visitor's answer, so it leaves the draft where it lies; none where nothing was published. */
    Optional<LiveVersion> liveVersion(String key) {
        return jdbc.sql(
                        "SELECT site_key, live_version FROM search WHERE search_key = :key AND live_version IS NOT NULL")
                .param("key", key)
                .query(LiveVersion.class)
                .optional();
    }

    void add(String key, String site, String draft) {
        jdbc.sql("INSERT INTO search (search_key, site_key, draft, draft_revision) VALUES (:key, :site, :draft, 1)")
                .param("key", key)
                .param("site", site)
                .param("draft", draft)
                .update();
    }

    /** @return false if the draft is not at the revision any more that the change was made from */
    boolean changeDraft(String key, long from, String draft) {
        return jdbc.sql(
                                "UPDATE search SET draft = :draft, draft_revision = draft_revision + 1 WHERE search_key = :key AND draft_revision = :from")
                        .param("draft", draft)
                        .param("key", key)
                        .param("from", from)
                        .update()
                == 1;
    }

    Optional<StoredVersion> version(String key, int version) {
        return jdbc.sql(
                        "SELECT version, design, published, published_by, reason FROM search_version WHERE search_key = :key AND version = :version")
                .param("key", key)
                .param("version", version)
                .query(StoredVersion.class)
                .optional();
    }

    /** The newest first. */
    List<VersionHead> versions(String key) {
        return jdbc.sql(
                        "SELECT version, published, published_by, reason FROM search_version WHERE search_key = :key ORDER BY version DESC")
                .param("key", key)
                .query(VersionHead.class)
                .list();
    }

    void addVersion(String key, StoredVersion version) {
        jdbc.sql(
                        "INSERT INTO search_version (search_key, version, design, published, published_by, reason) VALUES (:key, :version, :design, :published, :by, :reason)")
                .param("key", key)
                .param("version", version.version())
                .param("design", version.design())
                .param("published", version.published())
                .param("by", version.publishedBy())
                .param("reason", version.reason())
                .update();
        jdbc.sql("UPDATE search SET live_version = :version WHERE search_key = :key")
                .param("version", version.version())
                .param("key", key)
                .update();
    }
}
