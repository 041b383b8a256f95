package tidylantern.server.source.reading;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What a source's reader tells as it goes. */
public interface Reading {
    /**
     * One record.
     *
     * @param at where it stands: {@code row 17}, an address
     * @param columns loose values, as JSON has them
     */
    void record(String at, Map<String, @Nullable Object> columns) throws SourceProblem;

    /**
     * A record that cannot be read. Nobody can tell which item it is of, so while there are some, none is taken for
     * gone.
     */
    void refuse(String at, String reason);

    /** A record that is said to be there no more. */
    void gone(String at, String reason);

    /**
     * A record that is as it was when it was last read, so that it is not sent again.
     *
     * @param id of the item it was then
     */
    void asBefore(String at, String id);

    /** Something that the owner should know, about the whole. */
    void note(String note);

    /** Records may be missing though they are there, so what was not named must not be taken for gone. */
    void incomplete(String why);

    /** How far it is. */
    void progress(int read, int known);

    /** How many records it wants at most. */
    default int wanted() {
        return Integer.MAX_VALUE;
    }

    /** Whether to end here: somebody stopped it, or a preview has what it needs. */
    boolean enough();
}
