package tidylantern.server.history;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.server.platform.SomeNames;

/** Puts together the sentence that tells of a change: what was changed, and what of it became what. */
public final class Told {
    private final String subject;
    private final List<String> parts = new ArrayList<>();

    /** @param subject that was changed, as a sentence begins with it */
    public Told(String subject) {
        this.subject = subject;
    }

    /** A part that became another; nothing where it did not. Null and empty stand for none. */
    public Told became(String part, @Nullable String before, @Nullable String after) {
        if (!Objects.equals(before, after)) {
            parts.add("%s: %s → %s".formatted(part, quoted(before), quoted(after)));
        }
        return this;
    }

    private static String quoted(@Nullable String text) {
        return text == null || text.isEmpty() ? "none" : "“" + text + "”";
    }

    /** What came to a list and what went from it. */
    public Told changed(String list, List<String> before, List<String> after) {
        List<String> come = after.stream().filter(one -> !before.contains(one)).toList();
        List<String> gone = before.stream().filter(one -> !after.contains(one)).toList();
        if (!come.isEmpty()) {
            parts.add("%s: %s added".formatted(list, SomeNames.of(come)));
        }
        if (!gone.isEmpty()) {
            parts.add("%s: %s taken away".formatted(list, SomeNames.of(gone)));
        }
        return this;
    }

    /** What else is so, where it is. */
    public Told and(boolean so, String said) {
        if (so) {
            parts.add(said);
        }
        return this;
    }

    @Override
    public String toString() {
        return parts.isEmpty() ? subject : subject + " – " + String.join("; ", parts);
    }
}
