package tidylantern.core.design.filter;

import java.util.Set;
import java.util.regex.Pattern;
import tidylantern.core.design.DesignFault;

/**
 * What a filter is called.
 *
 * @param key its name in addresses: small letters, digits and hyphens, 1 to {@value #LONGEST_KEY}; none of
 *     {@link #TAKEN}
 * @param label what visitors read above it, 1 to {@value #LONGEST_LABEL} characters
 * @param help what they read below the label, at most {@value #LONGEST_HELP} characters; may be empty
 */
public record FilterHead(String key, String label, String help) {
    /** Parameters of the public contract, which no filter may be called by. */
    public static final Set<String> TAKEN = Set.of("q", "page", "order", "near", "place", "within", "below", "named");

    public static final int LONGEST_KEY = 40;
    public static final int LONGEST_LABEL = 80;
    public static final int LONGEST_HELP = 200;
    private static final Pattern KEY = Pattern.compile("[a-z0-9][a-z0-9-]{0,%d}".formatted(LONGEST_KEY - 1));

    public FilterHead {
        DesignFault.unless(
                KEY.matcher(key).matches(),
                "key",
                "\"%s\" cannot stand in an address as a filter's name; use small letters, digits and hyphens, 1 to %d",
                key,
                LONGEST_KEY);
        DesignFault.unless(
                !TAKEN.contains(key),
                "key",
                "\"%s\" is a parameter of the search itself; call the filter something else",
                key);
        label = label.strip();
        DesignFault.unless(
                !label.isEmpty() && label.length() <= LONGEST_LABEL,
                "label",
                "the filter \"%s\" needs a label of 1 to %d characters",
                key,
                LONGEST_LABEL);
        help = FilterText.atMost(LONGEST_HELP, "help", help);
    }

    /** Of a label that may be too long, such as that of a field: as much of it as fits, and no help. */
    public static FilterHead labelled(String key, String label) {
        return new FilterHead(key, label.substring(0, Math.min(label.length(), LONGEST_LABEL)), "");
    }
}
