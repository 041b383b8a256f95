package tidylantern.server.content.intake;

import java.util.List;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;

/**
 * What became of the items that came in.
 *
 * @param unchanged items that said the same before
 * @param removed items that are gone: named as deleted, or not named by a source that says it names everything
 * @param refusals of those refused, the first {@link ItemIntake#MOST_TOLD}
 * @param changes of those added, changed and removed, the first {@link ItemIntake#MOST_TOLD} of each
 * @param passedOver properties that no field holds, and why
 * @param gaveWay fields whose guessed kind did not fit what came
 * @param notRemoved why nothing was removed although everything was to be named; null where nothing kept it
 */
public record IntakeReport(
        int added,
        int changed,
        int unchanged,
        int removed,
        int refused,
        List<Refused> refusals,
        List<Change> changes,
        List<NewField> newFields,
        List<PassedOver> passedOver,
        List<GaveWay> gaveWay,
        @Nullable String notRemoved) {
    public static final IntakeReport NOTHING =
            new IntakeReport(0, 0, 0, 0, 0, List.of(), List.of(), List.of(), List.of(), List.of(), null);

    /**
     * One item that was not taken.
     *
     * @param line 1 for the first that came
     * @param at where it stands at its source: a row, an address; null where that is the line
     * @param id of the item, where it could be read
     * @param property the property or column at fault, where it is one
     */
    public record Refused(
            int line,
            @Nullable String at,
            @Nullable String id,
            @Nullable String property,
            String reason) {}

    /** @param reason which properties changed, or why it was removed; null for what was added */
    public record Change(
            What what, String id, String title, @Nullable String reason) {}

    /** What became of an item. */
    public enum What {
        ADDED,
        CHANGED,
        REMOVED;

        @Override
        public String toString() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /** A field that was made for a property seen for the first time, with the kind guessed for it. */
    public record NewField(String property, FieldKey key, FieldKind kind, String label) {}

    /**
     * A field whose guessed kind gave way, since a value did not fit it.
     *
     * @param from the kind that was guessed
     * @param reason what did not fit
     */
    public record GaveWay(FieldKey key, FieldKind from, FieldKind to, String reason) {}

    public record PassedOver(String property, String reason) {}
}
