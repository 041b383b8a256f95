package tidylantern.server.draft;

import io.swagger.v3.oas.annotations.Operation;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.text.DesignLabels;
import tidylantern.core.design.text.Language;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.text.Texts;

/** What visitors of a draft read in each language, as it comes. */
@RestController
class DraftTextsController {
    private final Searches searches;

    DraftTextsController(Searches searches) {
        this.searches = searches;
    }

    /** @param name of the language in itself */
    record NamedLanguage(Language language, String name) {}

    /**
     * A text as it comes.
     *
     * @param forms by plural categories of the language; one that goes by no number has just {@code other}
     * @param placeholders that a wording may use
     */
    record StandardText(String text, Map<String, String> forms, Set<String> placeholders) {}

    /** @param labels those that the owner gave, and can be worded for other languages */
    record TextChoices(List<NamedLanguage> languages, List<StandardText> texts, List<DesignLabels.UsualLabel> labels) {}

    @Operation(summary = "What visitors read in a language as it comes, and the labels that can be worded in it.")
    @GetMapping("/api/owner/searches/{key}/draft/standard-texts")
    TextChoices standard(@PathVariable SearchKey key, @RequestParam(name = "language") String code) {
        Language language = Language.of(Locale.forLanguageTag(code))
                .orElseThrow(() -> Refusal.bad("language", "There are no texts in \"%s\" yet.".formatted(code)));
        SearchDesign design = searches.draft(key).design();
        return new TextChoices(
                Arrays.stream(Language.values())
                        .map(one -> new NamedLanguage(one, one.called()))
                        .toList(),
                Texts.in(language).all().entrySet().stream()
                        .map(text -> new StandardText(text.getKey(), text.getValue(), placeholders(text.getValue())))
                        .toList(),
                DesignLabels.of(design));
    }

    private static Set<String> placeholders(Map<String, String> forms) {
        Set<String> all = new TreeSet<>();
        forms.values().forEach(form -> all.addAll(Texts.placeholders(form)));
        return all;
    }
}
