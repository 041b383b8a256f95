package tidylantern.server.source.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A reading that keeps all that it is told. */
final class Told implements Reading {
    final List<String> places = new ArrayList<>();
    final List<Map<String, @Nullable Object>> records = new ArrayList<>();
    final Map<String, String> refusals = new LinkedHashMap<>();
    final List<String> notes = new ArrayList<>();
    boolean whole = true;

    @Override
    public void record(String at, Map<String, @Nullable Object> columns) {
        places.add(at);
        records.add(new LinkedHashMap<>(columns));
    }

    @Override
    public void refuse(String at, String reason) {
        refusals.put(at, reason);
    }

    @Override
    public void gone(String at, String reason) {
        refuse(at, reason);
    }

    @Override
    public void asBefore(String at, String id) {
        throw new IllegalStateException(at + " was never read before");
    }

    @Override
    public void note(String note) {
        notes.add(note);
    }

    @Override
    public void incomplete(String why) {
        whole = false;
        notes.add(why);
    }

    @Override
    public void progress(int read, int known) {
        // Nobody looks.
    }

    @Override
    public boolean enough() {
        return false;
    }
}
