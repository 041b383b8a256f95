package tidylantern.server.readiness;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.server.key.SearchKey;

/** One list of what is open in a search, each to be seen to or left as it is. */
@RestController
@RequestMapping("/api/owner/searches/{key}/open-points")
class ReadinessController {
    private final Readiness readiness;

    ReadinessController(Readiness readiness) {
        this.readiness = readiness;
    }

    /** @param leave whether it is left as it is from now on, or counts as open again */
    record PointLeft(String id, boolean leave) {}

    @Operation(summary = "What is open in the draft, beside the site's content, pages and sources, worst first.")
    @GetMapping
    ResponseEntity<List<Readiness.Point>> of(@PathVariable SearchKey key) {
        return answer(key);
    }

    @Operation(summary = "Leaves a point as it is, or takes it up again.")
    @PutMapping("/left")
    ResponseEntity<List<Readiness.Point>> leave(
            @PathVariable SearchKey key, @RequestBody PointLeft given, Authentication who) {
        if (given.leave()) {
            readiness.leave(key, given.id(), who.getName());
        } else {
            readiness.takeUp(key, given.id());
        }
        return answer(key);
    }

    private ResponseEntity<List<Readiness.Point>> answer(SearchKey key) {
        return ResponseEntity.ok().header(HttpHeaders.CACHE_CONTROL, "no-store").body(readiness.of(key));
    }
}
