package tidylantern.server.fuzz;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Requests made from the API's own description: half right, half wrong, in ways that somebody thought of and in some
 * that nobody did.
 */
final class RandomRequests {
    private static final JsonMapper JSON = new JsonMapper();
    /** What has broken programs before. */
    private static final List<String> NASTY = List.of(
            "",
            " ",
            "\u0000",
            "%00",
            "..",
            "../../etc/passwd",
            "'",
            "\"",
            "';DROP TABLE item;--",
            "<script>alert(1)</script>",
            "-1",
            "0",
            "99999999999999999999",
            "1e-999999999",
            "NaN",
            "1e400",
            "null",
            "true",
            "[]",
            "{}",
            ",",
            "=,",
            "a,b,c",
            "90.1,0",
            "0,181",
            "\uD800",
            "\uFEFF",
            "é",
            "漢字",
            "🏮",
            "\u202E",
            "x".repeat(2_000),
            "a/b",
            "a:b",
            "*",
            "?*",
            "\\",
            "\n",
            "~",
            "~2b.",
            "-",
            "--",
            "\"a",
            "(",
            "((((((((((",
            "NOT NOT NOT",
            "a OR",
            "2026-02-30",
            "0000-00-00",
            "..1",
            "1..",
            "5..1",
            "-0..0",
            "2026-05",
            "today",
            "99999-01-01",
            "PT1H",
            "javascript:alert(1)",
            "https://http://x",
            "http://",
            "https://",
            "//x",
            "https://[::1",
            "http://127.0.0.1:1/",
            "http://169.254.169.254/",
            "%",
            "%zz",
            "AND",
            "und",
            "x-klingon",
            "en-US",
            "#0e5f63",
            "c++");

    private static final Map<String, List<String>> GOOD = Map.of(
            "site",
            List.of("isles"),
            "collection",
            List.of("posts"),
            "field",
            List.of("title", "kind", "price", "where"),
            "filter",
            List.of("kind", "price"),
            "which",
            List.of("draft", "live-version"),
            "id",
            List.of("1", "2"),
            "q",
            List.of("lobster", "crab shore", "lobstre"),
            "page",
            List.of("1", "2"),
            "sort",
            List.of("title", "changed"));

    /** One request; no body where it is null. */
    record Request(String method, String path, String contentType, byte[] body) {}

    private record Operation(String method, String path, JsonNode described) {}

    private final Random random;
    private final JsonNode schemas;
    private final List<Operation> operations = new ArrayList<>();
    private final List<String> searches;

    /** @param spared beginnings of addresses that would end the test's own means */
    RandomRequests(JsonNode description, Random random, List<String> searches, List<String> spared) {
        this.random = random;
        this.searches = searches;
        this.schemas = description.path("components").path("schemas");
        description.path("paths").properties().forEach(path -> path.getValue()
                .properties()
                .forEach(operation -> {
                    if (spared.stream().noneMatch(one -> (operation.getKey().toUpperCase(java.util.Locale.ROOT) + " "
                                    + path.getKey())
                            .startsWith(one))) {
                        operations.add(new Operation(
                                operation.getKey().toUpperCase(java.util.Locale.ROOT),
                                path.getKey(),
                                operation.getValue()));
                    }
                }));
    }

    int operations() {
        return operations.size();
    }

    Request next() {
        Operation operation = operations.get(random.nextInt(operations.size()));
        String path = operation.path();
        List<String> query = new ArrayList<>();
        for (JsonNode parameter : operation.described().path("parameters")) {
            String name = parameter.path("name").asString();
            if (parameter.path("in").asString().equals("path")) {
                String given = chance(8)
                        ? nasty()
                        : name.equals("key") ? searches.get(random.nextInt(searches.size())) : good(name);
                path = path.replace(
                        "{" + name + "}", given.isEmpty() ? "x" : encoded(given).replace("%2F", "-"));
            } else if (parameter.path("in").asString().equals("query")
                    && (parameter.path("required").asBoolean() ? !chance(10) : chance(2))) {
                query.add(name + "=" + encoded(chance(3) ? good(name) : nasty()));
            }
        }
        for (String more :
                List.of("kind", "price", "near", "place", "within", "order", "nonsense", "perPage", "where")) {
            if (chance(8)) {
                query.add(more + "=" + encoded(nasty()));
            }
        }
        if (chance(40)) {
            query.add(encoded(nasty()) + "=1");
        }
        JsonNode body = operation.described().path("requestBody").path("content");
        String address = path + (query.isEmpty() ? "" : "?" + String.join("&", query));
        if (operation.method().equals("GET")) {
            return new Request("GET", address, "", null);
        }
        if (body.isMissingNode()) {
            boolean lines =
                    operation.path().endsWith("/items") && operation.method().equals("PUT");
            return new Request(
                    operation.method(),
                    address,
                    lines ? "application/jsonl" : "application/json",
                    lines ? lines() : chance(3) ? garbage() : null);
        }
        String type = body.properties().iterator().next().getKey();
        JsonNode schema = body.path(type).path("schema");
        byte[] sent = chance(8) ? garbage() : type.contains("json") ? bytes(value(schema, 0)) : table();
        return new Request(operation.method(), address, chance(20) ? "text/plain" : type, sent);
    }

