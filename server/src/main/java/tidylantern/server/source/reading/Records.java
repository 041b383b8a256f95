package tidylantern.server.source.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Makes the columns of a record from a nested object: {@code {"offers": {"price": 3}}} has the column
 * {@code offers.price}. Of a list of objects each property becomes a list. Objects that are one value (a place, an
 * amount, an image) stay whole.
 */
final class Records {
    private static final int MOST_LEVELS = 6;
    private static final int MOST_COLUMNS = 300;

    private Records() {}

    static Map<String, @Nullable Object> flat(Map<String, @Nullable Object> object) {
        Map<String, @Nullable Object> columns = new LinkedHashMap<>();
        object.forEach((name, value) -> put(columns, name, value, 1));
        return columns;
    }

    private static void put(Map<String, @Nullable Object> columns, String name, @Nullable Object value, int level) {
        if (columns.size() >= MOST_COLUMNS || level > MOST_LEVELS) {
            return;
        }
        if (value instanceof Map<?, ?> map && !oneValue(map)) {
            map.forEach((inner, part) -> put(columns, name + "." + inner, part, level + 1));
        } else if (value instanceof List<?> list
                && list.stream().anyMatch(part -> part instanceof Map<?, ?> map && !oneValue(map))) {
            ofObjects(columns, name, list, level);
        } else {
            columns.put(name, value);
        }
    }

    private static void ofObjects(Map<String, @Nullable Object> columns, String name, List<?> list, int level) {
        Map<String, @Nullable Object> all = new LinkedHashMap<>();
        for (Object part : list) {
            Map<String, @Nullable Object> one = new LinkedHashMap<>();
            put(one, name, part, level);
            one.forEach((column, value) -> {
                List<@Nullable Object> values = new ArrayList<>();
                if (all.get(column) instanceof List<?> before) {
                    values.addAll(before);
                }
                if (value instanceof List<?> several) {
                    values.addAll(several);
                } else if (value != null) {
                    values.add(value);
                }
                all.put(column, values);
            });
        }
        columns.putAll(all);
    }

    /** What items keep as one value: a point, an amount with its currency, an image with its alternative text. */
    private static boolean oneValue(Map<?, ?> map) {
        return (map.containsKey("lat") && map.containsKey("lon"))
                || (map.containsKey("amount") && map.size() <= 2)
                || (map.containsKey("url") && map.size() <= 2 && (map.size() == 1 || map.containsKey("alt")));
    }
}
