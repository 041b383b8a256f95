package tidylantern.server.access;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.server.account.Accounts;
import tidylantern.server.account.Secrets;
import tidylantern.server.history.Changeable;
import tidylantern.server.history.History;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.DatabaseReplaced;
import tidylantern.server.platform.KnownAsAWhole;
import tidylantern.server.platform.Rearranged;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Role;
import tidylantern.server.site.Sites;

/** The people of sites and what each is there. Those who run the installation are owners of all of them. */
@Component
class People {
    static final Duration INVITED = Duration.ofDays(7);
    private static final int BYTES_OF_TOKEN = 24;

    private final PeopleStore store;
    private final Accounts accounts;
    private final Sites sites;
    private final History history;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final RoleChanges changes = new RoleChanges();
    /** Asked with every request. */
    private final KnownAsAWhole<Known> known = new KnownAsAWhole<>(this::read);

    People(
            PeopleStore store,
            Accounts accounts,
            Sites sites,
            History history,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.accounts = accounts;
        this.sites = sites;
        this.history = history;
        this.transaction = transaction;
        this.clock = clock;
        history.learn(changes);
    }

    /** @param roles by person, then by site */
    private record Known(Set<String> running, Map<String, Map<SiteKey, Role>> roles) {}

    private Known read() {
        Map<String, Map<SiteKey, Role>> roles = new HashMap<>();
        store.roles().forEach(one -> roles.computeIfAbsent(one.person(), person -> new HashMap<>())
                .put(one.site(), Role.of(one.role())));
        return new Known(store.runningTheInstallation(), roles);
    }

    @EventListener
    void forget(DatabaseReplaced replaced) {
        known.forget();
    }

    @EventListener
    void forget(Rearranged rearranged) {
        known.forget();
    }

    @TransactionalEventListener(fallbackExecution = true)
    void forget(Accounts.Changed changed) {
        known.forget();
    }

    /** Whether somebody may do everything. */
    boolean runsInstallation(String person) {
        return known.get().running().contains(person);
    }

    /** What somebody is at sites, by their keys; nothing of those who run the installation. */
    Map<SiteKey, Role> roles(String person) {
        return known.get().roles().getOrDefault(person, Map.of());
    }

    /** Null where they have no part in it. */
    @Nullable Role role(String person, SiteKey site) {
        return runsInstallation(person) ? Role.OWNER : roles(person).get(site);
    }

    /**
     * Somebody with a part in a site.
     *
     * @param since null for those who run the installation
     */
    record Person(
            String name,
            Role role,
            boolean runsInstallation,
            @Nullable OffsetDateTime since) {}

    /** Those who run the installation first. */
    List<Person> of(SiteKey site) {
        sites.get(site);
        Set<String> running = store.runningTheInstallation();
        return Stream.concat(
                        running.stream().sorted().map(name -> new Person(name, Role.OWNER, true, null)),
                        store.roles().stream()
                                .filter(one -> one.site().equals(site) && !running.contains(one.person()))
                                .map(one -> new Person(one.person(), Role.of(one.role()), false, one.since())))
                .toList();
    }

    /** @throws Refusal if nobody of the name belongs to the site by a role of their own */
    void change(SiteKey site, String person, Role role) {
        mustBelong(site, person);
        put(site, person, role);
    }

    /** From now on they have no part in the site. */
    void remove(SiteKey site, String person) {
        mustBelong(site, person);
        put(site, person, null);
    }

    private void mustBelong(SiteKey site, String person) {
        sites.get(site);
        if (runsInstallation(person)) {
            throw Refusal.conflict("“%s” runs the installation, and so owns every site.".formatted(person));
        }
        if (store.role(site, person) == null) {
            throw Refusal.notFound("Nobody called “%s” belongs to this site.".formatted(person));
        }
    }

    private void put(SiteKey site, String person, @Nullable Role role) {
        transaction.executeWithoutResult(status -> history.change(changes, site, person, () -> {
            if (role == null) {
                store.remove(site, person);
            } else {
                store.put(site, person, role.toString(), OffsetDateTime.now(clock));
            }
        }));
        known.forget();
    }

