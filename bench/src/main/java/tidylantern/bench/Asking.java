package tidylantern.bench;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.query.words.Whereabouts;

/** What somebody asks on this day. */
final class Asking {
    private Asking() {}

    static VisitorQuery of(String text, int page) {
        return of(text, page, Map.of());
    }

    static VisitorQuery of(String text, int page, Map<String, List<String>> filters) {
        return of(text, page, filters, Whereabouts.UNKNOWN);
    }

    static VisitorQuery of(String text, int page, Map<String, List<String>> filters, Whereabouts whereabouts) {
        return new VisitorQuery(text, page, filters, whereabouts, "", LocalDate.now(ZoneOffset.UTC));
    }
}
