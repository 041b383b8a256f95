package tidylantern.server.visitor;

import io.swagger.v3.oas.annotations.Hidden;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.server.answer.LookSheet;
import tidylantern.server.answer.SearchAnswers;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.platform.Digests;
import tidylantern.server.site.Sites;

/**
 * All that the hosted page wears, as one sheet: a browser shows nothing of a page before the last of its sheets has
 * come.
 */
@RestController
@Hidden
class HostedSheet {
    private static final String NAME = "/page.css";
    /** How the page and its cards are made, whatever they wear. */
    private static final String MADE = read("static/hosted.css") + read("hosted/cards.css");

    private final Searches searches;
    private final Sites sites;

    HostedSheet(Searches searches, Sites sites) {
        this.searches = searches;
        this.sites = sites;
    }

    /** Where the sheet of a search's page is. */
    static String path(SearchKey key) {
        return SearchAnswers.hostedPage(key) + NAME;
    }

    @GetMapping(path = "/s/{key}" + NAME, produces = LookSheet.TYPE)
    ResponseEntity<String> sheet(@PathVariable SearchKey key) {
        Searches.Live live = searches.live(key);
        String sheet = MADE + LookSheet.of(live.design(), sites.get(live.site()).look());
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache())
                .eTag(Digests.sha256(sheet))
                .body(sheet);
    }

    private static String read(String name) {
        try {
            return new ClassPathResource(name).getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }
}
