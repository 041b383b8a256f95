package tidylantern.server.account;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

@Component
class AccountStore {
    private final JdbcClient jdbc;

    AccountStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    boolean hasOwners() {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM owner)").query(Boolean.class).single();
    }

    Optional<String> passwordHash(String owner) {
        return jdbc.sql("SELECT password_hash FROM owner WHERE name = :name").param("name", owner).query(String.class).optional();
    }

    void addOwner(String name, String passwordHash) {
        jdbc.sql("INSERT INTO owner (name, password_hash) VALUES (:name, :hash)").param("name", name).param("hash", passwordHash).update();
    }

    /** An access key without the key itself, which nobody keeps. */
    record StoredKey(long id, String name, OffsetDateTime created) {}

    /** The newest first. */
    List<StoredKey> keys() {
        return jdbc.sql("SELECT id, name, created FROM access_key ORDER BY id DESC").query(StoredKey.class).list();
    }

    Optional<String> keyName(String hash) {
        return jdbc.sql("SELECT name FROM access_key WHERE key_hash = :hash").param("hash", hash).query(String.class).optional();
    }

    void addKey(String name, String hash, OffsetDateTime created) {
        jdbc.sql("INSERT INTO access_key (name, key_hash, created) VALUES (:name, :hash, :created)")
                .param("name", name).param("hash", hash).param("created", created).update();
    }

    boolean removeKey(long id) {
        return jdbc.sql("DELETE FROM access_key WHERE id = :id").param("id", id).update() == 1;
    }
}
