package tidylantern.demo;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/**
 * An item's page as schema.org JSON-LD of the fitting type; every field is in it, by schema.org's name where there is
 * one.
 */
final class StructuredData {
    private static final Map<String, String> TYPES = Map.of(
            "journal",
            "BlogPosting",
            "makers",
            "LocalBusiness",
            "kitchen",
            "Recipe",
            "outings",
            "TouristTrip",
            "homes",
            "Accommodation",
            "pictures",
            "ImageObject");

    private final String site;
    private final JsonMapper json = new JsonMapper();

    StructuredData(String site) {
        this.site = site;
    }

    String of(String collection, Map<String, Object> item) {
        Map<String, Object> said = new LinkedHashMap<>();
        said.put("@context", "https://schema.org");
        said.put("@type", TYPES.getOrDefault(collection, "Thing"));
        said.put("@id", site + item.get("url"));
        said.put("url", site + item.get("url"));
        said.put("identifier", item.get("id"));
        put(said, collection.equals("journal") ? "headline" : "name", item.get("title"));
        put(said, "description", item.get("summary"));
        put(
                said,
                collection.equals("journal")
                        ? "articleBody"
                        : collection.equals("kitchen") ? "recipeInstructions" : "text",
                item.get("body"));
        put(
                said,
                collection.equals("makers") || collection.equals("homes") ? "dateCreated" : "datePublished",
                item.get("published"));
        if (item.get("author") != null) {
            said.put("author", Map.of("@type", "Person", "name", item.get("author")));
        }
        if (item.get("image") instanceof Map<?, ?> image) {
            Map<String, Object> picture =
                    new LinkedHashMap<>(Map.of("@type", "ImageObject", "url", site + image.get("url")));
            put(picture, "caption", image.get("alt"));
            said.put("image", picture);
        }
        if (item.get("place") instanceof Map<?, ?> place) {
            said.put(
                    "geo",
                    Map.of(
                            "@type",
                            "GeoCoordinates",
                            "latitude",
                            place.get("lat"),
                            "longitude",
                            place.get("lon"),
                            "name",
                            place.get("name")));
        }
        put(said, "contentLocation", item.get("island"));
        put(said, "keywords", item.getOrDefault("tags", item.get("keywords")));
        if (item.get("price") != null) {
            said.put("offers", Map.of("@type", "Offer", "price", item.get("price")));
        }
        if (item.get("reviews") instanceof List<?> reviews) {
            said.put(
                    "review",
                    reviews.stream()
                            .map(text -> Map.of("@type", "Review", "reviewBody", text))
                            .toList());
        }
        if (item.get("departures") instanceof List<?> days) {
            said.put(
                    "subTrip",
                    days.stream()
                            .map(day -> Map.of("@type", "Trip", "departureTime", day))
                            .toList());
        }
        if (collection.equals("kitchen")) {
            said.put("totalTime", "PT" + item.get("minutes") + "M");
            said.put("recipeYield", item.get("serves"));
            said.put("recipeCategory", item.get("course"));
            said.put("recipeIngredient", item.get("ingredient"));
        }
        said.put(
                "additionalProperty",
                List.of(
                                "trade",
                                "plan",
                                "rating",
                                "since",
                                "code",
                                "activity",
                                "bookingCode",
                                "hours",
                                "offer",
                                "status",
                                "bedrooms",
                                "area",
                                "garden",
                                "seaView",
                                "petsWelcome",
                                "stepFree",
                                "fireplace",
                                "internet",
                                "childrenWelcome",
                                "dogsWelcome",
                                "lunchIncluded",
                                "visitorsWelcome",
                                "takesCards",
                                "minutes")
                        .stream()
                        .filter(item::containsKey)
                        .map(name -> Map.of("@type", "PropertyValue", "name", name, "value", item.get(name)))
                        .toList());
        // In a script element the only dangerous text is the one that ends it.
        return json.writeValueAsString(said).replace("<", "\\u003c");
    }

    private static void put(Map<String, Object> said, String name, @Nullable Object value) {
        if (value != null) {
            said.put(name, value);
        }
    }
}
