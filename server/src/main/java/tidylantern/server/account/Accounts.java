package tidylantern.server.account;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tidylantern.server.operation.Standby;
import tidylantern.server.platform.DatabaseReplaced;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.Settings;

/** People and their passwords. */
@Component
public class Accounts implements InitializingBean {
    private static final Logger LOG = LoggerFactory.getLogger(Accounts.class);
    private static final int SHORTEST_PASSWORD = 10;
    private static final PasswordEncoder PASSWORDS = new BCryptPasswordEncoder();
    /** Compared with when a name is nobody's, so that the time taken tells nothing. */
    private static final String NOBODYS_HASH = PASSWORDS.encode("nobody's password");
    /** BCrypt looks at no more bytes than these. */
    private static final int LONGEST_PASSWORD = 72;

    private static final int BYTES_OF_TOKEN = 15;

    private final AccountStore store;
    private final Settings settings;
    private final Standby standby;
    private final ApplicationEventPublisher events;
    /** By person, how often the password was set; asked with every request of a session. */
    private final Map<String, Integer> passwordNumbers = new ConcurrentHashMap<>();
    /** What the first owner has to know, so that no stranger is quicker; null once there is one. */
    private volatile @Nullable String firstStartToken;

    Accounts(AccountStore store, Settings settings, Standby standby, ApplicationEventPublisher events) {
        this.events = events;
        this.store = store;
        this.settings = settings;
        this.standby = standby;
    }

    /**
     * Makes the owner that the operator's settings name, or says what a first owner has to know, before anybody can
     * ask.
     */
    @Override
    public void afterPropertiesSet() {
        String owner = settings.owner();
        String password = settings.password();
        if (!firstStart()) {
            return;
        }
        if (owner != null && !owner.isBlank() && password != null) {
            store.beginFirst();
            addOwner(owner, password);
        } else {
            firstStartToken = Secrets.random(BYTES_OF_TOKEN);
            LOG.warn(
                    "\n\nThis installation has no owner yet. Open it in a browser; it asks for this token:  {}\n",
                    firstStartToken);
        }
    }

    /** Whether nobody owns this installation yet. */
    public boolean firstStart() {
        return !standby.active() && !store.hasPeople();
    }

    /** What a first owner has to know; null where there is an owner. */
    public @Nullable String firstStartToken() {
        return firstStartToken;
    }

    /**
     * @throws Refusal if the token is not the one that the log tells, or there is an owner already, or name or password
     *     will not do
     */
    @Transactional
    public void addFirstOwner(String token, String name, String password) {
        String known = firstStartToken;
        if (known == null || store.hasPeople()) {
            throw Refusal.conflict("This installation has an owner already. Sign in.");
        }
        if (!Secrets.same(token.strip(), known)) {
            throw new Refusal(
                    HttpStatus.FORBIDDEN,
                    "token",
                    "This is not the token of this installation. It stands in the service's log, where it says that there is no owner yet.");
        }
        try {
            // The database allows one, however many ask at once.
            store.beginFirst();
        } catch (DuplicateKeyException second) {
            throw Refusal.conflict("This installation has an owner already. Sign in.");
        }
        addOwner(name, password);
    }

    /** Once the first owner is kept. */
    void begun() {
        firstStartToken = null;
    }

    /** Somebody came, or may do something else than before. */
    public record Changed() {}

    private void addOwner(String name, String password) {
        add(name, password, true);
    }

    /**
     * Somebody new who has no part in any site yet; within a transaction.
     *
     * @throws Refusal if name or password will not do, or somebody has the name
     */
    public void addPerson(String name, String password) {
        add(name, password, false);
    }

    private void add(String name, String password, boolean runsInstallation) {
        String tidy = name.strip();
        if (tidy.isEmpty() || tidy.length() > 80) {
            throw Refusal.bad("name", "Give a name of 1 to 80 characters.");
        }
        try {
            store.addPerson(tidy, PASSWORDS.encode(checked("password", password)), runsInstallation);
        } catch (DuplicateKeyException taken) {
            throw new Refusal(
                    HttpStatus.CONFLICT,
                    "name",
                    "Somebody is called “%s” here. Choose another name; if it is you, sign in first.".formatted(tidy));
        }
        passwordNumbers.remove(tidy);
        events.publishEvent(new Changed());
    }

    private static String checked(String field, String password) {
        if (password.length() < SHORTEST_PASSWORD
                || password.getBytes(StandardCharsets.UTF_8).length > LONGEST_PASSWORD) {
            throw Refusal.bad(
                    field, "Choose a password of %d to %d characters.".formatted(SHORTEST_PASSWORD, LONGEST_PASSWORD));
        }
        if (CommonPasswords.has(password)) {
            throw Refusal.bad(
                    field,
                    "Many people have chosen this password, so it is among the first that anybody tries. Choose another.");
        }
        return password;
    }

    /** Whether the password is somebody's. Takes as long for a name that nobody has. */
    boolean matches(String name, String password) {
        Optional<String> hash = store.passwordHash(name.strip());
        // BCrypt refuses longer ones, and none of those was ever set.
        boolean right = password.getBytes(StandardCharsets.UTF_8).length <= LONGEST_PASSWORD
                && PASSWORDS.matches(password, hash.orElse(NOBODYS_HASH));
        return right && hash.isPresent();
    }

    /** Sets another password; sessions that began with the one before end. */
    void changePassword(String name, String password) {
        store.changePassword(name, PASSWORDS.encode(checked("password", password)));
        passwordNumbers.remove(name);
    }

    /** How often somebody's password was set; 0 for nobody. */
    int passwordNumber(String name) {
        return passwordNumbers.computeIfAbsent(
                name, person -> store.passwordNumber(person).orElse(0));
    }

    @EventListener
    void forgetAll(DatabaseReplaced replaced) {
        passwordNumbers.clear();
        firstStartToken = null;
    }
}
