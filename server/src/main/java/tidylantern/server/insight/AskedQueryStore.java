package tidylantern.server.insight;

import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How often each query was asked. */
@Component
class AskedQueryStore extends CountStore {
    AskedQueryStore(JdbcClient jdbc, NamedParameterJdbcTemplate batches) {
        super(jdbc, batches, "asked_query", "query");
    }
}
