package tidylantern.server.access;

import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import tidylantern.server.account.KeyHolder;
import tidylantern.server.history.SiteOwners;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;
import tidylantern.server.key.SyncId;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Role;
import tidylantern.server.site.SiteRoles;
import tidylantern.server.site.Sites;

/** Decides who may do what, from the site that an address leads to. */
@Component
class Access implements SiteRoles, SiteOwners {
    private static final String NUMBER = "\\d{1,18}";

    private final People people;
    private final Sites sites;

    Access(People people, Sites sites) {
        this.people = people;
        this.sites = sites;
    }

    /**
     * Why somebody may not do something; null if they may.
     *
     * @param path from {@code /api/owner/} on, without that
     */
    @Nullable Refusal objection(Authentication who, String method, String path) {
        return who.getDetails() instanceof KeyHolder key
                ? objection(key, method, path)
                : objection(who.getName(), AccessRules.asked(method, path), path);
    }

    private @Nullable Refusal objection(KeyHolder key, String method, String path) {
        boolean here = key.site() == null || key.site().equals(siteOf(path));
        return here && AccessRules.opens(key.rights(), method, path)
                ? null
                : forbidden("This key may %s%s, and not this."
                        .formatted(
                                key.rights().said(),
                                key.site() == null ? "" : " on the site \"%s\"".formatted(key.site())));
    }

    private @Nullable Refusal objection(String person, AccessRules.Asked asked, String path) {
        if (asked.everybody() || people.runsInstallation(person)) {
            return null;
        }
        if (asked.role() == null) {
            return forbidden("This is for those who run the installation.");
        }
        SiteKey site = siteOf(path);
        Role role = site == null ? null : people.role(person, site);
        if (role == null) {
            // The same whether it is another's or nobody's.
            return Refusal.notFound("There is no such thing at any site that you belong to.");
        }
        return role.covers(asked.role())
                ? null
                : forbidden(
                        asked.role() == Role.OWNER
                                ? "This is for owners of the site. Ask one of them."
                                : "You may look at this site, and not change it. Ask one of its owners to.");
    }

    private static Refusal forbidden(String detail) {
        return new Refusal(HttpStatus.FORBIDDEN, null, detail);
    }

    @Override
    public @Nullable Role here(SiteKey site) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who == null) {
            return null;
        }
        return who.getDetails() instanceof KeyHolder key
                ? key.site() == null || key.site().equals(site) ? Role.OWNER : null
                : people.role(who.getName(), site);
    }

    @Override
    public boolean isAskedByOwner(SiteKey site) {
        return here(site) == Role.OWNER;
    }

    /** The site that an address is about; null for one about all of them, and for what is not there. */
    private @Nullable SiteKey siteOf(String path) {
        String[] parts = path.split("/");
        if (parts.length < 2) {
            return null;
        }
        return switch (parts[0]) {
            case "sites" -> new SiteKey(parts[1]);
            case "searches" -> sites.ofSearch(new SearchKey(parts[1]));
            case "sources" -> parts[1].matches(NUMBER) ? sites.ofSource(SourceId.of(parts[1])) : null;
            case "syncs" -> parts[1].matches(NUMBER) ? sites.ofSync(SyncId.of(parts[1])) : null;
            default -> null;
        };
    }
}
