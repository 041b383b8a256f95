package tidylantern.server.content.intake;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKind;

/** What an intake tells of itself, as it goes on. */
final class IntakeNotes {
    private final List<IntakeReport.Refused> refusals = new ArrayList<>();
    private final List<IntakeReport.Change> changes = new ArrayList<>();
    private final List<IntakeReport.NewField> newFields = new ArrayList<>();
    private final Map<IntakeReport.What, Integer> told = new EnumMap<>(IntakeReport.What.class);
    private final Map<String, String> passedOver = new LinkedHashMap<>();
    private final List<IntakeReport.GaveWay> gaveWay = new ArrayList<>();
    private int unchanged;
    private int refused;
    /**
     * Lines of which nobody can tell the item. While there are some, what was not named may have been meant by them.
     */
    private int nameless;

    /** @param reason as {@link IntakeReport.Change} has it */
    void tell(IntakeReport.What what, String id, String title, @Nullable String reason) {
        if (told.merge(what, 1, Integer::sum) <= ItemIntake.MOST_TOLD) {
            changes.add(new IntakeReport.Change(what, id, title.substring(0, Math.min(title.length(), 120)), reason));
        }
    }

    int howMany(IntakeReport.What what) {
        return told.getOrDefault(what, 0);
    }

    void isAsItWas() {
        unchanged++;
    }

    /** The parts are those of {@link IntakeReport.Refused}. */
    void refuse(int line, @Nullable String at, @Nullable String id, @Nullable String property, String reason) {
        refused++;
        nameless += id == null ? 1 : 0;
        if (refusals.size() < ItemIntake.MOST_TOLD) {
            refusals.add(new IntakeReport.Refused(line, at, id, property == null ? null : shortened(property), reason));
        }
    }

    /** Lines of which nobody can tell the item. */
    int nameless() {
        return nameless;
    }

    void made(IntakeReport.NewField field) {
        newFields.add(field);
    }

    void passOver(String property, String why) {
        passedOver.putIfAbsent(shortened(property), why);
    }

    /** A field that was made in this very intake is told with the kind that it has in the end. */
    void gaveWay(Field field, String reason) {
        newFields.replaceAll(one -> one.key().equals(field.key())
                ? new IntakeReport.NewField(one.property(), one.key(), FieldKind.TEXT, one.label())
                : one);
        gaveWay.add(new IntakeReport.GaveWay(field.key(), field.kind(), FieldKind.TEXT, reason));
    }

    /** @param everything whether what was not named was to be removed */
    IntakeReport report(boolean everything) {
        return new IntakeReport(
                howMany(IntakeReport.What.ADDED),
                howMany(IntakeReport.What.CHANGED),
                unchanged,
                howMany(IntakeReport.What.REMOVED),
                refused,
                List.copyOf(refusals),
                List.copyOf(changes),
                List.copyOf(newFields),
                passedOver.entrySet().stream()
                        .map(one -> new IntakeReport.PassedOver(one.getKey(), one.getValue()))
                        .toList(),
                List.copyOf(gaveWay),
                everything && nameless > 0 ? notRemoved() : null);
    }

    private String notRemoved() {
        boolean one = nameless == 1;
        return "%s not be told which item %s, so nothing was removed. Correct %s and send everything again."
                .formatted(
                        one ? "Of one line it could" : "Of %,d lines it could".formatted(nameless),
                        one ? "it is of" : "they are of",
                        one ? "it" : "them");
    }

    /** As much of what somebody sent as a sentence holds. */
    static String shortened(String name) {
        return name.length() <= 80 ? name : name.substring(0, 80) + "…";
    }
}
