package tidylantern.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;

/** Signing in and out, setting up a new installation, and access keys. */
@RestController
@RequestMapping("/api/owner")
class AccountController {
    private final Accounts accounts;
    private final SignInAttempts attempts;
    private final Sites sites;
    private final HttpSessionSecurityContextRepository contexts = new HttpSessionSecurityContextRepository();

    AccountController(Accounts accounts, SignInAttempts attempts, Sites sites) {
        this.accounts = accounts;
        this.attempts = attempts;
        this.sites = sites;
    }

    /**
     * @param firstStart whether the installation waits for its first owner
     * @param name who is signed in; null for nobody
     */
    record Session(boolean firstStart, @Nullable String name) {}

    record SignIn(String name, String password) {}

    record FirstStart(String name, String password, String siteName, String siteAddress) {}

    record NewKeyName(String name) {}

    record AccessKey(long id, String name, OffsetDateTime created) {}

    @GetMapping("/session")
    Session session(@Nullable Authentication who) {
        return new Session(accounts.firstStart(), who == null ? null : who.getName());
    }

    @PostMapping("/session")
    Session signIn(@RequestBody SignIn given, HttpServletRequest request, HttpServletResponse response) {
        String name = given.name().strip();
        attempts.mayTry(name);
        if (!accounts.matches(name, given.password())) {
            attempts.wrong(name);
            throw new Refusal(HttpStatus.UNAUTHORIZED, "password", "Name and password do not go together. Check both.");
        }
        attempts.right(name);
        return begin(name, request, response);
    }

    @PostMapping("/first-start")
    Session firstStart(@RequestBody FirstStart given, HttpServletRequest request, HttpServletResponse response) {
        if (!accounts.firstStart()) {
            throw Refusal.conflict("This installation has an owner already. Sign in.");
        }
        Sites.check(given.siteName(), given.siteAddress(), List.of());
        accounts.addFirstOwner(given.name(), given.password());
        sites.add(given.siteName(), given.siteAddress());
        return begin(given.name().strip(), request, response);
    }

    private Session begin(String name, HttpServletRequest request, HttpServletResponse response) {
        HttpSession old = request.getSession(false);
        if (old != null) {
            // A session from before signing in may be known to somebody else.
            old.invalidate();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(name, null, List.of()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return new Session(false, name);
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    @GetMapping("/access-keys")
    List<AccessKey> keys() {
        return accounts.keys().stream().map(key -> new AccessKey(key.id(), key.name(), key.created())).toList();
    }

    @PostMapping("/access-keys")
    @ResponseStatus(HttpStatus.CREATED)
    Accounts.NewKey addKey(@RequestBody NewKeyName given) {
        return accounts.addKey(given.name());
    }

    @DeleteMapping("/access-keys/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeKey(@PathVariable long id) {
        accounts.removeKey(id);
    }
}
