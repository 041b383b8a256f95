package tidylantern.server.history;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.Objects;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.ListPages;

/** One list of what owners changed in a site, and taking it back. */
@RestController
@RequestMapping("/api/owner/sites/{site}/changes")
class HistoryController {
    private static final int ON_A_PAGE = 50;

    private final History history;

    HistoryController(History history) {
        this.history = history;
    }

    @Operation(
            summary =
                    "What owners changed by hand in the last 30 days, the newest first; 50 a page, and a Link header leads to the next.")
    @GetMapping
    ResponseEntity<List<History.OwnerChange>> all(
            @PathVariable SiteKey site, @RequestParam(defaultValue = "1") String page) {
        ResponseEntity<List<Long>> numbers = ListPages.answer(
                ResponseEntity.ok().header(HttpHeaders.CACHE_CONTROL, "no-store"),
                history.numbers(site),
                ON_A_PAGE,
                page);
        return ResponseEntity.ok()
                .headers(numbers.getHeaders())
                .body(Objects.requireNonNull(numbers.getBody()).stream()
                        .map(number -> history.get(site, number))
                        .toList());
    }

    @Operation(
            summary =
                    "Takes a change back, which is a change too. Refused with 409 where it was changed again since. What takes longer than two seconds goes on as the collection's correction.")
    @PostMapping("/{id}/take-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(@PathVariable SiteKey site, @PathVariable long id) {
        history.takeBack(site, id);
    }
}
