package tidylantern.core.query.words;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.SiteContent;

/**
 * What a visitor asks for.
 *
 * @param text as typed, without control characters, at most {@link #MOST_LETTERS} characters; may be empty
 * @param page 1 for the first; a page beyond the last stands for the last
 * @param filters what is set by the filters' keys; unknown ones are passed over when the query is answered. A filter
 *     that is missing is at its start; one without a value has nothing set
 * @param whereabouts where distances are measured from
 * @param order key of an order that visitors may choose; any other stands for the one that holds by itself
 * @param today at the visitor's or the site's place
 * @param language whose rules names are ordered by; null for that of what is searched
 */
public record VisitorQuery(
        String text,
        int page,
        Map<String, List<String>> filters,
        Whereabouts whereabouts,
        String order,
        LocalDate today,
        @Nullable String language) {
    /** Longer queries are read up to here; nobody types them, but machines do. */
    public static final int MOST_LETTERS = 500;
    /** Words beyond these are not looked at. */
    public static final int MOST_WORDS = 24;

    /** Values of one filter beyond these are not looked at. */
    public static final int MOST_VALUES = 1_000;

    public VisitorQuery {
        text = tidied(text);
        page = Math.max(1, page);
        filters = filters.entrySet().stream()
                .collect(Collectors.toUnmodifiableMap(
                        Map.Entry::getKey,
                        filter -> filter.getValue().stream().limit(MOST_VALUES).toList()));
    }

    /** With names in the order of what is searched. */
    public VisitorQuery(
            String text,
            int page,
            Map<String, List<String>> filters,
            Whereabouts whereabouts,
            String order,
            LocalDate today) {
        this(text, page, filters, whereabouts, order, today, null);
    }

    /** The first page of what words find, with nothing set. */
    public static VisitorQuery plain(String text, LocalDate today) {
        return new VisitorQuery(text, 1, Map.of(), Whereabouts.UNKNOWN, "", today);
    }

    /** The same filters with other words, on the first page. */
    public VisitorQuery withText(String other) {
        return new VisitorQuery(other, 1, filters, whereabouts, order, today, language);
    }

    /** Whose rules names are ordered by, where some collections are searched. */
    public String orderedBy(SiteContent content, Set<CollectionKey> searched) {
        return language == null ? content.language(searched) : language;
    }

    private static String tidied(String text) {
        StringBuilder kept = new StringBuilder(Math.min(text.length(), MOST_LETTERS));
        text.codePoints()
                .limit(MOST_LETTERS)
                .forEach(c -> kept.appendCodePoint(
                        Character.isISOControl(c) || Character.getType(c) == Character.SURROGATE ? ' ' : c));
        return kept.toString();
    }

    /** How many letters and digits were typed; what {@code fewestLetters} counts. */
    public int letters() {
        return (int) text.codePoints().filter(Character::isLetterOrDigit).count();
    }
}
