package tidylantern.server.key;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;

/** What a source is called by in addresses: the number that the database gave it. */
public record SourceId(@JsonValue long value) {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    public SourceId {}

    /**
     * As it stands in an address.
     *
     * @throws NumberFormatException if that is no number
     */
    public static SourceId of(String written) {
        return new SourceId(Long.parseLong(written));
    }

    @Override
    public String toString() {
        return Long.toString(value);
    }
}
