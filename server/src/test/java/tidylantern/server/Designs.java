package tidylantern.server;

import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Parts of a design's document, by their own names, wherever they stand in it. */
public final class Designs {
    private static final Map<String, List<String>> GROUPS = Map.of(
            "ranking", List.of("order", "tiers", "pins"),
            "places", List.of("box", "live", "page"),
            "appearance", List.of("cards", "look", "texts"));

    private Designs() {}

    /** What a part stands in: one of the groups, which is made where it is missing, or the design itself. */
    public static ObjectNode around(ObjectNode design, String part) {
        return GROUPS.entrySet().stream()
                .filter(group -> group.getValue().contains(part))
                .map(group -> design.withObject("/" + group.getKey()))
                .findFirst()
                .orElse(design);
    }

    public static void set(ObjectNode design, String part, JsonNode value) {
        around(design, part).set(part, value);
    }

    /** Missing where the design does not have it. */
    public static JsonNode part(JsonNode design, String part) {
        return around((ObjectNode) design, part).path(part);
    }
}
