package tidylantern.server.site;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.server.key.SiteKey;

@RestController
@RequestMapping("/api/owner/sites")
class SiteController {
    private final Sites sites;
    private final RefusedOrigins refused;
    private final ObjectProvider<SiteRoles> roles;

    SiteController(Sites sites, RefusedOrigins refused, ObjectProvider<SiteRoles> roles) {
        this.roles = roles;
        this.sites = sites;
        this.refused = refused;
    }

    record NewSite(String name, String address) {}

    /** @param timeZone null to leave as it is */
    record ChangedSite(
            String name,
            String address,
            List<String> origins,
            @Nullable String timeZone) {}

    @GetMapping
    List<Sites.Site> all() {
        return sites.all().stream()
                .filter(site -> roles.getObject().here(site.key()) != null)
                .toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Sites.Site add(@RequestBody NewSite given) {
        return sites.add(given.name(), given.address());
    }

    @GetMapping("/{site}")
    Sites.Site get(@PathVariable SiteKey site) {
        return sites.get(site);
    }

    @Operation(summary = "Origins whose pages asked the site's searches lately and were turned away.")
    @GetMapping("/{site}/refused-origins")
    List<RefusedOrigins.RefusedOrigin> refusedOrigins(@PathVariable SiteKey site) {
        return refused.of(sites.get(site));
    }

    @PutMapping("/{site}")
    Sites.Site change(@PathVariable SiteKey site, @RequestBody ChangedSite given) {
        return sites.change(site, given.name(), given.address(), given.origins(), given.timeZone());
    }
}
