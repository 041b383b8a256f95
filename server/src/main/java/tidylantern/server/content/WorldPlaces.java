package tidylantern.server.content;

import java.io.FileNotFoundException;
import java.io.InputStream;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tidylantern.core.place.Gazetteer;

/** The places of the world by their names; shipped with the front end's packages, from one of which they come. */
@Configuration(proxyBeanMethods = false)
class WorldPlaces {
    @Bean
    Gazetteer gazetteer() {
        return Gazetteer.of(() -> {
            InputStream cities = WorldPlaces.class.getResourceAsStream("/gazetteer/cities.pbf");
            if (cities == null) {
                throw new FileNotFoundException(
                        "gazetteer/cities.pbf is not in the application; build it with its front end");
            }
            return cities;
        });
    }
}
