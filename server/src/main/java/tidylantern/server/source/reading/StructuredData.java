package tidylantern.server.source.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a page says in schema.org terms (JSON-LD): the thing that it is about, as columns {@code schema.<property>}. Of
 * the things that a page describes, the one whose address is the page's, else the first of a type that pages are about.
 */
public final class StructuredData {
    private static final TypeReference<@Nullable Object> ANY = new TypeReference<>() {};
    /** Types that describe the page or the site around its subject. */
    private static final Set<String> AROUND = Set.of(
            "WebSite",
            "WebPage",
            "BreadcrumbList",
            "Organization",
            "SearchAction",
            "SiteNavigationElement",
            "WPHeader",
            "WPFooter",
            "CollectionPage",
            "ItemList",
            "ImageObject");

    private static final int MOST_LEVELS = 6;

    private final JsonMapper json;

    public StructuredData(JsonMapper json) {
        this.json = json;
    }

    public Map<String, @Nullable Object> columns(Document page, String address) {
        List<Map<?, ?>> things = new ArrayList<>();
        for (Element script : page.select("script[type=application/ld+json]")) {
            try {
                collect(json.readValue(script.data(), ANY), things);
            } catch (JacksonException broken) {
                // Broken markup says nothing; the page itself still does.
            }
        }
        Map<?, ?> subject = subject(things, address);
        Map<String, @Nullable Object> columns = new LinkedHashMap<>();
        if (subject != null) {
            columns.put("schema.type", type(subject));
            subject.forEach((name, value) -> {
                String property = String.valueOf(name);
                if (!property.startsWith("@")) {
                    put(columns, property, value, things);
                }
            });
        }
        return columns;
    }

    private static void collect(@Nullable Object said, List<Map<?, ?>> things) {
        if (said instanceof List<?> list) {
            list.forEach(one -> collect(one, things));
        } else if (said instanceof Map<?, ?> map) {
            if (map.get("@graph") != null) {
                collect(map.get("@graph"), things);
            }
            if (map.get("@type") != null) {
                things.add(map);
                if (map.get("mainEntity") instanceof Map<?, ?> main) {
                    collect(main, things);
                }
            }
        }
    }

    private static @Nullable Map<?, ?> subject(List<Map<?, ?>> things, String address) {
        return things.stream()
                .filter(thing -> !Objects.equals(type(thing), "WebPage")
                        && !Objects.equals(type(thing), "BreadcrumbList")
                        && (address.equals(thing.get("url"))
                                || address.equals(thing.get("@id"))
                                || aboutPage(thing, address)))
                .findFirst()
                .or(() -> things.stream()
                        .filter(thing -> !AROUND.contains(type(thing)))
                        .findFirst())
                .or(() -> things.stream()
                        .filter(thing -> "ImageObject".equals(type(thing)))
                        .findFirst())
                .orElse(null);
    }

    private static boolean aboutPage(Map<?, ?> thing, String address) {
        Object page = thing.get("mainEntityOfPage");
        return address.equals(page) || (page instanceof Map<?, ?> map && address.equals(map.get("@id")));
    }

    private static String type(Map<?, ?> thing) {
        Object type =
                thing.get("@type") instanceof List<?> types && !types.isEmpty() ? types.getFirst() : thing.get("@type");
        return String.valueOf(type).replaceFirst("^https?://schema\\.org/", "").replaceFirst("^schema:", "");
    }

    private static void put(
            Map<String, @Nullable Object> columns, String property, @Nullable Object value, List<Map<?, ?>> things) {
        String column = "schema." + property;
        switch (property) {
            case "image", "photo", "thumbnail", "contentUrl" -> {
                Map<String, Object> image = image(value, things);
                if (image != null) {
                    columns.put(column, image);
                }
            }
            case "geo" -> {
                Map<String, Object> point = point(value);
                if (point != null) {
                    columns.put(column, point);
                }
            }
            case "additionalProperty", "amenityFeature" -> namedValues(value, columns);
            case "recipeInstructions" -> columns.put(column, steps(value));
            default -> {
                Object plain = plain(value, things, 0);
                if (plain instanceof Map<?, ?> map) {
                    map.forEach((inner, part) -> columns.put(column + "." + inner, part));
                } else if (plain != null) {
                    columns.put(column, plain);
                }
            }
        }
    }

