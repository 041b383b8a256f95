package tidylantern.server.answer;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Sign;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * How signs are drawn: those of {@code signs/signs.json}, each the path of an SVG of 24 by 24. They are of the npm
 * package {@code @mdi/js} 7.4.47 (Pictogrammers, Apache License 2.0).
 */
public final class Signs {
    private static final Map<Sign, String> PATHS = read();

    private Signs() {}

    public static String pathOf(Sign sign) {
        return Objects.requireNonNull(PATHS.get(sign));
    }

    static @Nullable String pathOrNull(@Nullable Sign sign) {
        return sign == null ? null : pathOf(sign);
    }

    private static Map<Sign, String> read() {
        try (InputStream file = Signs.class.getResourceAsStream("/signs/signs.json")) {
            JsonNode drawn = JsonMapper.shared().readTree(Objects.requireNonNull(file, "signs.json is not shipped"));
            Map<Sign, String> paths = new EnumMap<>(Sign.class);
            for (Sign sign : Sign.values()) {
                paths.put(sign, drawn.required(sign.toString()).asString());
            }
            return paths;
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the signs", failure);
        }
    }
}
