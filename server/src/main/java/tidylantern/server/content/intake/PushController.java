package tidylantern.server.content.intake;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.server.key.SiteKey;
import tidylantern.server.traffic.ReceivedBody;

/** Takes what a site, or a machine of its owner's, sends. */
@RestController
@RequestMapping("/api/owner/sites/{site}")
class PushController {
    private final ItemPush push;

    PushController(ItemPush push) {
        this.push = push;
    }

    @Operation(
            summary =
                    "Takes items as JSON Lines, one a line, known by their id; an item that is there already is replaced.")
    @PutMapping(
            path = "/collections/{collection}/items",
            consumes = {
                "application/jsonl",
                "application/x-ndjson",
                MediaType.APPLICATION_JSON_VALUE,
                MediaType.TEXT_PLAIN_VALUE
            })
    IntakeReport push(
            @PathVariable SiteKey site,
            @PathVariable String collection,
            @Parameter(description = "Properties that a line does not name stay as they were; null takes one away.")
                    @RequestParam(defaultValue = "false")
                    boolean partial,
            @Parameter(description = "What is not named is removed from the collection.")
                    @RequestParam(defaultValue = "false")
                    boolean everything,
            @Parameter(description = "Whether that may be more than a third of it.")
                    @RequestParam(defaultValue = "false")
                    boolean removeMany,
            @Parameter(hidden = true) HttpServletRequest request) {
        return push.push(site, collection, ReceivedBody.of(request), partial, everything, removeMany);
    }
}
