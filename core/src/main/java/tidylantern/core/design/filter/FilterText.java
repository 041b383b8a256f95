package tidylantern.core.design.filter;

import java.util.List;
import java.util.Map;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.Limit;

/** Texts and lists of a filter that have an end. */
final class FilterText {
    /** How long what visitors read for a value may be. */
    static final int LONGEST_LABEL = 80;

    static final int LONGEST_NEUTRAL = 40;
    /** As many values of a category field can be named in one filter. */
    static final Limit VALUES = new Limit(0, 5_000);
    /** As many values can be set at the start. */
    private static final int MOST_AT_START = 1_000;

    private FilterText() {}

    static String atMost(int most, String part, String given) {
        String text = given.strip();
        DesignFault.unless(
                text.length() <= most, part, "\"%s\" is too long; %d characters are the most here", text, most);
        return text;
    }

    /** Keys of values, none twice, as many as one filter can name. */
    static List<String> values(String part, List<String> given) {
        List<String> values = given.stream().distinct().toList();
        DesignFault.unless(
                values.size() <= VALUES.most(),
                part,
                "%d values are too many; %d are the most",
                values.size(),
                VALUES.most());
        return values;
    }

    /** What visitors read for values, by their keys. */
    static Map<String, String> labels(Map<String, String> given) {
        Map<String, String> labels = Map.copyOf(given);
        DesignFault.unless(
                labels.size() <= VALUES.most(),
                "labels",
                "%d labels are too many; %d are the most",
                labels.size(),
                VALUES.most());
        labels.forEach((value, said) -> DesignFault.unless(
                !said.isBlank() && said.length() <= LONGEST_LABEL,
                "labels",
                "what visitors read for \"%s\" needs 1 to %d characters",
                value,
                LONGEST_LABEL));
        return labels;
    }

    /** What is set as long as a visitor has set nothing. */
    static List<String> start(List<String> given) {
        DesignFault.unless(
                given.size() <= MOST_AT_START,
                "start",
                "%d values to start with are too many; %d are the most",
                given.size(),
                MOST_AT_START);
        return List.copyOf(given);
    }

    /** Numbers that go up, as many as the limit says. */
    static List<Double> steps(String part, List<Double> given, Limit howMany) {
        List<Double> steps = List.copyOf(given);
        DesignFault.unless(
                howMany.includes(steps.size()), part, "%d steps are not possible; %s are", steps.size(), howMany);
        for (int i = 0; i < steps.size(); i++) {
            DesignFault.unless(
                    Double.isFinite(steps.get(i)) && (i == 0 || steps.get(i) > steps.get(i - 1)),
                    part + "[" + i + "]",
                    "the steps of a filter must go up; %s does not",
                    steps.get(i));
        }
        return steps;
    }
}
