package tidylantern.server.visitor;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.springframework.http.CacheControl;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import tidylantern.server.answer.AnswerTexts;
import tidylantern.server.answer.Answering;
import tidylantern.server.answer.SearchAnswers;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.site.Sites;

/** How browsers can search a site from their own bar: its description by OpenSearch 1.1. */
@Controller
class BrowserSearch {
    static final String TYPE = "application/opensearchdescription+xml;charset=UTF-8";
    /** OpenSearch 1.1, 'ShortName': 16 or fewer characters of plain text. */
    private static final int LONGEST_NAME = 16;

    private final Searches searches;
    private final Answering answering;
    private final Sites sites;

    BrowserSearch(Searches searches, Answering answering, Sites sites) {
        this.searches = searches;
        this.answering = answering;
        this.sites = sites;
    }

    @GetMapping("/s/{key}/opensearch.xml")
    String description(@PathVariable SearchKey key, Model model, HttpServletResponse response) {
        Searches.Live live = searches.live(key);
        Sites.Site site = sites.get(live.site());
        AnswerTexts texts = answering.texts(new Answering.SearchInLanguage(live.site(), key, live.design(), null));
        String name = live.design().name();
        response.setContentType(TYPE);
        response.setHeader("Cache-Control", CacheControl.noCache().getHeaderValue());
        model.addAttribute(
                "shortName",
                name.substring(
                        0, name.offsetByCodePoints(0, Math.min(LONGEST_NAME, name.codePointCount(0, name.length())))));
        model.addAttribute("longName", name);
        model.addAttribute("description", texts.say("searchSite", Map.of("site", site.name())));
        model.addAttribute("language", texts.language().toLanguageTag());
        model.addAttribute(
                "page",
                ServletUriComponentsBuilder.fromCurrentContextPath()
                        .path(SearchAnswers.hostedPage(key))
                        .toUriString());
        model.addAttribute(
                "icon",
                ServletUriComponentsBuilder.fromCurrentContextPath()
                        .path("/lantern.svg")
                        .toUriString());
        return "opensearch";
    }
}
