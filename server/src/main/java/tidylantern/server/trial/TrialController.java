package tidylantern.server.trial;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.trial.Trial;
import tidylantern.core.trial.TrialFault;
import tidylantern.core.trial.TrialReport;
import tidylantern.core.trial.TrialRun;
import tidylantern.server.content.SiteContents;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;

/** Keeps trials, reads and writes them as a table, and runs them on draft and live version. */
@RestController
@RequestMapping("/api/owner/searches/{key}")
class TrialController {
    private final Trials trials;
    private final Searches searches;
    private final SiteContents contents;
    private final Comparisons comparisons;

    TrialController(Trials trials, Searches searches, SiteContents contents, Comparisons comparisons) {
        this.comparisons = comparisons;
        this.trials = trials;
        this.searches = searches;
        this.contents = contents;
    }

    /** @param title of the expected item; null where none is expected, or where it is gone */
    record TrialOutcome(
            long id,
            TrialShape trial,
            @Nullable String title,
            TrialReport.Side draft,
            TrialReport.@Nullable Side live,
            List<TrialReport.Move> moves) {}

    /**
     * @param live null where nothing was published yet
     * @param tookMicros how long it took, in microseconds
     */
    record TrialsRun(
            List<TrialOutcome> outcomes,
            TrialReport.Figures draft,
            TrialReport.@Nullable Figures live,
            long tookMicros) {}

    @Operation(summary = "Runs every trial of the search on its draft and on its live version.")
    @GetMapping("/trials")
    ResponseEntity<TrialsRun> run(@PathVariable SearchKey key) {
        Trials.Ran ran = trials.run(key);
        List<TrialOutcome> outcomes = IntStream.range(0, ran.kept().size())
                .mapToObj(i -> {
                    TrialReport.Outcome outcome = ran.report().outcomes().get(i);
                    return new TrialOutcome(
                            ran.kept().get(i).id(),
                            TrialShape.of(outcome.trial()),
                            outcome.title(),
                            outcome.draft(),
                            outcome.live(),
                            outcome.moves());
                })
                .toList();
        return ResponseEntity.ok()
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(new TrialsRun(outcomes, ran.report().draft(), ran.report().live(), ran.tookMicros()));
    }

    @Operation(
            summary =
                    "How two designs differ: in words, by the trials, by visitors' most frequent queries. Each is the number of a version, or draft.")
    @GetMapping("/comparison")
    ResponseEntity<Comparisons.Comparison> comparison(
            @PathVariable SearchKey key, @RequestParam String before, @RequestParam String after) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(comparisons.of(key, before, after));
    }

    record TrialKept(long id) {}

    @PostMapping("/trials")
    @ResponseStatus(HttpStatus.CREATED)
    TrialKept add(@PathVariable SearchKey key, @RequestBody TrialShape given) {
        return new TrialKept(trials.add(key, trial(given)));
    }

    @PutMapping("/trials/{id}")
    TrialKept change(@PathVariable SearchKey key, @PathVariable long id, @RequestBody TrialShape given) {
        trials.change(key, id, trial(given));
        return new TrialKept(id);
    }

    @DeleteMapping("/trials/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable SearchKey key, @PathVariable long id) {
        trials.remove(key, id);
    }

    private static Trial trial(TrialShape given) {
        try {
            return given.trial();
        } catch (TrialFault wrong) {
            throw Refusal.bad(wrong.field(), String.valueOf(wrong.getMessage()));
        }
    }

    @Operation(summary = "The trials as CSV: query, item, rank, and columns for what else can be expected.")
    @GetMapping(path = "/trials.csv", produces = "text/csv;charset=UTF-8")
    ResponseEntity<String> table(@PathVariable SearchKey key) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + key + ".trials.csv\"")
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(TrialTable.write(
                        trials.ofSearch(key).stream().map(Trials.Kept::trial).toList()));
    }

    /** @param added how many there are now that were not kept before */
    record TrialsAdded(int added) {}

    @Operation(
            summary =
                    "Adds the trials of a CSV (query, item, rank); all or none. Those that are kept already are passed over.")
    @PostMapping(path = "/trials.csv", consumes = "text/csv")
    TrialsAdded addTable(@PathVariable SearchKey key, @RequestBody String csv) {
        SiteKey site = searches.draft(key).site();
        return new TrialsAdded(trials.addAll(key, TrialTable.read(csv, written -> contents.item(site, written))));
    }

    @Operation(
            summary =
                    "What each entry of the draft's synonyms does for the trials; those that no trial brings into play are missing.")
    @GetMapping("/draft/synonym-effects")
    List<TrialRun.SynonymEffect> synonymEffects(@PathVariable SearchKey key) {
        return trials.synonymEffects(key);
    }
}
