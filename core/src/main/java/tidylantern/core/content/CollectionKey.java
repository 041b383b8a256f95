package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

import java.util.regex.Pattern;

/** The name of a collection in code, addresses and design documents; unique in a site. */
public record CollectionKey(String value) implements Comparable<CollectionKey> {
    private static final Pattern FORM = Pattern.compile("[a-z][a-z0-9-]{0,39}");

    public CollectionKey {
        require(
                FORM.matcher(value).matches(),
                "\"%s\" cannot name a collection: start with a small letter, then up to 39 small letters, digits or -",
                value);
    }

    @Override
    public int compareTo(CollectionKey other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
