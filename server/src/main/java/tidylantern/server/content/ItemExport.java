package tidylantern.server.content;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.Numbers;
import tidylantern.server.key.SiteKey;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes a collection out, as its sources brought it, in the forms that it can be read back from. JSON Lines are what a
 * push takes. CSV (RFC 4180, UTF-8) has a column a field; a place has columns for latitude, longitude and name, an
 * image for its alternative text, money for its currency, several values stand with {@code ; } between them, or as a
 * JSON list where one of them holds a semicolon itself. CSV is for people: what a spreadsheet would reckon is guarded;
 * JSON Lines are exact.
 */
@Component
class ItemExport {
    private static final int BATCH = 500;
    private static final Pattern NUMBER = Pattern.compile("[-+]?\\d+([.,]\\d+)?");
    private static final TypeReference<LinkedHashMap<String, @Nullable Object>> OBJECT = new TypeReference<>() {};

    private final ContentStore store;
    private final JsonMapper json;

    ItemExport(ContentStore store, JsonMapper json) {
        this.store = store;
        this.json = json.rebuild()
                .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
                .build();
    }

    @FunctionalInterface
    private interface Each {
        void item(String id, Map<String, @Nullable Object> properties) throws IOException;
    }

    private void each(SiteKey site, Collection collection, Each each) throws IOException {
        String last = "";
        for (List<ContentStore.StoredItem> items = store.itemsAfter(site, collection.key(), last, BATCH);
                !items.isEmpty();
                items = store.itemsAfter(site, collection.key(), last, BATCH)) {
            for (ContentStore.StoredItem item : items) {
                each.item(item.itemId(), Objects.requireNonNull(json.readValue(item.properties(), OBJECT)));
            }
            last = items.getLast().itemId();
        }
    }

    void jsonLines(SiteKey site, Collection collection, OutputStream out) throws IOException {
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        each(site, collection, (id, properties) -> {
            Map<String, @Nullable Object> line = new LinkedHashMap<>();
            line.put("id", id);
            line.putAll(properties);
            writer.write(json.writeValueAsString(line));
            writer.write('\n');
        });
        writer.flush();
    }

    void csv(SiteKey site, Collection collection, OutputStream out) throws IOException {
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        List<String> header = new ArrayList<>(List.of("id"));
        collection.fields().forEach(field -> header.addAll(columns(field)));
        CSVPrinter printer = new CSVPrinter(writer, CSVFormat.RFC4180);
        printer.printRecord(header);
        each(site, collection, (id, properties) -> {
            List<@Nullable Object> row = new ArrayList<>();
            row.add(id);
            collection.fields().forEach(field -> row.addAll(cells(field, properties.get(field.property()))));
            printer.printRecord(row.stream().map(ItemExport::guarded).toList());
        });
        printer.flush();
    }

    /**
     * A text that a spreadsheet would take for a formula and reckon gets an apostrophe before it, as people write it
     * there (OWASP, CSV injection).
     */
    private static @Nullable Object guarded(@Nullable Object cell) {
        return cell instanceof String text
                        && !text.isEmpty()
                        && "=+-@\t\r".indexOf(text.charAt(0)) >= 0
                        && !NUMBER.matcher(text).matches()
                ? "'" + text
                : cell;
    }

    private static List<String> columns(Field field) {
        String name = field.property();
        return switch (field.kind()) {
            case PLACE -> List.of(name + "Lat", name + "Lon", name + "Name");
            case IMAGE -> List.of(name, name + "Alt");
            case MONEY -> List.of(name, name + "Currency");
            case TEXT, CATEGORY, NUMBER, DATE, YES_NO, LINK, CODE -> List.of(name);
        };
    }

    private List<@Nullable Object> cells(Field field, @Nullable Object value) {
        List<@Nullable Object> cells = new ArrayList<>();
        if (field.kind() == FieldKind.PLACE) {
            Map<?, ?> place = value instanceof Map<?, ?> map
                    ? map
                    : value instanceof String text && text.contains(",")
                            ? Map.of("lat", text.split(",", 2)[0].strip(), "lon", text.split(",", 2)[1].strip())
                            : Map.of();
            cells.add(place.get("lat"));
            cells.add(place.get("lon"));
            cells.add(place.get("name"));
        } else if (field.kind() == FieldKind.IMAGE) {
            cells.add(value instanceof Map<?, ?> image ? image.get("url") : value);
            cells.add(value instanceof Map<?, ?> image ? image.get("alt") : null);
        } else if (field.kind() == FieldKind.MONEY) {
            cells.add(value instanceof Map<?, ?> money ? money.get("amount") : value);
            cells.add(value instanceof Map<?, ?> money ? money.get("currency") : null);
        } else {
            cells.add(
                    value instanceof List<?> list
                            ? joined(list)
                            : value instanceof BigDecimal number ? Numbers.written(number) : value);
        }
        return cells;
    }

    private String joined(List<?> list) {
        boolean plain = list.stream()
                .allMatch(part -> part instanceof String text && !text.contains(";") && !text.startsWith("["));
        return plain ? String.join("; ", list.stream().map(String::valueOf).toList()) : json.writeValueAsString(list);
    }
}
