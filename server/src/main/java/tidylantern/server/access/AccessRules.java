package tidylantern.server.access;

import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tidylantern.server.account.KeyRights;
import tidylantern.server.site.Role;

/**
 * What each address under {@code /api/owner/} asks of whoever calls it. Whatever is not named here follows from the
 * rules at the end: reading a site is for its viewers, changing it for its editors, and what belongs to no site for
 * those who run the installation.
 */
final class AccessRules {
    private static final Set<String> READING = Set.of("GET", "HEAD");
    private static final String SITE = "sites/[^/]+";
    private static final String SEARCH = "searches/[^/]+";

    private AccessRules() {}

    /**
     * What is asked.
     *
     * @param role at the site that the address leads to; null where it leads to none
     * @param everybody whether it is enough to be signed in
     */
    record Asked(@Nullable Role role, boolean everybody) {
        private static final Asked EVERYBODY = new Asked(null, true);
        /** Those who run the installation. */
        private static final Asked RUNNING = new Asked(null, false);

        private static Asked of(Role role) {
            return new Asked(role, false);
        }
    }

    private record Rule(Set<String> methods, Pattern path, Asked asked) {
        private static Rule of(Set<String> methods, String path, Asked asked) {
            return new Rule(methods, Pattern.compile(path), asked);
        }

        private boolean fits(String method, String address) {
            return methods.contains(method) && path.matcher(address).matches();
        }
    }

    private static final List<Rule> RULES = List.of(
            // Whatever one signs in for, and what tells nothing of any site.
            Rule.of(Set.of("GET", "HEAD", "POST", "DELETE"), "session", Asked.EVERYBODY),
            Rule.of(Set.of("POST"), "first-start|invitation|invitation/accept", Asked.EVERYBODY),
            Rule.of(Set.of("PUT"), "password", Asked.EVERYBODY),
            Rule.of(READING, "access|sites|stop-words|design-rules", Asked.EVERYBODY),
            Rule.of(Set.of("POST"), "synonym-tables", Asked.EVERYBODY),
            // The site itself, who belongs to it, and what is deleted as a whole.
            Rule.of(Set.of("PUT", "DELETE"), SITE, Asked.of(Role.OWNER)),
            Rule.of(Set.of("PUT", "DELETE"), SITE + "/people/[^/]+", Asked.of(Role.OWNER)),
            Rule.of(Set.of("GET", "HEAD", "POST", "DELETE"), SITE + "/invitations(/[^/]+)?", Asked.of(Role.OWNER)),
            Rule.of(Set.of("DELETE"), SITE + "/collections/[^/]+", Asked.of(Role.OWNER)),
            Rule.of(Set.of("DELETE"), SEARCH, Asked.of(Role.OWNER)),
            Rule.of(Set.of("DELETE"), "sources/[^/]+", Asked.of(Role.OWNER)),
            Rule.of(Set.of("POST"), SITE + "/deleted/[^/]+/bring-back", Asked.of(Role.OWNER)));

    /** @param path from {@code /api/owner/} on, without that */
    static Asked asked(String method, String path) {
        return RULES.stream()
                .filter(rule -> rule.fits(method, path))
                .findFirst()
                .map(Rule::asked)
                .orElseGet(() -> path.matches("(sites|searches|sources|syncs)/.+")
                        ? Asked.of(READING.contains(method) ? Role.VIEWER : Role.EDITOR)
                        : Asked.RUNNING);
    }

    /**
     * Whether the rights of an access key reach an address, at whatever site it is.
     *
     * @param path from {@code /api/owner/} on, without that
     */
    static boolean opens(KeyRights rights, String method, String path) {
        boolean reads = READING.contains(method);
        return switch (rights) {
            case ALL -> true;
            // What is deleted takes designs and sources with it, which is more than content.
            case CONTENT ->
                (path.matches(SITE + "/collections(/.*)?")
                                && !(method.equals("DELETE") && path.matches(SITE + "/collections/[^/]+")))
                        || (reads && path.matches("sites(/[^/]+)?"));
            case ANSWERS ->
                reads
                        && (path.matches(SEARCH + "/(draft|live-version)/(results|live|face|why|filters/.*)")
                                || path.matches("sites(/[^/]+(/searches)?)?"));
        };
    }
}
