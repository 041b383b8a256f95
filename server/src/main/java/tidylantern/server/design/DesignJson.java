package tidylantern.server.design;

import org.springframework.stereotype.Component;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.text.VisitorTexts;
import tidylantern.server.platform.JsonProblems;
import tidylantern.server.platform.Refusal;
import tidylantern.server.text.Texts;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The one JSON form of a search design. A document of an older version is brought up to date as it is read; one of a
 * newer version, with unknown keys or with values out of range is refused, naming the key.
 */
@Component
public class DesignJson {
    private final JsonMapper json;

    DesignJson(JsonMapper json) {
        this.json = json;
    }

    /**
     * @param content of the site that the design is for: what an older document means may hang on the kinds of its
     *     fields
     * @throws Refusal naming the path of the key at fault, as the current version has it
     */
    public SearchDesign read(String document, SiteContent content) {
        try {
            return read(json.readTree(document), content);
        } catch (JacksonException wrong) {
            throw JsonProblems.of(wrong);
        }
    }

    /** The same of one that is taken apart already. */
    public SearchDesign read(JsonNode tree, SiteContent content) {
        try {
            if (!tree.isObject()) {
                throw Refusal.bad(null, "A search design is a JSON object.");
            }
            if (!tree.path("version").isInt()) {
                throw Refusal.bad(
                        "version",
                        "The design says no version; the current one is %d.".formatted(SearchDesign.CURRENT_VERSION));
            }
            SearchDesign design = json.treeToValue(DesignSteps.upToDate(tree, content), SearchDesign.class);
            checkTexts(design.texts());
            return design;
        } catch (JacksonException wrong) {
            throw JsonProblems.of(wrong);
        }
    }

    /** What an owner words otherwise has to be able to stand where the text as it comes does. */
    private static void checkTexts(VisitorTexts texts) {
        for (int i = 0; i < texts.reworded().size(); i++) {
            try {
                Texts.check(texts.reworded().get(i));
            } catch (DesignFault fault) {
                throw Refusal.bad(
                        "appearance.texts.reworded[%d].%s".formatted(i, fault.key()),
                        String.valueOf(fault.getMessage()));
            }
        }
    }

    /** In the current version of the form. */
    public String write(SearchDesign design) {
        return json.writeValueAsString(design);
    }
}
