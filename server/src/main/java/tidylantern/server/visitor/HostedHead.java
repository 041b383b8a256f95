package tidylantern.server.visitor;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import tidylantern.core.design.SearchDesign;
import tidylantern.server.answer.AnswerTexts;
import tidylantern.server.answer.SearchAnswers;
import tidylantern.server.answer.SearchAnswers.HitShape;
import tidylantern.server.answer.SearchAnswers.Results;
import tidylantern.server.key.SearchKey;
import tidylantern.server.site.Sites;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the hosted page tells machines.
 *
 * @param listed whether search engines may list it: without a query, where it is the results page and the owner lets
 *     them
 * @param description what it is, in a sentence
 * @param address its own, without anything asked for
 * @param data what it is and holds in the words of schema.org, as JSON-LD: a {@code WebSite} with its
 *     {@code SearchAction}, and the results as an {@code ItemList}
 */
record HostedHead(boolean listed, String description, String address, String data) {
    private static final String CONTEXT = "https://schema.org";

    static HostedHead of(
            SearchKey key, SearchDesign design, Sites.Site site, Results results, AnswerTexts texts, boolean plain) {
        String address = ServletUriComponentsBuilder.fromCurrentContextPath()
                .path(SearchAnswers.hostedPage(key))
                .toUriString();
        boolean isResultsPage = design.page().address() == null;
        return new HostedHead(
                plain && isResultsPage && design.page().told().listed(),
                texts.say("pageDescription", Map.of("site", site.name(), "count", results.total())),
                address,
                asScript(List.of(webSite(site, address), list(results))));
    }

    /** Whether nothing is asked for. */
    static boolean isPlain(MultiValueMap<String, String> parameters) {
        return parameters.values().stream().flatMap(List::stream).allMatch(value -> value == null || value.isEmpty());
    }

    void into(Model model) {
        model.addAttribute("head", this);
    }

    private static Map<String, Object> webSite(Sites.Site site, String address) {
        Map<String, Object> entry = typed("EntryPoint");
        entry.put("urlTemplate", address + "?q={search_term_string}");
        Map<String, Object> action = typed("SearchAction");
        action.put("target", entry);
        // By schema.org's own notation for the input of an action.
        action.put("query-input", "required name=search_term_string");
        Map<String, Object> webSite = typed("WebSite");
        webSite.put("@context", CONTEXT);
        webSite.put("name", site.name());
        webSite.put("url", site.address());
        webSite.put("potentialAction", action);
        return webSite;
    }

    private static Map<String, Object> list(Results results) {
        List<Map<String, Object>> elements = new ArrayList<>();
        int before = (results.page() - 1) * results.perPage();
        for (HitShape hit : results.hits()) {
            Map<String, Object> element = typed("ListItem");
            element.put("position", before + elements.size() + 1);
            element.put("name", hit.title());
            if (hit.url() != null) {
                element.put("url", hit.url());
            }
            elements.add(element);
        }
        Map<String, Object> list = typed("ItemList");
        list.put("@context", CONTEXT);
        list.put("numberOfItems", results.total());
        list.put("itemListElement", elements);
        return list;
    }

    private static Map<String, Object> typed(String type) {
        Map<String, Object> typed = new LinkedHashMap<>();
        typed.put("@type", type);
        return typed;
    }

    /** Content cannot end the script that it stands in. */
    private static String asScript(Object data) {
        return JsonMapper.shared().writeValueAsString(data).replace("<", "\\u003c");
    }
}
