package tidylantern.server.sample;

import io.swagger.v3.oas.annotations.Hidden;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import tidylantern.demo.IslePages;
import tidylantern.server.key.SearchKey;
import tidylantern.server.site.Sites;

/** Takes the sample site, and serves its pages for as long as it is there. */
@RestController
class SampleController {
    private final SampleSite sample;

    SampleController(SampleSite sample) {
        this.sample = sample;
    }

    @Operation(summary = "Makes a site to try things with: made-up content, a live search, and pages with it.")
    @PostMapping("/api/owner/sample-site")
    @ResponseStatus(HttpStatus.CREATED)
    Sites.Site take(Authentication who) {
        return sample.take(origin(), who.getName());
    }

    private static String origin() {
        return ServletUriComponentsBuilder.fromCurrentContextPath().build().toUriString();
    }

    @Hidden
    @GetMapping({SampleSite.ROOT, SampleSite.ROOT + "/**"})
    ResponseEntity<byte[]> page(HttpServletRequest request) {
        Sites.Site site = sample.there().orElse(null);
        if (site == null) {
            return ResponseEntity.notFound().build();
        }
        String path = URI.create(request.getRequestURI()).getPath().substring(SampleSite.ROOT.length());
        IslePages pages = new IslePages(
                sample.isles(),
                new IslePages.Whereabouts(
                        origin(),
                        SampleSite.ROOT,
                        "",
                        sample.search(site).map(SearchKey::value).orElse(""),
                        false));
        IslePages.Page page = pages.at(path.isEmpty() ? "/" : path);
        return ResponseEntity.status(page.status())
                .contentType(MediaType.parseMediaType(page.type()))
                .cacheControl(CacheControl.noCache())
                .body(page.body());
    }
}
