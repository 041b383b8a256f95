package tidylantern.server.insight;

import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What visitors of each side of a split did. */
@Component
class SplitCountStore extends CountStore {
    SplitCountStore(JdbcClient jdbc, NamedParameterJdbcTemplate batches) {
        super(jdbc, batches, "split_count", "done");
    }
}
