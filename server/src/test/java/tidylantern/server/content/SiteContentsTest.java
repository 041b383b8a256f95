package tidylantern.server.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.dao.DataAccessResourceFailureException;
import tidylantern.core.content.Field;
import tidylantern.core.content.OwnPlace;
import tidylantern.core.content.SiteContent;
import tidylantern.server.RunningService;
import tidylantern.server.key.SiteKey;
import tidylantern.server.site.Sites;

/** What is kept at hand of a site's content while it changes and while the database cannot be read. */
class SiteContentsTest {
    private static final SiteKey ISLES = new SiteKey("isles");
    private final List<String> collections = new ArrayList<>(List.of("posts"));
    private boolean broken;

    private SiteContents contents(RunningService service) {
        CollectionStore collected = new CollectionStore(null, null) {
            @Override
            List<StoredCollection> collections(SiteKey site) {
                if (broken) {
                    throw new DataAccessResourceFailureException("the disk is gone");
                }
                return collections.stream()
                        .map(key -> new StoredCollection(key, key, "en"))
                        .toList();
            }

            @Override
            Map<String, List<Field>> fields(SiteKey site) {
                return Map.of();
            }
        };
        PlacementStore placements = new PlacementStore(null) {
            @Override
            List<StoredPlacement> ofSite(SiteKey site) {
                return List.of();
            }
        };
        OwnPlaceStore places = new OwnPlaceStore(null) {
            @Override
            List<OwnPlace> ofSite(SiteKey site) {
                return List.of();
            }
        };
        return new SiteContents(
                service.part(ContentStore.class), collected, placements, places, service.part(Sites.class));
    }

    @Test
    void whatIsCommittedIsKnownHoweverItCanBeRead(@TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            service.api().withSite();
            SiteContents contents = contents(service);
            SiteContent first = contents.of(ISLES);
            contents.renew(ISLES, next -> assertThat(next).isSameAs(first));
            assertThat(contents.of(ISLES)).as("what says the same is the same").isSameAs(first);
            collections.add("notes");
            contents.renew(ISLES, next -> assertThat(contents.of(ISLES))
                    .as("until it is ready")
                    .isSameAs(first));
            assertThat(contents.of(ISLES).collections()).hasSize(2);
            collections.add("homes");
            broken = true;
            contents.renew(ISLES, next -> {});
            assertThat(contents.of(ISLES).collections())
                    .as("as it was read last")
                    .hasSize(2);
            broken = false;
            contents.readAgainIfStale(ISLES);
            assertThat(contents.of(ISLES).collections()).hasSize(3);
        }
    }
}
