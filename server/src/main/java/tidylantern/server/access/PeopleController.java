package tidylantern.server.access;

import io.swagger.v3.oas.annotations.Operation;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.server.account.KeyHolder;
import tidylantern.server.key.SiteKey;
import tidylantern.server.site.Role;

/** The people of a site, what each is there, and invitations. */
@RestController
@RequestMapping("/api/owner")
class PeopleController {
    private final People people;

    PeopleController(People people) {
        this.people = people;
    }

    /**
     * What whoever asks may do.
     *
     * @param runsInstallation whether that is everything
     * @param roles by the keys of sites
     */
    record OwnAccess(boolean runsInstallation, Map<SiteKey, Role> roles) {}

    record RoleGiven(Role role) {}

    /** @param token what the invitation's link holds; it is never told again */
    record NewInvitation(String token, OffsetDateTime until) {}

    @Operation(summary = "What whoever asks may do.")
    @GetMapping("/access")
    OwnAccess access(Authentication who) {
        if (who.getDetails() instanceof KeyHolder key) {
            return new OwnAccess(key.site() == null, key.site() == null ? Map.of() : Map.of(key.site(), Role.OWNER));
        }
        return new OwnAccess(people.runsInstallation(who.getName()), new TreeMap<>(people.roles(who.getName())));
    }

    @GetMapping("/sites/{site}/people")
    List<People.Person> people(@PathVariable SiteKey site) {
        return people.of(site);
    }

    @PutMapping("/sites/{site}/people/{name}")
    List<People.Person> change(@PathVariable SiteKey site, @PathVariable String name, @RequestBody RoleGiven given) {
        people.change(site, name, given.role());
        return people.of(site);
    }

    @Operation(summary = "Takes somebody off the site. They are not told, and what they did stays.")
    @DeleteMapping("/sites/{site}/people/{name}")
    List<People.Person> remove(@PathVariable SiteKey site, @PathVariable String name) {
        people.remove(site, name);
        return people.of(site);
    }

    @Operation(summary = "Invitations that wait to be used.")
    @GetMapping("/sites/{site}/invitations")
    List<Invitation> invitations(@PathVariable SiteKey site) {
        return people.invitations(site);
    }

    @Operation(summary = "Makes a link by which one person joins the site. It works once, for a week.")
    @PostMapping("/sites/{site}/invitations")
    @ResponseStatus(HttpStatus.CREATED)
    NewInvitation invite(@PathVariable SiteKey site, @RequestBody RoleGiven given, Authentication who) {
        String token = people.invite(site, given.role(), who.getName());
        return new NewInvitation(token, people.invitations(site).getFirst().until());
    }

    @DeleteMapping("/sites/{site}/invitations/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(@PathVariable SiteKey site, @PathVariable long id) {
        people.takeBack(site, id);
    }
}
