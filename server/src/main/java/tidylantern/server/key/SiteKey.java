package tidylantern.server.key;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;

/**
 * What a site is called by in addresses; unique in an installation. Whoever asks may have written anything, so this may
 * be the key of no site.
 */
public record SiteKey(@JsonValue String value) implements Comparable<SiteKey> {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    public SiteKey {}

    @Override
    public int compareTo(SiteKey other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
