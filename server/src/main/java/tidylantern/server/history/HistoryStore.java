package tidylantern.server.history;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;

@Component
class HistoryStore {
    private static final String CHANGE =
            "SELECT change_id, kind, subject, state_before, state_after, told, changed, changed_by FROM owner_change ";

    private final JdbcClient jdbc;

    HistoryStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param subject and states as JSON; a state is null where there was no such thing */
    record StoredChange(
            long changeId,
            String kind,
            String subject,
            @Nullable String stateBefore,
            @Nullable String stateAfter,
            String told,
            OffsetDateTime changed,
            String changedBy) {}

    /** @param change its number is given here */
    void add(SiteKey site, StoredChange change) {
        jdbc.sql("""
                INSERT INTO owner_change (site_key, kind, subject, state_before, state_after, told, changed, changed_by)
                VALUES (:site, :kind, :subject, :before, :after, :told, :changed, :by)""")
                .param("site", site.value())
                .param("kind", change.kind())
                .param("subject", change.subject())
                .param("before", change.stateBefore())
                .param("after", change.stateAfter())
                .param("told", change.told())
                .param("changed", change.changed())
                .param("by", change.changedBy())
                .update();
    }

    boolean hasSite(SiteKey site) {
        return jdbc.sql("SELECT COUNT(*) FROM site WHERE site_key = :site")
                        .param("site", site.value())
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** The numbers of all changes of a site, the newest first. */
    List<Long> numbers(SiteKey site) {
        return jdbc.sql("SELECT change_id FROM owner_change WHERE site_key = :site ORDER BY change_id DESC")
                .param("site", site.value())
                .query(Long.class)
                .list();
    }

    Optional<StoredChange> find(SiteKey site, long id) {
        return jdbc.sql(CHANGE + "WHERE site_key = :site AND change_id = :id")
                .param("site", site.value())
                .param("id", id)
                .query(StoredChange.class)
                .optional();
    }

    int forgetBefore(OffsetDateTime then) {
        return jdbc.sql("DELETE FROM owner_change WHERE changed < :then")
                .param("then", then)
                .update();
    }
}
