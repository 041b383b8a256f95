package tidylantern.core.embedding;

import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Addresses;

/**
 * Tells what keeps a search from working on a page, worst first. It knows the page as it comes: what a script of the
 * page adds later cannot be seen, and is said so.
 */
public final class EmbeddingCheck {
    private static final String RESULTS = "tidy-results";

    private final PageSeen page;
    private final Wanted wanted;
    private final List<Obstacle> obstacles = new ArrayList<>();

    private EmbeddingCheck(PageSeen page, Wanted wanted) {
        this.page = page;
        this.wanted = wanted;
    }

    /**
     * What should be there.
     *
     * @param service origin that the elements are loaded from and ask
     * @param search its key
     * @param ofSite keys of all searches of the site
     * @param elsewhere keys of searches of other sites
     * @param origins that may ask
     * @param resultsPage whether this is where all results are to stand
     */
    public record Wanted(
            String service,
            String search,
            Set<String> ofSite,
            Set<String> elsewhere,
            Set<String> origins,
            boolean resultsPage) {}

    /** What can be wrong with a page. */
    public enum Trouble {
        ORIGIN,
        NO_SCRIPT,
        OTHER_SCRIPT,
        SCRIPT_TWICE,
        POLICY,
        INERT,
        OTHER_SITE,
        WRONG_KEY,
        NO_TAG,
        NO_LIST;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /** @param text what is wrong and what to do, as owners read it */
    public record Obstacle(Trouble trouble, String text) {}

    /** Nothing where all is as it should be. */
    public static List<Obstacle> of(PageSeen page, Wanted wanted) {
        EmbeddingCheck check = new EmbeddingCheck(page, wanted);
        check.origin();
        check.scripts();
        check.policies();
        check.tags();
        return List.copyOf(check.obstacles);
    }

    private void add(Trouble trouble, String pattern, Object... values) {
        obstacles.add(new Obstacle(trouble, pattern.formatted(values)));
    }

    private void origin() {
        String origin = Addresses.origin(page.address());
        if (!wanted.origins().contains(origin) && !origin.equals(wanted.service())) {
            add(
                    Trouble.ORIGIN,
                    "Pages at %s may not ask this site's searches, so nothing is found there."
                            + " Add the address under Site.",
                    origin);
        }
    }

    private void scripts() {
        Set<URI> different =
                page.scripts().stream().map(PageSeen.Script::address).collect(Collectors.toSet());
        if (different.isEmpty()) {
            add(
                    Trouble.NO_SCRIPT,
                    "The line with the script is not on the page as it comes."
                            + " Add it, unless a script of the page loads the elements.");
        } else if (different.size() > 1) {
            add(
                    Trouble.SCRIPT_TWICE,
                    "The script is loaded from two addresses (%s). Take one of the lines away.",
                    different.stream().map(URI::toString).sorted().collect(Collectors.joining(", ")));
        } else if (different.stream()
                .noneMatch(script -> Addresses.origin(script).equals(wanted.service()))) {
            add(
                    Trouble.OTHER_SCRIPT,
                    "The script comes from %s and asks that service, not this one. Copy the line anew.",
                    Addresses.origin(different.iterator().next()));
        }
    }

    private void policies() {
        for (PagePolicy policy : page.policies()) {
            for (PageSeen.Script script : page.scripts()) {
                kept("the script from loading", policy.keepsFromLoading(script), script.address());
            }
            URI service = URI.create(wanted.service());
            kept("the elements from asking", policy.keepsFromAsking(service), service);
        }
    }

    private void kept(String what, @Nullable String directive, URI address) {
        if (directive != null) {
            add(
                    Trouble.POLICY,
                    "The page's policy keeps %s: %s does not name %s. Add it there.",
                    what,
                    directive,
                    Addresses.origin(address));
        }
    }

    private void tags() {
        List<PageSeen.Tag> drawn =
                page.tags().stream().filter(tag -> !tag.inert()).toList();
        List<PageSeen.Tag> own = drawn.stream()
                .filter(tag -> tag.search().equals(wanted.search()))
                .toList();
        drawn.stream()
                .map(PageSeen.Tag::search)
                .filter(key -> !wanted.ofSite().contains(key))
                .distinct()
                .forEach(this::unknown);
        if (own.isEmpty()) {
            boolean isInert = page.tags().stream().anyMatch(tag -> tag.search().equals(wanted.search()));
            if (isInert) {
                add(
                        Trouble.INERT,
                        "The tag of this search stands in a template or a noscript, where browsers draw nothing."
                                + " Put it into the page itself.");
            } else {
                add(
                        Trouble.NO_TAG,
                        "No tag of this search is on the page as it comes."
                                + " Add it, unless a script of the page makes it.");
            }
        } else if (wanted.resultsPage()
                && own.stream().noneMatch(tag -> tag.element().equals(RESULTS))) {
            add(
                    Trouble.NO_LIST,
                    "This is the results page, and no list of results is on it. Add the tag %s.",
                    "<tidy-results search=\"" + wanted.search() + "\"></tidy-results>");
        }
    }

    private void unknown(String key) {
        if (key.isEmpty()) {
            add(Trouble.WRONG_KEY, "A tag names no search. Write search=\"%s\" into it.", wanted.search());
        } else if (wanted.elsewhere().contains(key)) {
            add(
                    Trouble.OTHER_SITE,
                    "A tag asks \"%s\", which is a search of another site. Write one of this site's keys.",
                    key);
        } else {
            add(Trouble.WRONG_KEY, "A tag asks \"%s\", and there is no such search. Check the key.", key);
        }
    }
}
