package tidylantern.server.content;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.core.content.OwnPlace;
import tidylantern.server.key.SiteKey;

@Component
class OwnPlaceStore {
    private final JdbcClient jdbc;

    OwnPlaceStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** By name. */
    List<OwnPlace> ofSite(SiteKey site) {
        return jdbc.sql("SELECT name, latitude, longitude FROM own_place WHERE site_key = :site ORDER BY name")
                .param("site", site.value())
                .query((row, n) ->
                        new OwnPlace(row.getString("name"), row.getDouble("latitude"), row.getDouble("longitude")))
                .list();
    }

    void removeAll(SiteKey site) {
        jdbc.sql("DELETE FROM own_place WHERE site_key = :site")
                .param("site", site.value())
                .update();
    }

    void add(SiteKey site, OwnPlace place) {
        jdbc.sql(
                        "INSERT INTO own_place (site_key, name, latitude, longitude) VALUES (:site, :name, :latitude, :longitude)")
                .param("site", site.value())
                .param("name", place.name())
                .param("latitude", place.latitude())
                .param("longitude", place.longitude())
                .update();
    }
}
