package tidylantern.server.insight;

import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.server.key.SearchKey;
import tidylantern.server.operation.ChangeGate;

/** How often visitors ask each query of a search. */
@Component
public class AskedQueries extends VisitorCounts {
    private static final int LONGEST = 200;
    private static final Pattern BLANKS = Pattern.compile("\\s+");

    AskedQueries(AskedQueryStore store, TransactionTemplate transaction, ChangeGate gate) {
        super("queries", store, transaction, gate);
    }

    /** @param query as it was read; nothing is counted for an empty one */
    public void count(SearchKey search, String query) {
        String tidy = BLANKS.matcher(query.strip().toLowerCase(Locale.ROOT)).replaceAll(" ");
        if (!tidy.isEmpty() && tidy.length() <= LONGEST) {
            add(search, tidy);
        }
    }

    /** The queries that visitors ask most often, the most frequent first. */
    public List<String> frequent(SearchKey search, int most) {
        return mostFrequent(search, most).stream().map(CountStore.Counted::text).toList();
    }
}
