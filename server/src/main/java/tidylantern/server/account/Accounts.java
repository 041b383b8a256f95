package tidylantern.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.Settings;

/** Owners and access keys. */
@Component
public class Accounts implements InitializingBean {
    private static final int SHORTEST_PASSWORD = 10;
    /** BCrypt looks at no more bytes than these. */
    private static final int LONGEST_PASSWORD = 72;
    private static final String KEY_PREFIX = "tl_";

    private final AccountStore store;
    private final Settings settings;
    private final Clock clock;
    private final PasswordEncoder passwords = new BCryptPasswordEncoder();
    private final SecureRandom random = new SecureRandom();
    /** Compared with when a name is nobody's, so that the time taken tells nothing. */
    private final String nobodysHash = passwords.encode("nobody's password");

    Accounts(AccountStore store, Settings settings, Clock clock) {
        this.store = store;
        this.settings = settings;
        this.clock = clock;
    }

    /** Makes the owner and the access key that the operator's settings name, before anybody can ask. */
    @Override
    public void afterPropertiesSet() {
        String owner = settings.owner();
        String password = settings.password();
        if (owner != null && !owner.isBlank() && password != null && !store.hasOwners()) {
            addOwner(owner, password);
        }
        String key = settings.accessKey();
        if (key != null && !key.isBlank() && store.keyName(hash(key)).isEmpty()) {
            store.addKey("the operator’s", hash(key), OffsetDateTime.now(clock));
        }
    }

    /** Whether nobody owns this installation yet. */
    public boolean firstStart() {
        return !store.hasOwners();
    }

    /** @throws Refusal if there is an owner already, or name or password will not do */
    @Transactional
    public synchronized void addFirstOwner(String name, String password) {
        if (store.hasOwners()) {
            throw Refusal.conflict("This installation has an owner already. Sign in.");
        }
        addOwner(name, password);
    }

    private void addOwner(String name, String password) {
        String tidy = name.strip();
        if (tidy.isEmpty() || tidy.length() > 80) {
            throw Refusal.bad("name", "Give a name of 1 to 80 characters.");
        }
        if (password.length() < SHORTEST_PASSWORD || password.getBytes(StandardCharsets.UTF_8).length > LONGEST_PASSWORD) {
            throw Refusal.bad("password", "Choose a password of %d to %d characters.".formatted(SHORTEST_PASSWORD, LONGEST_PASSWORD));
        }
        store.addOwner(tidy, passwords.encode(password));
    }

    /** Whether the password is the owner's. Takes as long for a name that nobody has. */
    boolean matches(String name, String password) {
        Optional<String> hash = store.passwordHash(name.strip());
        boolean right = passwords.matches(password, hash.orElse(nobodysHash));
        return right && hash.isPresent();
    }

    /** A key just made; the only time that it can be read. */
    public record NewKey(String name, String key) {}

    NewKey addKey(String name) {
        String tidy = name.strip();
        if (tidy.isEmpty() || tidy.length() > 80) {
            throw Refusal.bad("name", "Give the key a name of 1 to 80 characters, so that you know it again.");
        }
        byte[] secret = new byte[24];
        random.nextBytes(secret);
        String key = KEY_PREFIX + Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
        store.addKey(tidy, hash(key), OffsetDateTime.now(clock));
        return new NewKey(tidy, key);
    }

    List<AccountStore.StoredKey> keys() {
        return store.keys();
    }

    void removeKey(long id) {
        if (!store.removeKey(id)) {
            throw Refusal.notFound("There is no such access key. Someone may have removed it.");
        }
    }

    /** The name of the access key, if it is one. */
    public Optional<String> nameOfKey(String key) {
        return store.keyName(hash(key));
    }

    /** Keys are long and random, so a plain hash keeps them as safe as a slow one would. */
    private static String hash(String key) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(key.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("every Java has SHA-256", impossible);
        }
    }
}
