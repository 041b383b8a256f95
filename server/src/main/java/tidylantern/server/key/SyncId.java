package tidylantern.server.key;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;

/** What one sync of a source is called by in addresses: the number that the database gave it. */
public record SyncId(@JsonValue long value) {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    public SyncId {}

    /**
     * As it stands in an address.
     *
     * @throws NumberFormatException if that is no number
     */
    public static SyncId of(String written) {
        return new SyncId(Long.parseLong(written));
    }

    @Override
    public String toString() {
        return Long.toString(value);
    }
}
