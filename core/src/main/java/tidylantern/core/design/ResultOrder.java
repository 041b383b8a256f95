package tidylantern.core.design;

import java.util.List;
import java.util.stream.Stream;

/**
 * In which order results stand. Ties go to the next key, the last tie to the item's id, so that pages never repeat or
 * lose one.
 *
 * @param withWords where something is asked for; relevance where none is named
 * @param withoutWords in the starting list; the newest first where none is named
 * @param choices orders that visitors may choose instead
 * @param label what visitors read for the order that holds by itself, up to 40 characters; empty for the usual words
 * @param mostFeatured how much of a first page may be featured before the owner is warned, in per cent, 0 to 100
 */
public record ResultOrder(
        List<OrderKey> withWords, List<OrderKey> withoutWords, List<Choice> choices, String label, int mostFeatured) {
    public static final int USUAL_MOST_FEATURED = 40;

    /** Of a first page, in per cent. */
    public static final Limit FEATURED = new Limit(0, 100);

    public static final int LONGEST_LABEL = 40;
    public static final int MOST_KEYS = 8;
    public static final int MOST_CHOICES = 12;

    public ResultOrder {
        withWords = keys(withWords, "withWords", OrderKey.of(OrderKey.By.RELEVANCE));
        withoutWords = keys(withoutWords, "withoutWords", OrderKey.of(OrderKey.By.NEWEST));
        choices = List.copyOf(choices);
        DesignFault.unless(
                choices.size() <= MOST_CHOICES,
                "choices",
                "%d orders to choose from are too many; %d are the most",
                choices.size(),
                MOST_CHOICES);
        DesignFault.ifTwice(choices.stream().map(Choice::key).toList(), "choices", "the key");
        label = label.strip();
        DesignFault.unless(
                label.length() <= LONGEST_LABEL,
                "label",
                "\"%s\" is too long for a choice; %d characters are the most",
                label,
                LONGEST_LABEL);
        DesignFault.unless(
                FEATURED.includes(mostFeatured),
                "mostFeatured",
                "%s per cent of a page are not possible; choose %s",
                mostFeatured,
                FEATURED);
    }

    /** With the usual warning of too much that is featured. */
    public ResultOrder(List<OrderKey> withWords, List<OrderKey> withoutWords, List<Choice> choices, String label) {
        this(withWords, withoutWords, choices, label, USUAL_MOST_FEATURED);
    }

    private static List<OrderKey> keys(List<OrderKey> keys, String part, OrderKey usual) {
        List<OrderKey> named = keys.isEmpty() ? List.of(usual) : List.copyOf(keys);
        DesignFault.unless(
                named.size() <= MOST_KEYS, part, "%d keys are too many; %d are the most", named.size(), MOST_KEYS);
        return named;
    }

    /** The best first where something is asked for, else the newest. */
    public static ResultOrder usual() {
        return new ResultOrder(List.of(), List.of(), List.of(), "");
    }

    /** The keys that hold for a query. */
    public List<OrderKey> keys(boolean withoutAnyWords, String chosen) {
        return choices.stream()
                .filter(choice -> choice.key().equals(chosen))
                .findFirst()
                .map(Choice::by)
                .orElse(withoutAnyWords ? withoutWords : withWords);
    }

    /** Whether a visitor's choice is one of those offered. */
    public boolean chosen(String key) {
        return choices.stream().anyMatch(choice -> choice.key().equals(key));
    }

    /** All keys anywhere in it, those for a visitor without a place too. */
    Stream<OrderKey> all() {
        return Stream.of(
                        withWords.stream(),
                        withoutWords.stream(),
                        choices.stream().flatMap(choice -> choice.by().stream()))
                .flatMap(one -> one)
                .flatMap(key -> key.without() == null ? Stream.of(key) : Stream.of(key, key.without()));
    }

    /**
     * An order that visitors may choose.
     *
     * @param key its name in addresses: small letters, digits and hyphens, 1 to 40
     * @param label what visitors read, 1 to 40 characters
     */
    public record Choice(String key, String label, List<OrderKey> by) {
        public Choice {
            DesignFault.unless(
                    key.matches("[a-z0-9][a-z0-9-]{0,39}"),
                    "key",
                    "\"%s\" cannot stand in an address as the name of an order; use small letters, digits and hyphens, 1 to 40",
                    key);
            label = label.strip();
            DesignFault.unless(
                    !label.isEmpty() && label.length() <= LONGEST_LABEL,
                    "label",
                    "the order \"%s\" needs a label of 1 to %d characters",
                    key,
                    LONGEST_LABEL);
            by = List.copyOf(by);
            DesignFault.unless(
                    !by.isEmpty() && by.size() <= MOST_KEYS,
                    "by",
                    "the order \"%s\" needs 1 to %d keys",
                    key,
                    MOST_KEYS);
        }
    }
}
