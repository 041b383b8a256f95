package tidylantern.core.design.filter;

import java.util.List;
import tidylantern.core.content.FieldKey;

/**
 * Words that visitors type, all of which must stand in one field.
 *
 * @param start what is typed as long as a visitor has typed nothing; none, or one text
 */
public record WordSource(FieldKey field, List<String> start) implements FilterSource {
    public WordSource {
        start = FilterText.start(start);
    }

    /** An empty box. */
    public static WordSource usual(FieldKey field) {
        return new WordSource(field, List.of());
    }

    @Override
    public List<FieldKey> fields() {
        return List.of(field);
    }

    @Override
    public Control control() {
        return OnlyControl.BOX;
    }
}
