package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.apache.lucene.util.SloppyMath;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.OwnPlace;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.ResultOrder;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.filter.DistanceSource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.place.FarApart;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.place.GazetteerFixture;
import tidylantern.core.place.Position;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.query.words.Whereabouts;

/** Where visitors are, and what is nearest to them. */
class WhereaboutsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 14);
    private static final Gazetteer WORLD = new GazetteerFixture()
            .place("Farhaven", "GB", "SCT", 5_000, 58, -3)
            .place("Farhaven", "NZ", "F1", 4_000, -45, 170)
            .place("Wickhaven", "AU", "02", 70_000, -33, 151)
            .place("Bigport", "AU", "02", 200_000, -33.2, 151.5)
            .gazetteer();

    private static SiteContent content(OwnPlace... own) {
        return new SiteContent(SearchFixture.SITE.collections(), List.of(), ZoneOffset.UTC, List.of(own));
    }

    private static SearchDesign nearest() {
        List<OrderKey> keys = List.of(OrderKey.of(OrderKey.By.DISTANCE));
        return SearchFixture.design().withOrder(new ResultOrder(keys, keys, List.of(), ""));
    }

    private static Answer answer(
            SearchFixture site, SiteContent content, SearchDesign design, Whereabouts whereabouts) {
        return new SearchEngine(site.index(), WORLD, Clock.systemUTC())
                .answer(CompiledSearch.of(content, design), new VisitorQuery("", 1, Map.of(), whereabouts, "", TODAY));
    }

    private static SearchFixture harbours(Path folder) {
        return new SearchFixture(folder)
                .item(
                        SearchFixture.POSTS,
                        "w",
                        Map.of("title", "W", "where", Map.of("lat", 50, "lon", -5, "name", "Wickhaven")))
                .item(
                        SearchFixture.POSTS,
                        "e",
                        Map.of("title", "E", "where", Map.of("lat", 51, "lon", -5, "name", "Eastwater")))
                .indexed();
    }

    private static FilterAnswer.Around around(SearchFixture site, SiteContent content, String typed) {
        SearchDesign design =
                nearest().withFilters(List.of(Filter.of("where", "Near", DistanceSource.usual(new FieldKey("where")))));
        return answer(site, content, design, Whereabouts.of("", typed, ""))
                .filters()
                .getFirst()
                .around();
    }

    @Test
    void namesOfTheSiteGoBeforeThoseOfTheWorldAndSlipsAreForgiven(@TempDir Path folder) throws Exception {
        try (SearchFixture site = harbours(folder)) {
            assertThat(around(site, content(), "wickhaven"))
                    .extracting(
                            FilterAnswer.Around::name, FilterAnswer.Around::namesakes, FilterAnswer.Around::attribution)
                    .containsExactly("Wickhaven", List.of(), "");
            assertThat(around(site, content(), "wichhaven").name())
                    .as("a letter wrong")
                    .isEqualTo("Wickhaven");
            assertThat(around(site, content(), "eastw").name()).isEqualTo("Eastwater");
            FilterAnswer.Around far = around(site, content(), "farhaven");
            assertThat(far.name()).isEqualTo("Farhaven, SCT, United Kingdom");
            assertThat(far.namesakes()).containsExactly("Farhaven, New Zealand");
            assertThat(far.attribution()).contains("GeoNames").contains("CC BY 4.0");
            assertThat(around(site, content(), "farhaven, new zealand").name()).isEqualTo("Farhaven, New Zealand");
            assertThat(around(site, content(), "farhavn").name())
                    .as("a letter wrong in the world's")
                    .isEqualTo("Farhaven, SCT, United Kingdom");
            assertThat(around(site, content(), "xyzzy").unknown()).isEqualTo("xyzzy");
            FilterAnswer.Around own = around(
                    site, content(new OwnPlace("Old Quay", 50.5, -5), new OwnPlace("Farhaven", 49, -6)), "old quay");
            assertThat(own.name()).isEqualTo("Old Quay");
            assertThat(own.names()).contains("Old Quay", "Wickhaven");
            assertThat(around(site, content(new OwnPlace("Farhaven", 49, -6)), "farhaven")
                            .attribution())
                    .as("the owner's own before the world's")
                    .isEmpty();
        }
    }

    private static Map<String, Object> at(double latitude, double longitude, String name) {
        return Map.of("title", name, "where", Map.of("lat", latitude, "lon", longitude, "name", name));
    }

    @Test
    void itemsFarApartOfOneNameAreNamesakes(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)) {
            site.item(SearchFixture.POSTS, "north", at(58.1, -3.1, "Farhaven"))
                    .item(SearchFixture.POSTS, "south", at(-45, 170, "Farhaven"))
                    .item(SearchFixture.POSTS, "south2", at(-45.2, 170.1, "FARHAVEN"))
                    .item(SearchFixture.POSTS, "ocean", at(0, -30, "Farhaven"))
                    .item(SearchFixture.POSTS, "coast", at(-33.5, 152, "Farhaven"))
                    .item(SearchFixture.POSTS, "a", at(10, 179.9, "Atoll"))
                    .item(SearchFixture.POSTS, "b", at(10, -179.9, "Atoll"))
                    .item(SearchFixture.POSTS, "t1", at(20, 10, "Twinport"))
                    .item(SearchFixture.POSTS, "t2", at(40, 10, "Twinport"))
                    .indexed();
            FilterAnswer.Around most = around(site, content(), "farhaven");
            assertThat(most.name()).as("where most items are").isEqualTo("Farhaven, New Zealand");
            assertThat(most.namesakes())
                    .as("then where most people live")
                    .containsExactly(
                            "Farhaven, SCT, United Kingdom", "Farhaven, near Bigport", "Farhaven, 0.00° N 30.00° W");
            assertThat(around(site, content(), "farhaven, sct, united kingdom").name())
                    .isEqualTo("Farhaven, SCT, United Kingdom");
            assertThat(around(site, content(), "Farhaven, 0.00° N 30.00° W").namesakes())
                    .as("each label means one place")
                    .hasSize(3)
                    .doesNotContain("Farhaven, 0.00° N 30.00° W");
            assertThat(around(site, content(), "atoll").namesakes())
                    .as("twenty kilometres across the date line")
                    .isEmpty();
            assertThat(around(site, content(), "twinport").names())
                    .as("a name is offered once")
                    .containsOnlyOnce("Twinport");
            assertThat(around(site, content(), "twinp").namesakes())
                    .as("by its beginning too")
                    .hasSize(1);
            Answer answer = answer(site, content(), nearest(), Whereabouts.of("", "farhaven", ""));
            assertThat(answer.hits().getFirst().metres())
                    .as("from the middle of the two in the south, not from that of all")
                    .isLessThan(20_000);
        }
    }

    @Test
    void aNameThatIsEverywhereIsNoNameOfPlaces(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)) {
            for (int n = 0; n < 320; n++) {
                site.item(SearchFixture.POSTS, "i" + n, at(-60 + n % 20 * 6, -170 + n / 20 * 20, "Branch"));
            }
            assertThat(around(site.indexed(), content(), "branch").namesakes())
                    .as("compared with one another they would make everybody wait")
                    .isEmpty();
        }
    }

    @Test
    void groupsAreReachedInStepsAndLieFarFromOneAnother() {
        for (int seed = 0; seed < 40; seed++) {
            Random random = new Random(seed);
            List<Position> places = random.doubles(60)
                    .mapToObj(any -> new Position(
                            random.nextDouble(-90, 90) * (random.nextBoolean() ? 0.05 : 1),
                            random.nextDouble(-180, 180) * (random.nextBoolean() ? 0.02 : 1)))
                    .toList();
            List<List<Position>> groups = FarApart.groups(places, place -> place);
            assertThat(groups.stream().flatMap(List::stream)).containsExactlyInAnyOrderElementsOf(places);
            for (List<Position> group : groups) {
                for (Position one : group) {
                    boolean alone = group.size() == 1;
                    assertThat(alone || group.stream().anyMatch(other -> other != one && metres(one, other) <= 100_000))
                            .isTrue();
                    assertThat(places.stream()
                                    .filter(other -> !group.contains(other))
                                    .noneMatch(other -> metres(one, other) < 99_900))
                            .as("%s of %d", one, seed)
                            .isTrue();
                }
            }
        }
    }

    private static double metres(Position a, Position b) {
        return plain(a.latitude(), a.longitude(), b.latitude(), b.longitude());
    }

    @Test
    void distancesAreMeasuredFromANamedPlaceOfTheWorld(@TempDir Path folder) throws Exception {
        try (SearchFixture site = harbours(folder)) {
            Answer answer = answer(site, content(), nearest(), Whereabouts.of("", "Farhaven", ""));
            assertThat(answer.hits()).extracting(hit -> hit.ref().id().value()).containsExactly("e", "w");
            assertThat(answer.hits().getFirst().metres())
                    .isCloseTo(SloppyMath.haversinMeters(58, -3, 51, -5), within(2.0));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"91,0", "-90.1,0", "0,181", "0,-180.5", "NaN,0", "1e2,0", "5", "1,2,3"})
    void whatIsNoPlaceOnTheEarthIsPassedOver(String near) {
        assertThat(Whereabouts.of(near, "", "").position()).isNull();
        assertThatThrownBy(() -> new OwnPlace("North of north", 90.5, 0)).hasMessageContaining("no place on the Earth");
        assertThat(Whereabouts.of("0,0", "", "").position()).isNotNull();
        assertThat(Whereabouts.of("-90,180", "", "").position()).isNotNull();
    }

    /**
     * The sphere of R = 6371.0088 km against the WGS 84 ellipsoid. Lengths from memory of their sources: JFK to CDG in
     * GeographicLib's manual of GeodSolve; Flinders Peak to Buninyong in Geoscience Australia's worked example of
     * Vincenty's formula (GRS 80, the same to a millimetre); the quarters of meridian and equator of WGS 84.
     */
    @ParameterizedTest
    @CsvSource({
        "40.6, -73.8, 49.0166667, 2.55, 5853226",
        "-37.95103342, 144.42486789, -37.65282114, 143.92649553, 54972.271",
        "0, 0, 90, 0, 10001965.729",
        "0, 0, 0, 90, 10018754.171"
    })
    void theSphereIsLessThanSixThousandthsOff(
            double latitude, double longitude, double toLatitude, double toLongitude, double ellipsoid) {
        double sphere = SloppyMath.haversinMeters(latitude, longitude, toLatitude, toLongitude);
        assertThat(Math.abs(sphere - ellipsoid) / ellipsoid).isLessThan(0.006);
    }

    /**
     * Everywhere on the Earth, the poles, the date line and (0, 0) among them, with and without the index of points.
     */
    @RepeatedTest(6)
    void theNearestComeFirstEverywhere(RepetitionInfo run, @TempDir Path folder) throws Exception {
        Random random = new Random(run.getCurrentRepetition());
        List<double[]> all = new ArrayList<>(List.of(
                new double[] {90, 0},
                new double[] {90, 120},
                new double[] {-90, 0},
                new double[] {0, 180},
                new double[] {0, -180},
                new double[] {0, 0},
                new double[] {10, 179.99},
                new double[] {10, -179.99}));
        for (int n = 0; n < 200; n++) {
            all.add(new double[] {random.nextDouble(-90, 90), random.nextDouble(-180, 180)});
        }
        try (SearchFixture site = new SearchFixture(folder)) {
            for (int i = 0; i < all.size(); i++) {
                site.item(
                        SearchFixture.POSTS,
                        "i" + i,
                        Map.of("title", "Place", "where", Map.of("lat", all.get(i)[0], "lon", all.get(i)[1])));
            }
            site.post("nowhere", "title", "Nowhere").indexed();
            for (String here : List.of(
                    "90,0",
                    "-90,45",
                    "0,180",
                    "0,-180",
                    "0,0",
                    "10,180",
                    "%.4f,%.4f".formatted(random.nextDouble(-90, 90), random.nextDouble(-180, 180)))) {
                double latitude = Double.parseDouble(here.split(",")[0]);
                double longitude = Double.parseDouble(here.split(",")[1]);
                List<Double> expected = all.stream()
                        .map(place -> plain(latitude, longitude, place[0], place[1]))
                        .sorted()
                        .limit(10)
                        .toList();
                Answer answer = answer(site, content(), nearest(), Whereabouts.of(here, "", ""));
                assertThat(answer.total()).isEqualTo(all.size() + 1);
                List<Double> given = answer.hits().stream().map(Hit::metres).toList();
                assertThat(given).isSortedAccordingTo(Comparator.naturalOrder());
                for (int i = 0; i < 10; i++) {
                    assertThat(given.get(i)).as("%d from %s", i, here).isCloseTo(expected.get(i), within(2.0));
                }
                assertThat(new SearchEngine(site.index())
                                .answer(
                                        CompiledSearch.of(content(), nearest()),
                                        new VisitorQuery("", 99, Map.of(), Whereabouts.of(here, "", ""), "", TODAY))
                                .hits()
                                .getLast()
                                .metres())
                        .as("what has no place comes last")
                        .isNull();
            }
        }
    }

    /** The angle between two directions, by their cross and dot products; R = 6371.0088 km. */
    private static double plain(double latitude, double longitude, double toLatitude, double toLongitude) {
        double[] a = direction(latitude, longitude);
        double[] b = direction(toLatitude, toLongitude);
        double cross = Math.sqrt(Math.pow(a[1] * b[2] - a[2] * b[1], 2)
                + Math.pow(a[2] * b[0] - a[0] * b[2], 2)
                + Math.pow(a[0] * b[1] - a[1] * b[0], 2));
        return 6_371_008.8 * Math.atan2(cross, a[0] * b[0] + a[1] * b[1] + a[2] * b[2]);
    }

    private static double[] direction(double latitude, double longitude) {
        double north = Math.toRadians(latitude);
        double east = Math.toRadians(longitude);
        return new double[] {Math.cos(north) * Math.cos(east), Math.cos(north) * Math.sin(east), Math.sin(north)};
    }
}
