package tidylantern.server.text;

import com.ibm.icu.text.PluralRules;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.text.Language;
import tidylantern.core.design.text.Reworded;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Texts for visitors by key, in one language: those of {@code texts/*.json}, and what an owner words otherwise. A text
 * may hold placeholders ({@code {label}}); one that goes by a number is written once for each plural category of its
 * language (CLDR's), and {@code count} takes one of them.
 */
public final class Texts {
    private static final Pattern PLACEHOLDER = Pattern.compile("\\{(\\w+)}");
    private static final String COUNT = "count";

    private static final Map<Language, Texts> STANDARD = new EnumMap<>(Language.class);

    static {
        for (Language language : Language.values()) {
            STANDARD.put(language, read(language));
        }
    }

    private final Map<String, Map<String, String>> texts;
    private final Map<String, Map<String, String>> reworded;
    private final PluralRules plurals;

    private Texts(
            Map<String, Map<String, String>> texts, Map<String, Map<String, String>> reworded, PluralRules plurals) {
        this.texts = texts;
        this.reworded = reworded;
        this.plurals = plurals;
    }

    /** As they come. */
    public static Texts in(Language language) {
        return Objects.requireNonNull(STANDARD.get(language));
    }

    /** With some of them worded otherwise; all in this language, and checked. */
    public Texts reworded(List<Reworded> owners) {
        return owners.isEmpty()
                ? this
                : new Texts(texts, owners.stream().collect(Collectors.toMap(Reworded::text, Reworded::forms)), plurals);
    }

    private static Texts read(Language language) {
        try (InputStream file = Texts.class.getResourceAsStream("/texts/" + language + ".json")) {
            if (file == null) {
                throw new IllegalStateException("No texts are shipped in the language \"" + language + "\".");
            }
            // In the order of the file, which keeps together what is read together.
            Map<String, Map<String, String>> read = new LinkedHashMap<>();
            JsonMapper.shared()
                    .readTree(file)
                    .properties()
                    .forEach(text -> read.put(text.getKey(), forms(text.getKey(), text.getValue())));
            return new Texts(read, Map.of(), PluralRules.forLocale(language.locale()));
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    /** A text by plural categories; one that goes by no number has but the one that stands for all. */
    private static Map<String, String> forms(String key, JsonNode text) {
        if (text.isString()) {
            return Map.of(Reworded.OTHER, text.asString());
        }
        if (!text.has(Reworded.OTHER)) {
            throw new IllegalStateException("The text \"%s\" has no form \"%s\".".formatted(key, Reworded.OTHER));
        }
        Map<String, String> forms = new TreeMap<>();
        text.properties()
                .forEach(form -> forms.put(form.getKey(), form.getValue().asString()));
        return forms;
    }

    /**
     * @param values of the placeholders; numbers are written as a language does
     * @param formats that numbers are written by
     * @throws IllegalArgumentException for a key that no text has, and for a placeholder that is given nothing
     */
    public String say(String key, Map<String, ?> values, Locale formats) {
        Map<String, String> forms = forms(key);
        String category =
                values.get(COUNT) instanceof Number count ? plurals.select(count.doubleValue()) : Reworded.OTHER;
        String form = Objects.requireNonNull(forms.getOrDefault(category, forms.get(Reworded.OTHER)));
        if (form.indexOf('{') < 0) {
            return form;
        }
        return PLACEHOLDER.matcher(form).replaceAll(found -> {
            Object value = values.get(found.group(1));
            if (value == null) {
                throw new IllegalArgumentException(
                        "The text \"%s\" is given no \"%s\".".formatted(key, found.group(1)));
            }
            return Matcher.quoteReplacement(
                    value instanceof Number number ? Numbers.in(formats).write(number) : value.toString());
        });
    }

    private Map<String, String> forms(String key) {
        Map<String, String> forms = reworded.getOrDefault(key, texts.get(key));
        if (forms == null) {
            throw new IllegalArgumentException("No text has the key \"" + key + "\".");
        }
        return forms;
    }

    /** A text without placeholders. */
    public String say(String key) {
        return say(key, Map.of(), Locale.ROOT);
    }

    /** Of every text its forms by plural categories, by its key. */
    public Map<String, Map<String, String>> all() {
        Map<String, Map<String, String>> all = new LinkedHashMap<>(texts);
        all.putAll(reworded);
        return all;
    }

    /** Those that stand as they are, by their keys, for a template. */
    public Map<String, String> plain() {
        Map<String, String> plain = new TreeMap<>();
        all().forEach((key, forms) -> {
            String text = Objects.requireNonNull(forms.get(Reworded.OTHER));
            if (forms.size() == 1 && placeholders(text).isEmpty()) {
                plain.put(key, text);
            }
        });
        return plain;
    }

    /** The names of what is put into a text, in their order. */
    public static Set<String> placeholders(String text) {
        return PLACEHOLDER
                .matcher(text)
                .results()
                .map(found -> found.group(1))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /**
     * Whether an owner's wording can stand where the standard's does.
     *
     * @throws DesignFault naming the form at fault: one that the language has and the wording lacks, or the other way
     *     round, and one that lacks a placeholder, or has one that nothing is put into
     */
    public static void check(Reworded owners) {
        Map<String, String> standard = in(owners.language()).texts.get(owners.text());
        DesignFault.unless(
                standard != null, "text", "there is no text \"%s\"; the API lists those there are", owners.text());
        Map<String, String> known = Objects.requireNonNull(standard);
        for (String form : known.keySet()) {
            DesignFault.unless(
                    owners.forms().containsKey(form),
                    "forms." + form,
                    "\"%s\" goes by a number, and %s has a form \"%s\" for some; word that, too",
                    owners.text(),
                    owners.language().called(),
                    form);
        }
        owners.forms().forEach((form, wording) -> check(owners, form, wording, known.get(form)));
    }

    private static void check(Reworded owners, String form, String wording, @Nullable String standard) {
        DesignFault.unless(
                standard != null,
                "forms." + form,
                "\"%s\" has no form \"%s\" in %s",
                owners.text(),
                form,
                owners.language().called());
        Set<String> wanted = placeholders(Objects.requireNonNull(standard));
        for (String placeholder : wanted) {
            // One result can be told without its number.
            DesignFault.unless(
                    placeholders(wording).contains(placeholder)
                            || (placeholder.equals(COUNT) && !form.equals(Reworded.OTHER)),
                    "forms." + form,
                    "the wording lacks {%s}, which stands in \"%s\"",
                    placeholder,
                    standard);
        }
        Set<String> known = new TreeSet<>(wanted);
        in(owners.language())
                .texts
                .getOrDefault(owners.text(), Map.of())
                .values()
                .forEach(one -> known.addAll(placeholders(one)));
        for (String placeholder : placeholders(wording)) {
            DesignFault.unless(
                    known.contains(placeholder),
                    "forms." + form,
                    "nothing is put into {%s} here; %s",
                    placeholder,
                    known.isEmpty()
                            ? "this text has no placeholders"
                            : "there are {" + String.join("}, {", known) + "}");
        }
    }
}
