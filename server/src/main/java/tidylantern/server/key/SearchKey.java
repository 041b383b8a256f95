package tidylantern.server.key;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;

/**
 * What a search is called by in addresses and tags; unique in an installation. Whoever asks may have written anything,
 * so this may be the key of no search, or one that a search had before.
 */
public record SearchKey(@JsonValue String value) implements Comparable<SearchKey> {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    public SearchKey {}

    @Override
    public int compareTo(SearchKey other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
