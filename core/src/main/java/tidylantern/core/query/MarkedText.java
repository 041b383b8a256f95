package tidylantern.core.query;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A text in runs, some of them marked because a word of the query found them. Never markup: what shows it adds that.
 */
public record MarkedText(List<Run> runs) {
    public static final MarkedText EMPTY = new MarkedText(List.of());

    public MarkedText {
        runs = List.copyOf(runs);
    }

    /** Never empty. */
    public record Run(String text, boolean marked) {}

    /** The text without its marks. */
    public String plain() {
        return runs.stream().map(Run::text).collect(Collectors.joining());
    }

    /** Puts runs together; white space of any length becomes one space, neighbours of one kind one run. */
    static final class Builder {
        private final List<Run> runs = new ArrayList<>();
        private final StringBuilder open = new StringBuilder();
        private boolean openMarked;

        Builder add(CharSequence text, boolean marked) {
            if (text.isEmpty()) {
                return this;
            }
            if (marked != openMarked) {
                close();
                openMarked = marked;
            }
            for (int i = 0; i < text.length(); i++) {
                char c = text.charAt(i);
                if (!Character.isWhitespace(c)) {
                    open.append(c);
                } else if (endsInText()) {
                    open.append(' ');
                }
            }
            return this;
        }

        private boolean endsInText() {
            if (!open.isEmpty()) {
                return open.charAt(open.length() - 1) != ' ';
            }
            return !runs.isEmpty() && !runs.getLast().text().endsWith(" ");
        }

        private void close() {
            if (!open.isEmpty()) {
                runs.add(new Run(open.toString(), openMarked));
                open.setLength(0);
            }
        }

        MarkedText build() {
            close();
            return new MarkedText(runs);
        }
    }
}
