package tidylantern.server.design;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;

@Component
class SearchStore {
    private static final String SEARCH =
            "SELECT search_key, site_key, draft, draft_revision, live_version, purpose FROM search WHERE ";

    private static final String PLAN =
            "SELECT search_key, design, due, planned_by, reason, failure FROM planned_publication WHERE ";
    /** As wide as its column. */
    private static final int LONGEST_FAILURE = 1_000;

    private final JdbcClient jdbc;

    SearchStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param liveVersion null where nothing was published yet
     * @param purpose null where nobody said one
     */
    record StoredSearch(
            String searchKey,
            String siteKey,
            String draft,
            long draftRevision,
            @Nullable Integer liveVersion,
            @Nullable String purpose) {
        SearchKey search() {
            return new SearchKey(searchKey);
        }

        SiteKey site() {
            return new SiteKey(siteKey);
        }
    }

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
    List<StoredSearch> ofSite(SiteKey site) {
        return jdbc.sql(SEARCH + "site_key = :site ORDER BY search_key")
                .param("site", site.value())
                .query(StoredSearch.class)
                .list();
    }

    Optional<StoredSearch> find(SearchKey key) {
        return jdbc.sql(SEARCH + "search_key = :key")
                .param("key", key.value())
                .query(StoredSearch.class)
                .optional();
    }

    /** Like {@link #find}, for one who changes it: nobody else does until the transaction is over. */
    Optional<StoredSearch> findToChange(SearchKey key) {
        return jdbc.sql(SEARCH + "search_key = :key FOR UPDATE")
                .param("key", key.value())
                .query(StoredSearch.class)
                .optional();
    }

    /** Which version of a search is live, and on which site. */
    record LiveVersion(String siteKey, int liveVersion) {
        SiteKey site() {
            return new SiteKey(siteKey);
        }
    }

    /** Asked with every visitor's answer, so it leaves the draft where it lies; none where nothing was published. */
    Optional<LiveVersion> liveVersion(SearchKey key) {
        return jdbc.sql(
                        "SELECT site_key, live_version FROM search WHERE search_key = :key AND live_version IS NOT NULL")
                .param("key", key.value())
                .query(LiveVersion.class)
                .optional();
    }

    void add(SearchKey key, SiteKey site, String draft) {
        jdbc.sql("INSERT INTO search (search_key, site_key, draft, draft_revision) VALUES (:key, :site, :draft, 1)")
                .param("key", key.value())
                .param("site", site.value())
                .param("draft", draft)
                .update();
    }

    /** @return false if the draft is not at the revision any more that the change was made from */
    boolean changeDraft(SearchKey key, long from, String draft) {
        return jdbc.sql(
                                "UPDATE search SET draft = :draft, draft_revision = draft_revision + 1 WHERE search_key = :key AND draft_revision = :from")
                        .param("draft", draft)
                        .param("key", key.value())
                        .param("from", from)
                        .update()
                == 1;
    }

    Optional<StoredVersion> version(SearchKey key, int version) {
        return jdbc.sql(
                        "SELECT version, design, published, published_by, reason FROM search_version WHERE search_key = :key AND version = :version")
                .param("key", key.value())
                .param("version", version)
                .query(StoredVersion.class)
                .optional();
    }

    /** The newest first. */
    List<VersionHead> versions(SearchKey key) {
        return jdbc.sql(
                        "SELECT version, published, published_by, reason FROM search_version WHERE search_key = :key ORDER BY version DESC")
                .param("key", key.value())
                .query(VersionHead.class)
                .list();
    }

    void addVersion(SearchKey key, StoredVersion version) {
        jdbc.sql(
                        "INSERT INTO search_version (search_key, version, design, published, published_by, reason) VALUES (:key, :version, :design, :published, :by, :reason)")
                .param("key", key.value())
                .param("version", version.version())
                .param("design", version.design())
                .param("published", version.published())
                .param("by", version.publishedBy())
                .param("reason", version.reason())
                .update();
        jdbc.sql("UPDATE search SET live_version = :version WHERE search_key = :key")
                .param("version", version.version())
                .param("key", key.value())
                .update();
    }

    void changePurpose(SearchKey key, @Nullable String purpose) {
        jdbc.sql("UPDATE search SET purpose = :purpose WHERE search_key = :key")
                .param("purpose", purpose)
                .param("key", key.value())
                .update();
    }

    /** Gives a search another key, and all that hangs on it; no other search has that one. */
    void changeKey(SearchKey key, SearchKey another) {
        jdbc.sql("""
                INSERT INTO search (search_key, site_key, draft, draft_revision, live_version, purpose)
                SELECT :another, site_key, draft, draft_revision, live_version, purpose FROM search
                WHERE search_key = :key""")
                .param("another", another.value())
                .param("key", key.value())
                .update();
        // Asked of the database, so that no table that comes to hang on a search can be forgotten here.
        List<String> hanging = jdbc.sql("""
                SELECT table_name FROM information_schema.columns
                WHERE column_name = 'SEARCH_KEY' AND table_schema = CURRENT_SCHEMA AND table_name <> 'SEARCH'""").query(String.class).list();
        for (String table : hanging) {
            jdbc.sql("UPDATE %s SET search_key = :another WHERE search_key = :key".formatted(table))
                    .param("another", another.value())
                    .param("key", key.value())
                    .update();
        }
        jdbc.sql("DELETE FROM search WHERE search_key = :key")
                .param("key", key.value())
                .update();
    }

    /**
     * A publication at a time to come.
     *
     * @param failure why it could not be done; null while it was not tried
     */
    record StoredPlan(
            String searchKey,
            String design,
            OffsetDateTime due,
            String plannedBy,
            @Nullable String reason,
            @Nullable String failure) {
        SearchKey search() {
            return new SearchKey(searchKey);
        }
    }

    Optional<StoredPlan> planned(SearchKey key) {
        return jdbc.sql(PLAN + "search_key = :key")
                .param("key", key.value())
                .query(StoredPlan.class)
                .optional();
    }

    /** Those whose time has come and that did not fail; the one that waits longest comes first. */
    List<StoredPlan> due(OffsetDateTime now) {
        return jdbc.sql(PLAN + "due <= :now AND failure IS NULL ORDER BY due")
                .param("now", now)
                .query(StoredPlan.class)
                .list();
    }

    /** In place of what was planned before. */
    void plan(SearchKey key, StoredPlan plan) {
        removePlan(key);
        jdbc.sql("""
                INSERT INTO planned_publication (search_key, design, due, planned_by, reason)
                VALUES (:key, :design, :due, :by, :reason)""")
                .param("key", key.value())
                .param("design", plan.design())
                .param("due", plan.due())
                .param("by", plan.plannedBy())
                .param("reason", plan.reason())
                .update();
    }

    void removePlan(SearchKey key) {
        jdbc.sql("DELETE FROM planned_publication WHERE search_key = :key")
                .param("key", key.value())
                .update();
    }

    void failPlan(SearchKey key, String failure) {
        jdbc.sql("UPDATE planned_publication SET failure = :failure WHERE search_key = :key")
                .param("failure", failure.substring(0, Math.min(failure.length(), LONGEST_FAILURE)))
                .param("key", key.value())
                .update();
    }
}
