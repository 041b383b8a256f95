package tidylantern.server.account;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Clients;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;

/** Signing in and out, setting up a new installation, and access keys. */
@RestController
@RequestMapping("/api/owner")
class AccountController {
    private final Accounts accounts;
    private final AccessKeys keys;
    private final SignInAttempts attempts;
    private final KnownBrowsers browsers;
    private final Sessions sessions;
    private final TransactionTemplate transaction;
    private final Sites sites;

    AccountController(
            Accounts accounts,
            AccessKeys keys,
            SignInAttempts attempts,
            KnownBrowsers browsers,
            Sessions sessions,
            Sites sites,
            TransactionTemplate transaction) {
        this.accounts = accounts;
        this.keys = keys;
        this.browsers = browsers;
        this.sessions = sessions;
        this.transaction = transaction;
        this.attempts = attempts;
        this.sites = sites;
    }

    /**
     * @param firstStart whether the installation waits for its first owner
     * @param name who is signed in; null for nobody
     */
    record Session(boolean firstStart, @Nullable String name) {}

    record SignIn(String name, String password) {}

    /**
     * @param token that the service's log tells while there is no owner
     * @param siteName null, as is the address, to begin without a site
     */
    record FirstStart(
            String token,
            String name,
            String password,
            @Nullable String siteName,
            @Nullable String siteAddress) {}

    /**
     * @param site that the key is good for; null for all sites
     * @param rights null for all
     */
    record NewKeyGiven(
            String name, @Nullable SiteKey site, @Nullable KeyRights rights) {}

    /**
     * @param site null for all sites
     * @param lastUsed to about a minute; null if it never was
     * @param operators whether it comes from the operator's settings
     */
    record AccessKey(
            long id,
            String name,
            OffsetDateTime created,
            @Nullable SiteKey site,
            KeyRights rights,
            @Nullable OffsetDateTime lastUsed,
            boolean operators) {}

    record NewPassword(String old, String password) {}

    @GetMapping("/session")
    Session session(@Nullable Authentication who) {
        return new Session(accounts.firstStart(), who == null ? null : who.getName());
    }

    @PostMapping("/session")
    Session signIn(@RequestBody SignIn given, HttpServletRequest request, HttpServletResponse response) {
        String name = given.name().strip();
        check(name, given.password(), request, "password", "Name and password do not go together. Check both.");
        return begin(name, request, response);
    }

    /** Counts the try first, however many come at once. */
    private void check(String name, String password, HttpServletRequest request, String field, String otherwise) {
        String client = Clients.of(request);
        String browser = browsers.number(request, name);
        attempts.begin(name, client, browser);
        if (!accounts.matches(name, password)) {
            throw new Refusal(HttpStatus.UNAUTHORIZED, field, otherwise);
        }
        attempts.right(name, client, browser);
    }

    @Operation(summary = "Sets another password for whoever is signed in. Every other session of theirs ends.")
    @PutMapping("/password")
    Session changePassword(
            @RequestBody NewPassword given,
            Authentication who,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (request.getSession(false) == null) {
            throw Refusal.conflict("A password is changed by whoever is signed in with it; an access key has none.");
        }
        check(who.getName(), given.old(), request, "old", "This is not your password of now.");
        accounts.changePassword(who.getName(), given.password());
        return begin(who.getName(), request, response);
    }

    @PostMapping("/first-start")
    Session firstStart(@RequestBody FirstStart given, HttpServletRequest request, HttpServletResponse response) {
        if (!accounts.firstStart()) {
            throw Refusal.conflict("This installation has an owner already. Sign in.");
        }
        String name = given.name().strip();
        boolean withSite = given.siteName() != null || given.siteAddress() != null;
        String siteName = Objects.requireNonNullElse(given.siteName(), "");
        String siteAddress = Objects.requireNonNullElse(given.siteAddress(), "");
        if (withSite) {
            Sites.check(siteName, siteAddress, List.of());
        }
        transaction.executeWithoutResult(status -> {
            accounts.addFirstOwner(given.token(), name, given.password());
            if (withSite) {
                sites.add(siteName, siteAddress);
            }
        });
        accounts.begun();
        return begin(name, request, response);
    }

    private Session begin(String name, HttpServletRequest request, HttpServletResponse response) {
        sessions.begin(name, request, response);
        return new Session(false, name);
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request, HttpServletResponse response) {
        // What was shown must not be found by who uses the browser next.
        response.setHeader("Clear-Site-Data", "\"cache\"");
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    @GetMapping("/access-keys")
    List<AccessKey> keys() {
        return keys.all().stream()
                .map(key -> new AccessKey(
                        key.id(),
                        key.name(),
                        key.created(),
                        key.site(),
                        KeyRights.of(key.rights()),
                        key.lastUsed(),
                        key.operators()))
                .toList();
    }

    @PostMapping("/access-keys")
    @ResponseStatus(HttpStatus.CREATED)
    AccessKeys.NewKey addKey(@RequestBody NewKeyGiven given) {
        return keys.add(given.name(), given.site(), Objects.requireNonNullElse(given.rights(), KeyRights.ALL));
    }

    @DeleteMapping("/access-keys/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeKey(@PathVariable long id) {
        keys.end(id);
    }
}
