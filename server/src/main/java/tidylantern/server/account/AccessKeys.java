package tidylantern.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;
import tidylantern.server.operation.ChangeGate;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.Settings;
import tidylantern.server.site.Sites;

/**
 * Keys that scripts send instead of a session. Each may do some things on one site or on all; nobody keeps the key
 * itself.
 */
@Component
class AccessKeys implements InitializingBean {
    private static final Logger LOG = LoggerFactory.getLogger(AccessKeys.class);
    private static final String PREFIX = "tl_";
    private static final int BYTES = 24;
    private static final int SHORTEST = 20;
    private static final String OPERATORS = "the operator’s";
    private static final Duration BETWEEN_NOTES = Duration.ofMinutes(1);

    private final AccountStore store;
    private final Settings settings;
    private final Sites sites;
    private final ChangeGate gate;
    private final Clock clock;
    private final Map<Long, Instant> noted = new ConcurrentHashMap<>();

    AccessKeys(AccountStore store, Settings settings, Sites sites, ChangeGate gate, Clock clock) {
        this.store = store;
        this.settings = settings;
        this.sites = sites;
        this.gate = gate;
        this.clock = clock;
    }

    /** Makes the key that the operator's settings name, and ends the one that they named before. */
    @Override
    public void afterPropertiesSet() {
        String key = settings.accessKey() == null ? "" : settings.accessKey().strip();
        if (!key.isEmpty() && key.length() < SHORTEST) {
            throw new IllegalArgumentException(
                    "TIDY_LANTERN_ACCESS_KEY has %d characters; a key that nobody guesses has %d or more. A random one: openssl rand -base64 24"
                            .formatted(key.length(), SHORTEST));
        }
        if (gate.objection() != null) {
            return;
        }
        store.removeOperatorsKeysBut(Secrets.hash(key));
        if (!key.isEmpty() && store.key(Secrets.hash(key)).isEmpty()) {
            store.addKey(OPERATORS, Secrets.hash(key), OffsetDateTime.now(clock), null, KeyRights.ALL.toString(), true);
        }
    }

    /** A key just made; the only time that it can be read. */
    record NewKey(String name, String key) {}

    /**
     * @param site null for all sites
     * @throws Refusal if there is no such site, or the name will not do
     */
    NewKey add(String name, @Nullable SiteKey site, KeyRights rights) {
        String tidy = name.strip();
        if (tidy.isEmpty() || tidy.length() > 80) {
            throw Refusal.bad("name", "Give the key a name of 1 to 80 characters, so that you know it again.");
        }
        if (site != null) {
            sites.get(site);
        }
        String key = PREFIX + Secrets.random(BYTES);
        store.addKey(tidy, Secrets.hash(key), OffsetDateTime.now(clock), site, rights.toString(), false);
        return new NewKey(tidy, key);
    }

    List<AccountStore.StoredKey> all() {
        return store.keys();
    }

    /** From now on it opens nothing. */
    void end(long id) {
        if (!store.removeKey(id)) {
            throw Refusal.notFound("There is no such access key. Someone may have removed it.");
        }
    }

    /** What somebody who sends this key may do; none if it is no key. */
    Optional<KeyHolder> holder(String key) {
        return store.key(Secrets.hash(key)).map(stored -> {
            note(stored.id());
            return new KeyHolder(stored.name(), stored.site(), KeyRights.of(stored.rights()));
        });
    }

    private void note(long id) {
        Instant now = clock.instant();
        Instant before = noted.get(id);
        if (gate.objection() != null
                || (before != null && before.plus(BETWEEN_NOTES).isAfter(now))) {
            return;
        }
        noted.put(id, now);
        try {
            store.used(id, OffsetDateTime.now(clock));
        } catch (DataAccessException failure) {
            LOG.debug("When a key was used could not be noted", failure);
        }
    }
}
