package tidylantern.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class StandInSiteTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    private static StandInSite site;

    @BeforeAll
    static void start() throws IOException {
        site = new StandInSite(0, "http://localhost:1", "island-search", TODAY);
    }

    @AfterAll
    static void stop() {
        site.close();
    }

    private static HttpResponse<String> get(String path) throws Exception {
        return CLIENT.send(
                HttpRequest.newBuilder(URI.create(path.startsWith("http") ? path : site.address() + path))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private static Document xml(String text) throws Exception {
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        return factory.newDocumentBuilder().parse(new InputSource(new StringReader(text)));
    }

    private static String one(String pattern, String text) {
        Matcher matcher = Pattern.compile(pattern, Pattern.DOTALL).matcher(text);
        assertThat(matcher.find())
                .as("%s in %s", pattern, text.substring(0, Math.min(300, text.length())))
                .isTrue();
        return matcher.group(1);
    }

    @Test
    void everyAddressOfTheSitemapIsAPageWithItsOwnCanonicalAddressAndDescription() throws Exception {
        Document sitemap = xml(get("/sitemap.xml").body());
        var locations = sitemap.getElementsByTagNameNS("http://www.sitemaps.org/schemas/sitemap/0.9", "loc");
        assertThat(locations.getLength()).isEqualTo(1 + 6 + 275);
        Set<String> descriptions = new HashSet<>();
        for (int i = 0; i < locations.getLength(); i++) {
            String address = locations.item(i).getTextContent();
            HttpResponse<String> page = get(address);
            assertThat(page.statusCode()).as(address).isEqualTo(200);
            assertThat(one("<link rel=\"canonical\" href=\"([^\"]*)\"", page.body()))
                    .isEqualTo(address.endsWith("/") ? address : address);
            assertThat(one("<title>([^<]*)</title>", page.body())).isNotBlank();
            descriptions.add(one("<meta name=\"description\" content=\"([^\"]*)\"", page.body()));
        }
        assertThat(descriptions).as("no two pages say the same of themselves").hasSize(locations.getLength());
    }

    @Test
    void everyItemSaysWhatItIsInJsonLd() throws Exception {
        Map<String, String> types = Map.of(
                "journal",
                "BlogPosting",
                "makers",
                "LocalBusiness",
                "kitchen",
                "Recipe",
                "outings",
                "TouristTrip",
                "homes",
                "Accommodation",
                "pictures",
                "ImageObject");
        Quillhaven content = new Quillhaven(TODAY);
        for (Quillhaven.Part part : Quillhaven.PARTS) {
            for (Map<String, Object> item : content.items(part.key())) {
                JsonNode said = new JsonMapper()
                        .readTree(one(
                                "<script type=\"application/ld\\+json\">(.*?)</script>",
                                get(String.valueOf(item.get("url"))).body()));
                assertThat(said.path("@type").asString()).isEqualTo(types.get(part.key()));
                assertThat(said.path("identifier").asString()).isEqualTo(item.get("id"));
                assertThat(said.path("url").asString()).isEqualTo(site.address() + item.get("url"));
            }
        }
    }

    @Test
    void theFeedTheTableAndTheMapAreWhole() throws Exception {
        Document feed = xml(get("/journal.atom").body());
        assertThat(feed.getDocumentElement().getNamespaceURI()).isEqualTo("http://www.w3.org/2005/Atom");
        assertThat(feed.getElementsByTagNameNS("http://www.w3.org/2005/Atom", "entry")
                        .getLength())
                .isEqualTo(44);
        List<CSVRecord> makers = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(get("/makers.csv").body()))
                .getRecords();
        assertThat(makers).hasSize(50).allSatisfy(row -> assertThat(row.get("body"))
                .isNotBlank());
        JsonNode homes = new JsonMapper().readTree(get("/homes.geojson").body());
        assertThat(homes.path("type").asString()).isEqualTo("FeatureCollection");
        assertThat(homes.path("features").size()).isEqualTo(61);
        assertThat(homes.path("features")).allSatisfy(home -> assertThat(
                        home.path("geometry").path("coordinates").get(0).asDouble())
                .as("longitude first, as RFC 7946 says")
                .isBetween(-33.0, -32.0));
        assertThat(get("/robots.txt").body()).contains("Sitemap: " + site.address() + "/sitemap.xml");
        assertThat(get("/nowhere").statusCode()).isEqualTo(404);
    }

    @Test
    void noTwoIllustrationsAreAlikeAndAllAreWellFormed() throws Exception {
        Quillhaven content = new Quillhaven(TODAY);
        List<String> drawings = new ArrayList<>();
        for (Quillhaven.Part part : Quillhaven.PARTS) {
            for (Map<String, Object> item : content.items(part.key())) {
                if (item.get("image") instanceof Map<?, ?> image) {
                    HttpResponse<String> drawing = get(String.valueOf(image.get("url")));
                    assertThat(drawing.headers().firstValue("Content-Type").orElse(""))
                            .startsWith("image/svg+xml");
                    assertThat(xml(drawing.body()).getDocumentElement().getLocalName())
                            .isEqualTo("svg");
                    drawings.add(drawing.body());
                }
            }
        }
        assertThat(drawings).hasSize(272).doesNotHaveDuplicates();
    }

    @Test
    void datesAreCountedFromTheDayOfTheStart() {
        Map<String, Object> today = new Quillhaven(TODAY).items("outings").getFirst();
        Map<String, Object> tomorrow =
                new Quillhaven(TODAY.plusDays(1)).items("outings").getFirst();
        assertThat(((List<?>) today.get("departures")).getFirst()).isEqualTo("2026-11-27");
        assertThat(((List<?>) tomorrow.get("departures")).getFirst()).isEqualTo("2026-11-28");
    }
}
