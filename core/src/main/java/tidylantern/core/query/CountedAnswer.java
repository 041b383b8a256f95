package tidylantern.core.query;

import java.util.List;
import java.util.Map;
import tidylantern.core.content.FieldKey;

/**
 * An answer with the categories of all that is found, not only of what is shown.
 *
 * @param counts of each field asked for: its values among the results, with those above them; exact
 */
public record CountedAnswer(Answer answer, Map<FieldKey, List<CategoryCounts.Counted>> counts) {
    public CountedAnswer {
        counts = Map.copyOf(counts);
    }
}
