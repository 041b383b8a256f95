package tidylantern.server.access;

import java.time.OffsetDateTime;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;

@Component
class PeopleStore {
    private static final String INVITATION =
            "SELECT invitation_id, site_key, role, made, made_by FROM invitation WHERE ";

    private final JdbcClient jdbc;

    PeopleStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Who may do everything, by name. */
    Set<String> runningTheInstallation() {
        return new HashSet<>(jdbc.sql("SELECT name FROM person WHERE runs_installation")
                .query(String.class)
                .list());
    }

    record StoredRole(String siteKey, String person, String role, OffsetDateTime since) {
        SiteKey site() {
            return new SiteKey(siteKey);
        }
    }

    /** Of all sites. */
    List<StoredRole> roles() {
        return jdbc.sql("SELECT site_key, person, role, since FROM site_person ORDER BY person")
                .query(StoredRole.class)
                .list();
    }

    @Nullable String role(SiteKey site, String person) {
        return jdbc.sql("SELECT role FROM site_person WHERE site_key = :site AND person = :person")
                .param("site", site.value())
                .param("person", person)
                .query(String.class)
                .optional()
                .orElse(null);
    }

    boolean hasPerson(String name) {
        return jdbc.sql("SELECT COUNT(*) FROM person WHERE name = :name")
                        .param("name", name)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    void put(SiteKey site, String person, String role, OffsetDateTime since) {
        jdbc.sql("""
                MERGE INTO site_person (site_key, person, role, since) KEY (site_key, person)
                VALUES (:site, :person, :role, :since)""")
                .param("site", site.value())
                .param("person", person)
                .param("role", role)
                .param("since", since)
                .update();
    }

    void remove(SiteKey site, String person) {
        jdbc.sql("DELETE FROM site_person WHERE site_key = :site AND person = :person")
                .param("site", site.value())
                .param("person", person)
                .update();
    }

    record StoredInvitation(long invitationId, String siteKey, String role, OffsetDateTime made, String madeBy) {
        SiteKey site() {
            return new SiteKey(siteKey);
        }
    }

    /** The newest first. */
    List<StoredInvitation> invitations(SiteKey site) {
        return jdbc.sql(INVITATION + "site_key = :site ORDER BY invitation_id DESC")
                .param("site", site.value())
                .query(StoredInvitation.class)
                .list();
    }

    Optional<StoredInvitation> invitation(String hash) {
        return jdbc.sql(INVITATION + "token_hash = :hash")
                .param("hash", hash)
                .query(StoredInvitation.class)
                .optional();
    }

    void addInvitation(SiteKey site, String role, String hash, OffsetDateTime made, String by) {
        jdbc.sql("""
                INSERT INTO invitation (site_key, role, token_hash, made, made_by)
                VALUES (:site, :role, :hash, :made, :by)""")
                .param("site", site.value())
                .param("role", role)
                .param("hash", hash)
                .param("made", made)
                .param("by", by)
                .update();
    }

    /** @return whether it was still there */
    boolean removeInvitation(SiteKey site, long id) {
        return jdbc.sql("DELETE FROM invitation WHERE site_key = :site AND invitation_id = :id")
                        .param("site", site.value())
                        .param("id", id)
                        .update()
                == 1;
    }

    void forgetInvitationsBefore(OffsetDateTime then) {
        jdbc.sql("DELETE FROM invitation WHERE made < :then")
                .param("then", then)
                .update();
    }
}
