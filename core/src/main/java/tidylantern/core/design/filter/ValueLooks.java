package tidylantern.core.design.filter;

import java.util.Map;
import java.util.regex.Pattern;
import tidylantern.core.content.Addresses;
import tidylantern.core.design.DesignFault;

/**
 * How values of a category field look to visitors, where they have more than their own name.
 *
 * @param labels what visitors read instead of a value's own name, by its key
 * @param pictures what stands beside a value, by its key: a colour ({@code #0e5f63}) or the address of a picture
 */
public record ValueLooks(Map<String, String> labels, Map<String, String> pictures) {
    private static final Pattern ADDRESS = Pattern.compile("/|https?://");
    private static final Pattern COLOUR = Pattern.compile("#[0-9a-fA-F]{6}");

    public ValueLooks {
        labels = FilterText.labels(labels);
        pictures = Map.copyOf(pictures);
        DesignFault.unless(
                pictures.size() <= FilterText.VALUES.most(),
                "pictures",
                "%d pictures are too many; %d are the most",
                pictures.size(),
                FilterText.VALUES.most());
        pictures.forEach((value, picture) -> DesignFault.unless(
                COLOUR.matcher(picture).matches() || (ADDRESS.matcher(picture).lookingAt() && Addresses.safe(picture)),
                "pictures",
                "\"%s\" is no colour such as #0e5f63 and no address that starts with /, https:// or http://",
                picture));
    }

    /** Each by its own name, with nothing beside it. */
    public static ValueLooks plain() {
        return new ValueLooks(Map.of(), Map.of());
    }
}
