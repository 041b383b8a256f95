package tidylantern.core.mapping;

import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import tidylantern.core.mapping.Mapping.DateForm;
import tidylantern.core.mapping.Mapping.MappedField;
import tidylantern.core.place.Gazetteer;

/** Where a guess may well be wrong, with what speaks against it, for the owner who looks it over. */
public final class Doubts {
    /** Of all cells; as many numbers or days in a column of texts are no accident. */
    private static final double NEARLY_ALL = 0.8;

    private final Map<String, List<Object>> samples;

    private final Gazetteer gazetteer;

    private Doubts(Map<String, List<Object>> samples, Gazetteer gazetteer) {
        this.samples = samples;
        this.gazetteer = gazetteer;
    }

    /**
     * @param guess as {@link MappingGuess} made it
     * @param samples from which it was made, by column
     * @param gazetteer that knew the names of places
     * @return by the field's property, in the order of the fields, what to look at; sentences
     */
    public static Map<String, String> of(Mapping guess, Map<String, List<Object>> samples, Gazetteer gazetteer) {
        Doubts doubts = new Doubts(samples, gazetteer);
        Map<String, String> told = new LinkedHashMap<>();
        for (MappedField field : guess.fields()) {
            String doubt = doubts.about(field);
            if (doubt != null) {
                told.put(field.property(), doubt);
            }
        }
        return told;
    }

    private @Nullable String about(MappedField field) {
        List<String> texts = ColumnGuess.texts(samples.getOrDefault(field.column(), List.of()));
        if (texts.isEmpty()) {
            return null;
        }
        String role = role(field);
        if (role != null) {
            return role;
        }
        return switch (field.kind()) {
            case TEXT, CODE -> nearly(texts);
            case CATEGORY -> category(field, texts);
            case DATE -> day(field, texts);
            case PLACE -> byName(field, texts);
            default -> null;
        };
    }

    /** A title, summary or text that nothing calls so. */
    private static @Nullable String role(MappedField field) {
        if (MappingGuess.isCalledSo(field.property(), field.column())) {
            return null;
        }
        return switch (field.property()) {
            case "title" -> "No column is called a title; this one has short texts that hardly recur.";
            case "summary" -> "No column is called a summary; of the long texts this is the shorter.";
            case "body" -> "No column is called the text; this one has the longest.";
            default -> null;
        };
    }

    private static @Nullable String nearly(List<String> texts) {
        String numbers = nearly(texts, ColumnGuess::isNumber, "a number");
        return numbers != null ? numbers : nearly(texts, Doubts::isDay, "a day");
    }

    private static @Nullable String nearly(List<String> texts, Predicate<String> such, String called) {
        int most = (int) (texts.size() * (1 - NEARLY_ALL));
        String first = null;
        int others = 0;
        for (String text : texts) {
            if (!such.test(text) && !Loose.saysNothing(text)) {
                first = first == null ? text : first;
                others++;
                if (others > most) {
                    return null;
                }
            }
        }
        return first == null
                ? null
                : "All but %d of %d cells hold %s; “%s” is none."
                        .formatted(others, texts.size(), called, shortened(first));
    }

    private static boolean isDay(String text) {
        return ColumnGuess.mayBeDay(text)
                && !ColumnGuess.isNumber(text)
                && Arrays.stream(DateForm.values()).anyMatch(form -> reads(text, form));
    }

    private static @Nullable String category(MappedField field, List<String> texts) {
        if (",".equals(field.separator())) {
            return "Several values stand in a cell, with commas between them.";
        }
        int different = new HashSet<>(texts).size();
        return field.separator() == null && field.levels() == null && different * 2 > texts.size()
                ? "There are %d different values in %d cells; as a text it is only searched."
                        .formatted(different, texts.size())
                : null;
    }

    private @Nullable String byName(MappedField field, List<String> texts) {
        if (field.longitude() != null || !PlacesByName.isName(texts.getFirst())) {
            return null;
        }
        PlacesByName.Known known = PlacesByName.known(texts, gazetteer);
        return "Placed by the names of towns: %d of %d are known; items of others have no place.%s"
                .formatted(
                        known.known(),
                        known.names(),
                        known.several() == 0
                                ? ""
                                : " %d stand for several places, of which the largest is taken."
                                        .formatted(known.several()));
    }

    private static @Nullable String day(MappedField field, List<String> texts) {
        boolean bothWays = field.dates() == DateForm.DAY_FIRST
                && texts.stream().allMatch(text -> reads(text, DateForm.MONTH_FIRST))
                && texts.stream().noneMatch(text -> reads(text, DateForm.YEAR_FIRST));
        return bothWays ? "Each of these days can be read with the month first, too." : null;
    }

    private static boolean reads(String text, DateForm form) {
        try {
            Loose.day(text, form);
            return true;
        } catch (IllegalArgumentException otherwise) {
            return false;
        }
    }

    private static String shortened(String text) {
        return text.length() <= 40 ? text : text.substring(0, 40) + "…";
    }
}