    // Invitations

    List<Invitation> invitations(SiteKey site) {
        forgetOld();
        return store.invitations(site).stream().map(People::shown).toList();
    }

    private static Invitation shown(PeopleStore.StoredInvitation one) {
        return new Invitation(
                one.invitationId(),
                Role.of(one.role()),
                one.made(),
                one.madeBy(),
                one.made().plus(INVITED));
    }

    private void forgetOld() {
        store.forgetInvitationsBefore(OffsetDateTime.now(clock).minus(INVITED));
    }

    /** @return what its link holds; the only time that it can be read */
    String invite(SiteKey site, Role role, String by) {
        sites.get(site);
        String token = Secrets.random(BYTES_OF_TOKEN);
        store.addInvitation(site, role.toString(), Secrets.hash(token), OffsetDateTime.now(clock), by);
        return token;
    }

    /** Its link works no more. */
    void takeBack(SiteKey site, long invitation) {
        if (!store.removeInvitation(site, invitation)) {
            throw Refusal.notFound("There is no such invitation any more. It may have been used, or have run out.");
        }
    }

    /** @param site that they are invited to */
    record Invited(Sites.Site site, Role role, String by) {}

    /** @throws Refusal if the link was used, taken back, or is older than a week */
    Invited invited(String token) {
        PeopleStore.StoredInvitation stored = stored(token);
        return new Invited(sites.get(stored.site()), Role.of(stored.role()), stored.madeBy());
    }

    private PeopleStore.StoredInvitation stored(String token) {
        forgetOld();
        return store.invitation(Secrets.hash(token.strip()))
                .orElseThrow(() -> Refusal.notFound(
                        "This link works no more: it was used, taken back, or is older than a week. Ask for another."));
    }

    /**
     * Makes somebody what they were invited to be, unless they are more already. The link is used up.
     *
     * @param password to set for somebody new; null for somebody who is signed in
     * @return the site's key
     */
    SiteKey accept(String token, String name, @Nullable String password) {
        SiteKey site = Objects.requireNonNull(transaction.execute(status -> {
            PeopleStore.StoredInvitation stored = stored(token);
            if (!store.removeInvitation(stored.site(), stored.invitationId())) {
                throw Refusal.conflict("Somebody else used this link just now. Ask for another.");
            }
            if (password != null) {
                accounts.addPerson(name, password);
            }
            Role role = Role.of(stored.role());
            Said before = changes.now(stored.site(), name);
            if (!runsInstallation(name) && (before == null || !before.role().covers(role))) {
                history.note(changes, stored.site(), name, before, new Said(role), name);
                store.put(stored.site(), name, stored.role(), OffsetDateTime.now(clock));
            }
            return stored.site();
        }));
        known.forget();
        return site;
    }

    private record Said(Role role) {}

    private final class RoleChanges extends Changeable<String, Said> {
        RoleChanges() {
            super("person", String.class, Said.class);
        }

        @Override
        protected boolean ownersOnly() {
            return true;
        }

        @Override
        protected @Nullable Said now(SiteKey site, String person) {
            String role = store.role(site, person);
            return role == null ? null : new Said(Role.of(role));
        }

        @Override
        protected void putBack(SiteKey site, String person, Said state) {
            if (!store.hasPerson(person)) {
                throw Refusal.conflict("Nobody is called “%s” any more.".formatted(person));
            }
            put(site, person, state.role());
        }

        @Override
        protected String told(SiteKey site, String person, @Nullable Said before, @Nullable Said after) {
            if (after == null) {
                return "“%s”, %s, taken off the site"
                        .formatted(person, Objects.requireNonNull(before).role());
            }
            return before == null
                    ? "“%s” joined the site as %s".formatted(person, after.role())
                    : "“%s” is %s now and was %s".formatted(person, after.role(), before.role());
        }
    }
}
