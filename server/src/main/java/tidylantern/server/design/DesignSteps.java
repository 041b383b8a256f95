package tidylantern.server.design;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.filter.Control;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The steps that bring the document of an older design up to date, each from the version before it. */
final class DesignSteps {
    private DesignSteps() {}

    /**
     * @param content of the site that the design is for
     * @return a copy in the current version; what is wrong in it stays as it is, so that it is named where it stands
     */
    static JsonNode upToDate(JsonNode document, SiteContent content) {
        int version = document.path("version").asInt();
        if (version != 1 && version != 2) {
            return document;
        }
        ObjectNode design = (ObjectNode) document.deepCopy();
        if (version == 1) {
            toVersion2(design);
        }
        new ToVersion3(content).bring(design);
        return design;
    }

    /** How cards stand became one part of the page, and the start can name a category. */
    private static void toVersion2(ObjectNode design) {
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

    /**
     * What a filter had for every kind of field became what the kind of its own field needs; what belongs together
     * stands together; and that a row goes on below where its room ends is a direction of its own.
     */
    private record ToVersion3(SiteContent content) {
        private static final Map<FieldKind, String> SOURCES = Map.of(
                FieldKind.CATEGORY, "category",
                FieldKind.NUMBER, "number",
                FieldKind.MONEY, "number",
                FieldKind.DATE, "day",
                FieldKind.YES_NO, "yes-no",
                FieldKind.TEXT, "word",
                FieldKind.CODE, "word",
                FieldKind.PLACE, "distance");

        private static final Set<String> HANDLED_ONE_WAY = Set.of("word", "distance");

        void bring(ObjectNode design) {
            design.put("version", 3);
            filters(design.path("filters"));
            if (design.get("words") instanceof ObjectNode words) {
                group(words, "matching", "needed", "partOfWord", "typos", "stemming", "fewestLetters", "operators");
            }
            design.path("cards").forEach(card -> directions(card.path("body")));
            group(design, "ranking", "order", "tiers", "pins");
            group(design, "places", "box", "live", "page");
            group(design, "appearance", "cards", "look", "texts");
        }

        private static void group(ObjectNode whole, String part, String... keys) {
            ObjectNode together = whole.objectNode();
            move(whole, together, keys);
            whole.set(part, together);
        }

        private static void directions(JsonNode part) {
            if (part instanceof ObjectNode group) {
                JsonNode wraps = group.remove("wraps");
                if (wraps != null
                        && wraps.asBoolean()
                        && group.path("direction").asString().equals("row")) {
                    group.put("direction", "flow");
                }
            }
            part.path("parts").forEach(ToVersion3::directions);
        }

        private void filters(JsonNode filters) {
            for (JsonNode one : filters) {
                if (one instanceof ObjectNode filter) {
                    filter(filter);
                }
            }
        }

        private void filter(ObjectNode filter) {
            ObjectNode head = filter.objectNode();
            move(filter, head, "key", "label", "help");
            ObjectNode shown = filter.get("shown") instanceof ObjectNode places ? places : filter.objectNode();
            move(filter, shown, "devices", "folded", "after");
            ObjectNode source = filter.objectNode();
            if (filter.get("joined") instanceof ObjectNode joined) {
                filter.remove("joined");
                source.put("of", "joint");
                filters(joined.path("parts"));
                move(joined, source, "parts", "headings", "apart");
                source.setAll(joined);
                ticked(filter, source);
                filter.remove(List.of("field", "except", "picked", "labels", "tree"));
            } else {
                String of = sourceOf(filter);
                source.put("of", of);
                move(filter, source, "field");
                only(of, filter, source);
            }
            if (filter.path("control").isNull()
                    || HANDLED_ONE_WAY.contains(source.path("of").asString())) {
                // The usual one holds, or the only one there is.
                filter.remove("control");
            }
            move(filter, source, "control");
            filter.set("head", head);
            filter.set("shown", shown);
            filter.set("source", source);
        }

        /** By its control, which says it; where none is named, by the kind of its field. */
        private String sourceOf(ObjectNode filter) {
            String control = filter.path("control").asString("");
            return Arrays.stream(FieldKind.values())
                    .filter(kind -> control.isEmpty()
                            ? kind == kindOf(filter.path("field").asString(""))
                            : Control.fitting(kind).stream()
                                    .anyMatch(fitting -> fitting.toString().equals(control)))
                    .map(SOURCES::get)
                    .filter(of -> of != null)
                    .findFirst()
                    .orElse("category");
        }

        private @Nullable FieldKind kindOf(String field) {
            return FieldKey.fits(field) ? content.kind(new FieldKey(field)) : null;
        }

        /** Takes what such a source has; the rest had no meaning for it. */
        private static void only(String of, ObjectNode filter, ObjectNode source) {
            switch (of) {
                case "category" -> categories(filter, source);
                case "number" -> {
                    hidesEmpty(filter, source);
                    move(filter, source, "unit", "bands", "labels", "counts", "cutAfter");
                }
                case "day" -> {
                    hidesEmpty(filter, source);
                    move(filter, source, "labels", "counts", "cutAfter");
                }
                case "yes-no" -> move(filter, source, "labels", "counts");
                case "distance" -> {
                    source.put("measured", filter.path("unit").asString("").equals("mi") ? "mi" : "km");
                    move(filter, source, "radii", "neutral", "counts");
                }
                default -> {
                    // Words have their field alone.
                }
            }
            if (filter.get("start") instanceof ObjectNode start) {
                rename(start, "chosen", source, "start");
            }
            spend(filter, "start", "all");
            spend(filter, "values", "withBelow", "merged", "depth", "searchFrom", "pictures");
            filter.remove(List.of(
                    "except",
                    "picked",
                    "labels",
                    "several",
                    "order",
                    "tree",
                    "counts",
                    "withoutResults",
                    "cutAfter",
                    "unit",
                    "bands",
                    "neutral",
                    "joined",
                    "radii"));
        }

        private static void categories(ObjectNode filter, ObjectNode source) {
            ObjectNode offered = source.putObject("offered");
            ObjectNode looks = source.putObject("looks");
            move(filter, offered, "except", "picked", "tree");
            move(filter, looks, "labels");
            if (filter.get("values") instanceof ObjectNode values) {
                move(values, offered, "withBelow", "merged", "depth");
                move(values, looks, "pictures");
            }
            ticked(filter, source);
        }

        /** What is ticked in, and how its values stand: of categories, and of filters joined of several. */
        private static void ticked(ObjectNode filter, ObjectNode source) {
            ObjectNode list = source.putObject("list");
            move(filter, list, "order", "withoutResults", "counts", "cutAfter");
            if (filter.get("values") instanceof ObjectNode values) {
                move(values, list, "searchFrom");
            }
            move(filter, source, "several", "neutral");
            if (filter.get("start") instanceof ObjectNode start) {
                rename(start, "chosen", source, "start");
                rename(start, "all", source, "allAtStart");
            }
            spend(filter, "start");
            spend(filter, "values", "withBelow", "merged", "depth", "pictures");
            filter.remove(List.of("unit", "bands", "radii", "joined"));
        }

        private static void hidesEmpty(ObjectNode filter, ObjectNode source) {
            JsonNode without = filter.get("withoutResults");
            if (without != null && without.isString()) {
                source.put("hidesEmpty", !without.asString().equals("dim"));
            }
        }

        private static void move(ObjectNode from, ObjectNode to, String... keys) {
            for (String key : keys) {
                JsonNode value = from.remove(key);
                if (value != null) {
                    to.set(key, value);
                }
            }
        }

        private static void rename(ObjectNode from, String key, ObjectNode to, String now) {
            JsonNode value = from.remove(key);
            if (value != null) {
                to.set(now, value);
            }
        }

        /** Takes a part away whose keys found their places; keys that nobody knows stay, so that they are refused. */
        private static void spend(ObjectNode filter, String part, String... withoutMeaning) {
            if (filter.get(part) instanceof ObjectNode spent) {
                spent.remove(List.of(withoutMeaning));
                if (!spent.isEmpty()) {
                    return;
                }
            }
            filter.remove(part);
        }
    }
}
