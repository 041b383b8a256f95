package tidylantern.server.design;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The steps that bring the document of an older design up to date, each from the version before it. */
final class DesignSteps {
    private DesignSteps() {}

    /**
     * @return a copy in the current version; what is wrong in it stays as it is, so that it is named where it stands
     */
    static JsonNode upToDate(JsonNode document) {
        if (document.path("version").asInt() != 1) {
            return document;
        }
        ObjectNode design = (ObjectNode) document.deepCopy();
        toVersion2(design);
        return design;
    }

    /** How cards stand became one part of the page, and the start can name a category. */
    private static void toVersion2(ObjectNode design) {
        design.put("version", 2);
        if (design.get("page") instanceof ObjectNode page) {
            JsonNode arranged = page.remove("arranged");
            JsonNode columns = page.remove("columns");
            if (arranged != null || columns != null) {
                ObjectNode layout = page.putObject("layout");
                layout.set("arranged", arranged);
                layout.set("columns", columns);
            }
            JsonNode start = page.get("start");
            if (start != null && start.isString()) {
                page.putObject("start").set("with", start);
            }
        }
    }
}
