package tidylantern.server.insight;

import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How often each item was chosen. */
@Component
class ChosenItemStore extends CountStore {
    ChosenItemStore(JdbcClient jdbc, NamedParameterJdbcTemplate batches) {
        super(jdbc, batches, "chosen_item", "item");
    }
}
