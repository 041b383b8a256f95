package tidylantern.core.content;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/** One piece of content. Fields without a value are not in {@code values}. */
public record Item(ItemRef ref, Map<FieldKey, FieldValue> values) {
    /** A title made from other words ends there, at the next word's end. */
    static final int WORDS_OF_MADE_TITLE = 8;

    public Item {
        values = Map.copyOf(values);
    }

    /**
     * What the item is called: its title, else its first heading, else its first words, else its address, else its id.
     */
    public String title() {
        for (FieldKey key : new FieldKey[] {FieldKey.TITLE, FieldKey.HEADINGS}) {
            String first = text(key)
                    .lines()
                    .map(String::strip)
                    .filter(line -> !line.isEmpty())
                    .findFirst()
                    .orElse("");
            if (!first.isEmpty()) {
                return first;
            }
        }
        for (FieldKey key : new FieldKey[] {FieldKey.SUMMARY, FieldKey.BODY}) {
            String words = firstWords(text(key));
            if (!words.isEmpty()) {
                return words;
            }
        }
        String address = address();
        return address != null ? address : ref.id().value();
    }

    /** Where the whole item can be read, or null where the site gives no address. */
    public @Nullable String address() {
        return values.get(FieldKey.ADDRESS) instanceof FieldValue.Link link ? link.address() : null;
    }

    /** The text of a field; empty where it has none or is of another kind. */
    public String text(FieldKey key) {
        return values.get(key) instanceof FieldValue.Text text ? text.text() : "";
    }

    private static String firstWords(String text) {
        String[] words = text.strip().split("\\s+", WORDS_OF_MADE_TITLE + 1);
        if (words.length <= WORDS_OF_MADE_TITLE) {
            return String.join(" ", words);
        }
        return String.join(" ", java.util.Arrays.copyOf(words, WORDS_OF_MADE_TITLE)) + "…";
    }
}
