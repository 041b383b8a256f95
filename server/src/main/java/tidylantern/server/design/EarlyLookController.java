package tidylantern.server.design;

import io.swagger.v3.oas.annotations.Operation;
import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.server.key.SearchKey;

/** Shows a draft on test pages, or to a share of visitors. Private links stand with the places of a search. */
@RestController
@RequestMapping("/api/owner/searches/{key}")
class EarlyLookController {
    private final EarlyLooks looks;

    EarlyLookController(EarlyLooks looks) {
        this.looks = looks;
    }

    /** @param addresses of pages, or origins alone for all of their pages */
    record TestPages(List<String> addresses) {}

    /** @param percent of the visitors, from 1 to 99 */
    record SplitGiven(int percent, OffsetDateTime ends) {}

    /** @param split the one that runs, or the last one; null where there never was one */
    record SplitState(EarlyLooks.@Nullable Split split) {}

    @GetMapping("/test-pages")
    TestPages testPages(@PathVariable SearchKey key) {
        return new TestPages(looks.testPages(key));
    }

    @Operation(summary = "Names the pages, or whole origins, on which the draft stands in place of the live version.")
    @PutMapping("/test-pages")
    TestPages putTestPages(@PathVariable SearchKey key, @RequestBody TestPages given) {
        return new TestPages(looks.putTestPages(key, given.addresses()));
    }

    @Operation(summary = "The share of visitors that meets the draft, or met it last, with what both sides did.")
    @GetMapping("/split")
    SplitState split(@PathVariable SearchKey key) {
        return new SplitState(looks.split(key));
    }

    @Operation(summary = "Shows the draft as it is now to a share of visitors. One that runs ends, with its counts.")
    @PutMapping("/split")
    EarlyLooks.Split begin(@PathVariable SearchKey key, @RequestBody SplitGiven given, Authentication who) {
        return looks.begin(key, given.percent(), given.ends(), who.getName());
    }

    @DeleteMapping("/split")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@PathVariable SearchKey key) {
        looks.end(key);
    }
}
