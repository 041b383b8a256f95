package tidylantern.server.text;

import com.ibm.icu.text.PluralRules;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.text.NumberFormat;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Texts for visitors by key, from {@code texts/en.json}. A text may hold placeholders ({@code {label}}); one that goes
 * by a number is written once for each plural category of its language (CLDR's), and {@code count} takes one of them.
 */
public final class Texts {
    private static final Pattern PLACEHOLDER = Pattern.compile("\\{(\\w+)}");
    private static final String COUNT = "count";
    private static final String OTHER = "other";

    private static final Texts ENGLISH = read("en");

    private final Map<String, Map<String, String>> texts;
    private final PluralRules plurals;

    private Texts(Map<String, Map<String, String>> texts, PluralRules plurals) {
        this.texts = texts;
        this.plurals = plurals;
    }

    public static Texts english() {
        return ENGLISH;
    }

    private static Texts read(String language) {
        try (InputStream file = Texts.class.getResourceAsStream("/texts/" + language + ".json")) {
            if (file == null) {
                throw new IllegalStateException("No texts are shipped in the language \"" + language + "\".");
            }
            Map<String, Map<String, String>> read = new TreeMap<>();
            JsonMapper.shared()
                    .readTree(file)
                    .properties()
                    .forEach(text -> read.put(text.getKey(), forms(text.getKey(), text.getValue())));
            return new Texts(read, PluralRules.forLocale(Locale.forLanguageTag(language)));
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    /** A text by plural categories; one that goes by no number has but the one that stands for all. */
    private static Map<String, String> forms(String key, JsonNode text) {
        if (text.isString()) {
            return Map.of(OTHER, text.asString());
        }
        if (!text.has(OTHER)) {
            throw new IllegalStateException("The text \"%s\" has no form \"%s\".".formatted(key, OTHER));
        }
        Map<String, String> forms = new TreeMap<>();
        text.properties()
                .forEach(form -> forms.put(form.getKey(), form.getValue().asString()));
        return forms;
    }

    /**
     * @param values of the placeholders; numbers are written as a language does
     * @param language that numbers are written in
     * @throws IllegalArgumentException for a key that no text has, and for a placeholder that is given nothing
     */
    public String say(String key, Map<String, ?> values, Locale language) {
        Map<String, String> forms = texts.get(key);
        if (forms == null) {
            throw new IllegalArgumentException("No text has the key \"" + key + "\".");
        }
        String category = values.get(COUNT) instanceof Number count ? plurals.select(count.doubleValue()) : OTHER;
        String form = Objects.requireNonNull(forms.getOrDefault(category, forms.get(OTHER)));
        return PLACEHOLDER.matcher(form).replaceAll(found -> {
            Object value = values.get(found.group(1));
            if (value == null) {
                throw new IllegalArgumentException(
                        "The text \"%s\" is given no \"%s\".".formatted(key, found.group(1)));
            }
            return Matcher.quoteReplacement(
                    value instanceof Number number
                            ? NumberFormat.getInstance(language).format(number)
                            : value.toString());
        });
    }

    /** A text without placeholders. */
    public String say(String key) {
        return say(key, Map.of(), Locale.ROOT);
    }

    /** Those that stand as they are, by their keys, for a template. */
    public Map<String, String> plain() {
        Map<String, String> plain = new TreeMap<>();
        texts.forEach((key, forms) -> {
            String text = Objects.requireNonNull(forms.get(OTHER));
            if (forms.size() == 1 && !PLACEHOLDER.matcher(text).find()) {
                plain.put(key, text);
            }
        });
        return plain;
    }
}