    /** A line of JSON Lines, or what somebody takes for one. */
    private byte[] lines() {
        StringBuilder lines = new StringBuilder();
        for (int n = random.nextInt(6); n >= 0; n--) {
            ObjectNode item = JSON.createObjectNode();
            item.put("id", chance(5) ? nasty() : "f" + random.nextInt(50));
            for (String property : List.of(
                    "title",
                    "kind",
                    "price",
                    "where",
                    "day",
                    "link",
                    "code",
                    "open",
                    "image",
                    "author",
                    "url",
                    "n" + random.nextInt(6))) {
                if (chance(3)) {
                    item.set(property, any(0));
                }
            }
            lines.append(chance(12) ? nasty() : item.toString()).append('\n');
        }
        return lines.toString().getBytes(StandardCharsets.UTF_8);
    }

    private byte[] table() {
        StringBuilder table = new StringBuilder();
        for (int n = random.nextInt(8); n >= 0; n--) {
            table.append(nasty())
                    .append(chance(2) ? "," : ";")
                    .append(nasty())
                    .append(',')
                    .append(nasty())
                    .append('\n');
        }
        return table.toString().getBytes(StandardCharsets.UTF_8);
    }

    private byte[] garbage() {
        byte[] bytes = new byte[random.nextInt(200)];
        random.nextBytes(bytes);
        return chance(2) ? bytes : nasty().getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] bytes(JsonNode node) {
        return node.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** A value that mostly fits a schema. */
    private JsonNode value(JsonNode schema, int depth) {
        if (chance(15) || depth > 6) {
            return any(depth);
        }
        if (schema.has("$ref")) {
            return value(schemas.path(schema.path("$ref").asString().replaceFirst(".*/", "")), depth);
        }
        for (String several : List.of("anyOf", "oneOf", "allOf")) {
            if (schema.has(several)) {
                return value(
                        schema.path(several)
                                .path(random.nextInt(schema.path(several).size())),
                        depth);
            }
        }
        if (schema.has("enum")) {
            return JSON.valueToTree(
                    schema.path("enum").path(random.nextInt(schema.path("enum").size())));
        }
        JsonNode types = schema.path("type");
        String type = types.isArray() ? types.path(random.nextInt(types.size())).asString() : types.asString("");
        return switch (type) {
            case "object" -> object(schema, depth);
            case "array" -> {
                ArrayNode array = JSON.createArrayNode();
                for (int n = random.nextInt(4); n > 0; n--) {
                    array.add(value(schema.path("items"), depth + 1));
                }
                yield array;
            }
            case "string" -> JSON.valueToTree(chance(2) ? nasty() : good("q"));
            case "integer" -> JSON.valueToTree(random.nextInt(5) - 1);
            case "number" -> JSON.valueToTree(random.nextGaussian() * 100);
            case "boolean" -> JSON.valueToTree(random.nextBoolean());
            case "null" -> JSON.nullNode();
            default -> schema.has("properties") ? object(schema, depth) : any(depth);
        };
    }

    private ObjectNode object(JsonNode schema, int depth) {
        ObjectNode object = JSON.createObjectNode();
        schema.path("properties").properties().forEach(property -> {
            if (!chance(6)) {
                object.set(property.getKey(), value(property.getValue(), depth + 1));
            }
        });
        if (chance(20)) {
            object.set(nasty(), any(depth + 1));
        }
        return object;
    }

    private JsonNode any(int depth) {
        return switch (random.nextInt(depth > 4 ? 6 : 9)) {
            case 0 -> JSON.nullNode();
            case 1 -> JSON.valueToTree(random.nextBoolean());
            case 2 -> JSON.valueToTree(random.nextLong());
            case 3 -> JSON.valueToTree(random.nextGaussian() * 1e9);
            case 4, 5 -> JSON.valueToTree(nasty());
            case 6 -> JSON.createArrayNode().add(any(depth + 1)).add(any(depth + 1));
            case 7 -> JSON.createObjectNode().set(chance(2) ? "lat" : "amount", any(depth + 1));
            default ->
                JSON.createObjectNode()
                        .put("lat", random.nextDouble() * 400 - 200)
                        .put("lon", random.nextDouble() * 800 - 400);
        };
    }

    private String good(String name) {
        List<String> good = GOOD.get(name);
        return good == null ? nasty() : good.get(random.nextInt(good.size()));
    }

    private String nasty() {
        return NASTY.get(random.nextInt(NASTY.size()));
    }

    /** One time in so many. */
    private boolean chance(int in) {
        return random.nextInt(in) == 0;
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }
}
