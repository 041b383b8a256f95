package tidylantern.server.access;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.server.account.KeyHolder;
import tidylantern.server.account.Sessions;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Role;

/** For whoever opens the link of an invitation. */
@RestController
@RequestMapping("/api/owner/invitation")
class InvitationController {
    private final People people;
    private final Sessions sessions;

    InvitationController(People people, Sessions sessions) {
        this.people = people;
        this.sessions = sessions;
    }

    record LinkGiven(String token) {}

    /** @param by who made the link */
    record Invited(String siteName, Role role, String by) {}

    /** @param name and password of somebody new; both null for somebody who is signed in */
    record Accepted(
            String token, @Nullable String name, @Nullable String password) {}

    /** @param site key of the site that was joined */
    record JoinedSite(SiteKey site, String name) {}

    @Operation(summary = "Tells what an invitation's link invites to.")
    @PostMapping
    Invited look(@RequestBody LinkGiven given) {
        People.Invited invited = people.invited(given.token());
        return new Invited(invited.site().name(), invited.role(), invited.by());
    }

    @Operation(summary = "Joins the site: as who is signed in, or as somebody new, who is signed in then.")
    @PostMapping("/accept")
    JoinedSite accept(
            @RequestBody Accepted given,
            @Nullable Authentication who,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (who != null) {
            if (who.getDetails() instanceof KeyHolder) {
                throw Refusal.conflict("People join a site, and access keys do not. Leave the key out.");
            }
            return new JoinedSite(people.accept(given.token(), who.getName(), null), who.getName());
        }
        if (given.name() == null || given.password() == null) {
            throw Refusal.bad("name", "Choose a name and a password, or sign in first.");
        }
        String name = given.name().strip();
        SiteKey site = people.accept(given.token(), name, given.password());
        sessions.begin(name, request, response);
        return new JoinedSite(site, name);
    }
}
