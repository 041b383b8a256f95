package tidylantern.server.visitor;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The parts that the elements' script comes in. A browser finds them one after the other; the hosted page, which knows
 * that it will need those of a list, names them at once.
 */
@Component
class ElementParts {
    /** What the build of the elements writes: each part by its source, with the parts that it needs. */
    private static final String MANIFEST = "/static/elements/parts.json";

    private static final String RESULTS = "src/visitor/TidyResults.vue";

    private final List<String> ofResults = read();

    /** Where the parts are without which no list is drawn; none where the elements were not built. */
    List<String> ofResults() {
        return ofResults;
    }

    private static List<String> read() {
        try (InputStream file = ElementParts.class.getResourceAsStream(MANIFEST)) {
            if (file == null) {
                return List.of();
            }
            JsonNode parts = JsonMapper.shared().readTree(file);
            Set<String> needed = new LinkedHashSet<>();
            need(RESULTS, parts, needed);
            return needed.stream()
                    .map(part -> "/elements/" + parts.path(part).path("file").asString())
                    .toList();
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    private static void need(String part, JsonNode parts, Set<String> needed) {
        if (needed.add(part)) {
            parts.path(part).path("imports").forEach(one -> need(one.asString(), parts, needed));
        }
    }
}
