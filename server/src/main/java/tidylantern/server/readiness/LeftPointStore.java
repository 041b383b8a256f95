package tidylantern.server.readiness;

import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SearchKey;

/** What was decided to be left as it is. */
@Component
class LeftPointStore {
    private final JdbcClient jdbc;

    LeftPointStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record LeftPoint(String pointId, String leftBy, OffsetDateTime leftAt) {}

    List<LeftPoint> of(SearchKey search) {
        return jdbc.sql("SELECT point_id, left_by, left_at FROM left_point WHERE search_key = :search")
                .param("search", search.value())
                .query(LeftPoint.class)
                .list();
    }

    /** Once more is as once. */
    void leave(SearchKey search, LeftPoint point) {
        takeUp(search, point.pointId());
        jdbc.sql("INSERT INTO left_point (search_key, point_id, left_by, left_at) VALUES (:search, :point, :by, :at)")
                .param("search", search.value())
                .param("point", point.pointId())
                .param("by", point.leftBy())
                .param("at", point.leftAt())
                .update();
    }

    void takeUp(SearchKey search, String point) {
        jdbc.sql("DELETE FROM left_point WHERE search_key = :search AND point_id = :point")
                .param("search", search.value())
                .param("point", point)
                .update();
    }
}
