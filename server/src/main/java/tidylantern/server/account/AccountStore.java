package tidylantern.server.account;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;

@Component
class AccountStore {
    private final JdbcClient jdbc;

    AccountStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    boolean hasPeople() {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM person)")
                .query(Boolean.class)
                .single();
    }

    /** @throws org.springframework.dao.DuplicateKeyException if there was one already */
    void beginFirst() {
        jdbc.sql("INSERT INTO first_start (only_one) VALUES (1)").update();
    }

    Optional<String> passwordHash(String person) {
        return one(String.class, "SELECT password_hash FROM person WHERE name = :name", person);
    }

    /** How often somebody's password was set; none for nobody. */
    Optional<Integer> passwordNumber(String person) {
        return one(Integer.class, "SELECT password_number FROM person WHERE name = :name", person);
    }

    /** @throws org.springframework.dao.DuplicateKeyException if somebody has that name */
    void addPerson(String name, String passwordHash, boolean runsInstallation) {
        jdbc.sql("INSERT INTO person (name, password_hash, runs_installation) VALUES (:name, :hash, :runs)")
                .param("name", name)
                .param("hash", passwordHash)
                .param("runs", runsInstallation)
                .update();
    }

    void changePassword(String name, String passwordHash) {
        jdbc.sql("UPDATE person SET password_hash = :hash, password_number = password_number + 1 WHERE name = :name")
                .param("name", name)
                .param("hash", passwordHash)
                .update();
    }

    /**
     * An access key without the key itself, which nobody keeps.
     *
     * @param siteKey null for all sites
     * @param lastUsed null if it never was; else to about a minute
     */
    record StoredKey(
            long id,
            String name,
            OffsetDateTime created,
            @Nullable String siteKey,
            String rights,
            @Nullable OffsetDateTime lastUsed,
            boolean operators) {
        /** The one site that it opens; null for all. */
        @Nullable SiteKey site() {
            return siteKey == null ? null : new SiteKey(siteKey);
        }
    }

    private static final String KEY =
            "SELECT id, name, created, site_key, rights, last_used, operators FROM access_key ";

    /** The newest first. */
    List<StoredKey> keys() {
        return jdbc.sql(KEY + "ORDER BY id DESC").query(StoredKey.class).list();
    }

    Optional<StoredKey> key(String hash) {
        return jdbc.sql(KEY + "WHERE key_hash = :hash")
                .param("hash", hash)
                .query(StoredKey.class)
                .optional();
    }

    void addKey(
            String name,
            String hash,
            OffsetDateTime created,
            @Nullable SiteKey site,
            String rights,
            boolean operators) {
        jdbc.sql(
                        "INSERT INTO access_key (name, key_hash, created, site_key, rights, operators) VALUES (:name, :hash, :created, :site, :rights, :operators)")
                .param("name", name)
                .param("hash", hash)
                .param("created", created)
                .param("site", site == null ? null : site.value())
                .param("rights", rights)
                .param("operators", operators)
                .update();
    }

    void used(long id, OffsetDateTime when) {
        jdbc.sql("UPDATE access_key SET last_used = :when WHERE id = :id")
                .param("id", id)
                .param("when", when)
                .update();
    }

    boolean removeKey(long id) {
        return jdbc.sql("DELETE FROM access_key WHERE id = :id").param("id", id).update() == 1;
    }

    /** Ends the keys that the operator's settings named before. */
    void removeOperatorsKeysBut(String hash) {
        jdbc.sql("DELETE FROM access_key WHERE operators AND key_hash <> :hash")
                .param("hash", hash)
                .update();
    }

    Optional<String> secret(String name) {
        return one(String.class, "SELECT secret FROM secret WHERE name = :name", name);
    }

    private <T> Optional<T> one(Class<T> type, String sql, String name) {
        return jdbc.sql(sql).param("name", name).query(type).optional();
    }

    void addSecret(String name, String secret) {
        jdbc.sql("INSERT INTO secret (name, secret) VALUES (:name, :secret)")
                .param("name", name)
                .param("secret", secret)
                .update();
    }
}