    /**
     * Texts and numbers as they are; of things their name, or their properties where they have none; of lists, the
     * texts of each.
     */
    private static @Nullable Object plain(@Nullable Object value, List<Map<?, ?>> things, int level) {
        if (value instanceof Map<?, ?> given) {
            Map<?, ?> map = resolved(given, things);
            if (map.get("@value") != null) {
                return map.get("@value");
            }
            Map<String, @Nullable Object> inner = new LinkedHashMap<>();
            if (level < MOST_LEVELS) {
                map.forEach((name, part) -> {
                    if (!String.valueOf(name).startsWith("@")) {
                        Object plain = plain(part, things, level + 1);
                        if (plain instanceof Map<?, ?> nested) {
                            nested.forEach((deep, one) -> inner.put(name + "." + deep, one));
                        } else if (plain != null) {
                            inner.put(String.valueOf(name), plain);
                        }
                    }
                });
            }
            return inner;
        }
        if (value instanceof List<?> list) {
            if (list.stream().noneMatch(Map.class::isInstance)) {
                return list;
            }
            Map<String, List<Object>> all = new LinkedHashMap<>();
            for (Object one : list) {
                if (plain(one, things, level + 1) instanceof Map<?, ?> inner) {
                    inner.forEach((name, part) -> all.computeIfAbsent(String.valueOf(name), key -> new ArrayList<>())
                            .addAll(part instanceof List<?> parts ? parts : List.of(Objects.requireNonNull(part))));
                }
            }
            return all;
        }
        return value;
    }

    private static Map<?, ?> resolved(Map<?, ?> reference, List<Map<?, ?>> things) {
        if (reference.size() == 1 && reference.get("@id") != null) {
            for (Map<?, ?> thing : things) {
                if (reference.get("@id").equals(thing.get("@id"))) {
                    return thing;
                }
            }
        }
        return reference;
    }

    private static @Nullable Map<String, Object> image(@Nullable Object value, List<Map<?, ?>> things) {
        Object first = value instanceof List<?> list && !list.isEmpty() ? list.getFirst() : value;
        Map<String, Object> image = new LinkedHashMap<>();
        if (first instanceof Map<?, ?> given) {
            Map<?, ?> map = resolved(given, things);
            Object address = map.get("url") != null ? map.get("url") : map.get("contentUrl");
            Object caption = map.get("caption") != null
                    ? map.get("caption")
                    : map.get("description") != null ? map.get("description") : map.get("name");
            if (address instanceof String) {
                image.put("url", address);
            }
            if (caption instanceof String) {
                image.put("alt", caption);
            }
        } else if (first instanceof String address) {
            image.put("url", address);
        }
        return image.containsKey("url") ? image : null;
    }

    private static @Nullable Map<String, Object> point(@Nullable Object value) {
        if (value instanceof Map<?, ?> map && map.get("latitude") != null && map.get("longitude") != null) {
            Map<String, Object> point = new LinkedHashMap<>();
            point.put("lat", map.get("latitude"));
            point.put("lon", map.get("longitude"));
            if (map.get("name") != null) {
                point.put("name", map.get("name"));
            }
            return point;
        }
        return null;
    }

    /** Property values (and features) each have a name of their own: a column each. */
    private static void namedValues(@Nullable Object value, Map<String, @Nullable Object> columns) {
        for (Object one : value instanceof List<?> list ? list : value == null ? List.of() : List.of(value)) {
            if (one instanceof Map<?, ?> map && map.get("name") instanceof String name) {
                columns.put("schema." + name, map.get("value"));
            }
        }
    }

    /** Steps of a recipe, a paragraph each; sections one after the other. */
    private static @Nullable Object steps(@Nullable Object value) {
        if (value instanceof List<?> list) {
            return String.join(
                    "\n\n",
                    list.stream()
                            .map(StructuredData::steps)
                            .filter(Objects::nonNull)
                            .map(String::valueOf)
                            .toList());
        }
        if (value instanceof Map<?, ?> map) {
            return map.get("itemListElement") != null
                    ? steps(map.get("itemListElement"))
                    : map.get("text") != null ? map.get("text") : map.get("name");
        }
        return value;
    }
}
