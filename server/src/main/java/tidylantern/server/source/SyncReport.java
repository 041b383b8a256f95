package tidylantern.server.source;

import java.util.List;
import org.jspecify.annotations.Nullable;
import tidylantern.server.content.intake.IntakeReport;

/**
 * What became of a sync.
 *
 * @param read records of the source
 * @param refused those not taken, at reading or afterwards; {@code refusals} names the first of them
 * @param notes what the owner should know about the whole
 * @param problem why it failed, was stopped or asks; null where it went well
 * @param asks how many items it would remove, where it asks
 */
record SyncReport(
        int read,
        int added,
        int changed,
        int unchanged,
        int removed,
        int refused,
        List<IntakeReport.Refused> refusals,
        List<IntakeReport.Change> changes,
        List<IntakeReport.NewField> newFields,
        List<IntakeReport.PassedOver> passedOver,
        List<String> notes,
        @Nullable String problem,
        @Nullable Integer asks) {
    static SyncReport begun() {
        return failed(0, List.of(), List.of(), null);
    }

    static SyncReport failed(
            int read, List<IntakeReport.Refused> refusals, List<String> notes, @Nullable String problem) {
        return new SyncReport(
                read, 0, 0, 0, 0, refusals.size(), refusals, List.of(), List.of(), List.of(), notes, problem, null);
    }
}
