package tidylantern.server.source.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** What is read from one page: its text without what stands around it, and its structured data. */
class PageReaderTest {
    private static final URI HERE = URI.create("https://isles.example/page");

    private static SourceSettings.Crawl crawl(
            @Nullable String mainText, List<String> leaveOut, SourceSettings.Part... parts) {
        return new SourceSettings.Crawl(
                HERE.toString(), SourceSettings.Way.LINKS, null, 0, 10, mainText, leaveOut, List.of(parts));
    }

    private static Map<String, @Nullable Object> read(String html) {
        return read(html, crawl(null, List.of()));
    }

    private static Map<String, @Nullable Object> read(String html, SourceSettings.Crawl settings) {
        return new PageReader(settings, new JsonMapper()).columns(Jsoup.parse(html, HERE.toString()), HERE);
    }

    private static Map<String, @Nullable Object> jsonLd(String json) {
        return read("<title>x</title><script type=\"application/ld+json\">" + json + "</script>");
    }

    private static final String PAGE = """
            <html lang="en-GB"><head><title>Ferry times – Isles</title><meta name="description" content="When the boats go."><meta name="keywords" content="ferry, winter , ,boats"><meta name="author" content="Ferry Office"></head><body>
            <header><a href="/">Isles</a> <nav><ul><li><a href="/a">Menu one</a></li><li><a href="/b">Menu two</a></li></ul></nav></header>
            <div class="crumbs"><a href="/">Home</a> › <a href="/ferry">Ferry</a></div>
            <div id="content"><h1>Ferry times</h1><p>The morning boat leaves at seven, and not before the post is on it, whatever the skipper says.</p>
            <h2>In winter</h2><p>The evening boat waits for the school. <img src="/pixel.gif" width="1" height="1"><img src="boat.jpg" alt="A boat"></p><p class="price">40 a person</p></div>
            <aside><p>Subscribe to our letter, which comes on every second Friday with news of the islands for all.</p></aside>
            <footer><p>All of this stands in the footer, with an address and a telephone number, in many words indeed.</p></footer><script>var menu = 'Scripted'</script></body></html>""";

    @Test
    void aPageGivesItsTextWithoutMenusAndFooters() {
        Map<String, @Nullable Object> page = read(PAGE);
        assertThat(page)
                .containsEntry("title", "Ferry times")
                .containsEntry("description", "When the boats go.")
                .containsEntry("language", "en-GB")
                .containsEntry("author", "Ferry Office")
                .containsEntry("keywords", List.of("ferry", "winter", "boats"))
                .containsEntry("headings", List.of("Ferry times", "In winter"))
                .containsEntry("image", Map.of("url", "https://isles.example/boat.jpg", "alt", "A boat"));
        assertThat(String.valueOf(page.get("text")))
                .startsWith("The morning boat leaves at seven")
                .contains("In winter")
                .contains("waits for the school")
                .doesNotContain("Menu")
                .doesNotContain("Home")
                .doesNotContain("Subscribe")
                .doesNotContain("footer")
                .doesNotContain("Scripted");
    }

    @Test
    void theOwnerCorrectsTheMainTextAndPointsAtParts() {
        Map<String, @Nullable Object> page = read(
                PAGE,
                crawl(
                        "aside",
                        List.of(),
                        new SourceSettings.Part("fare", ".price"),
                        new SourceSettings.Part("sections", "h2")));
        assertThat(String.valueOf(page.get("text"))).startsWith("Subscribe to our letter");
        assertThat(page).containsEntry("fare", "40 a person").containsEntry("sections", "In winter");
        assertThat(String.valueOf(read(PAGE, crawl(null, List.of(".price"))).get("text")))
                .doesNotContain("40 a person");
    }

    @Test
    void whatAPageSaysOfItselfWinsOverTheGuess() {
        String html = "<body><div><p>" + "Long text around the article, said by nobody in particular. ".repeat(10)
                + "</p></div><main><p>The article itself is short.</p></main></body>";
        assertThat(read(html)).containsEntry("text", "The article itself is short.");
    }

    @Test
    void nothingOfAPageIsMarkup() {
        Map<String, @Nullable Object> page = read(
                "<title>A &lt;b&gt;</title><main><p>One &lt;script&gt;alert(1)&lt;/script&gt;<br>Two<script>alert(2)</script><!-- three --></p></main>");
        assertThat(page).containsEntry("title", "A <b>").containsEntry("text", "One <script>alert(1)</script>\nTwo");
    }

    // schema.org, the examples on the pages of each type, from memory and shortened.

    @Test
    void theRecipeExampleOfSchemaOrg() {
        assertThat(jsonLd("""
                {"@context": "https://schema.org", "@type": "Recipe", "author": "John Smith", "cookTime": "PT1H", "datePublished": "2009-05-08", "description": "This classic banana bread recipe comes from my mom.",
                 "image": "bananabread.jpg", "recipeIngredient": ["3 or 4 ripe bananas, smashed", "1 egg", "3/4 cup of sugar"],
                 "interactionStatistic": {"@type": "InteractionCounter", "interactionType": "https://schema.org/Comment", "userInteractionCount": "140"},
                 "name": "Mom's World Famous Banana Bread", "nutrition": {"@type": "NutritionInformation", "calories": "240 calories", "fatContent": "9 grams fat"},
                 "prepTime": "PT15M", "recipeInstructions": "Preheat the oven to 350 degrees. Mix in the ingredients in a bowl.", "recipeYield": "1 loaf", "suitableForDiet": "https://schema.org/LowFatDiet"}"""))
                .containsEntry("schema.type", "Recipe")
                .containsEntry("schema.name", "Mom's World Famous Banana Bread")
                .containsEntry("schema.author", "John Smith")
                .containsEntry("schema.cookTime", "PT1H")
                .containsEntry(
                        "schema.recipeIngredient", List.of("3 or 4 ripe bananas, smashed", "1 egg", "3/4 cup of sugar"))
                .containsEntry("schema.nutrition.calories", "240 calories")
                .containsEntry("schema.image", Map.of("url", "bananabread.jpg"));
    }

    @Test
    void theLocalBusinessExampleOfSchemaOrg() {
        assertThat(jsonLd("""
                {"@context": "https://schema.org", "@type": "LocalBusiness", "address": {"@type": "PostalAddress", "addressLocality": "Mexico Beach", "addressRegion": "FL", "streetAddress": "3102 Highway 98"},
                 "description": "A superb collection of fine gifts and clothing to accent your stay in Mexico Beach.", "name": "Beachwalk Beachwear & Giftware", "telephone": "850-648-4200",
                 "geo": {"@type": "GeoCoordinates", "latitude": "29.94", "longitude": "-85.41"}}"""))
                .containsEntry("schema.address.addressLocality", "Mexico Beach")
                .containsEntry("schema.telephone", "850-648-4200")
                .containsEntry("schema.geo", Map.of("lat", "29.94", "lon", "-85.41"));
    }

    @Test
    void theArticleTripHomeAndImageExamplesOfSchemaOrg() {
        assertThat(jsonLd("""
                {"@context": "https://schema.org", "@type": "NewsArticle", "mainEntityOfPage": {"@type": "WebPage", "@id": "https://isles.example/page"}, "headline": "Article headline",
                 "image": ["https://example.com/photos/1x1/photo.jpg", "https://example.com/photos/4x3/photo.jpg"], "datePublished": "2015-02-05T08:00:00+08:00", "author": {"@type": "Person", "name": "John Doe"}}"""))
                .containsEntry("schema.headline", "Article headline")
                .containsEntry("schema.author.name", "John Doe")
                .containsEntry("schema.image", Map.of("url", "https://example.com/photos/1x1/photo.jpg"));
        assertThat(jsonLd("""
                {"@context": "https://schema.org", "@type": "TouristTrip", "name": "Discover Porto", "touristType": ["Cultural tourism", "Wine tourism"],
                 "itinerary": {"@type": "ItemList", "numberOfItems": 2, "itemListElement": [{"@type": "ListItem", "position": 1, "item": {"@type": "TouristAttraction", "name": "Ribeira"}}]},
                 "offers": {"@type": "Offer", "price": "87.00", "priceCurrency": "EUR"}}"""))
                .containsEntry("schema.touristType", List.of("Cultural tourism", "Wine tourism"))
                .containsEntry("schema.offers.price", "87.00")
                .containsEntry("schema.offers.priceCurrency", "EUR");
        assertThat(jsonLd("""
                {"@context": "https://schema.org", "@type": "Apartment", "name": "One-bedroom apartment", "numberOfRooms": 3, "floorSize": {"@type": "QuantitativeValue", "value": 50, "unitCode": "MTK"},
                 "amenityFeature": [{"@type": "LocationFeatureSpecification", "name": "balcony", "value": true}], "petsAllowed": true}"""))
                .containsEntry("schema.numberOfRooms", 3)
                .containsEntry("schema.floorSize.value", 50)
                .containsEntry("schema.balcony", true)
                .containsEntry("schema.petsAllowed", true);
        assertThat(jsonLd("""
                {"@context": "https://schema.org", "@type": "ImageObject", "author": "Jane Doe", "contentLocation": "Puerto Vallarta, Mexico", "contentUrl": "mexico-beach.jpg", "datePublished": "2008-01-25",
                 "description": "I took this picture while on vacation last year.", "name": "Beach in Mexico"}"""))
                .containsEntry("schema.type", "ImageObject")
                .containsEntry("schema.contentUrl", Map.of("url", "mexico-beach.jpg"))
                .containsEntry("schema.contentLocation", "Puerto Vallarta, Mexico");
    }

    @Test
    void ofSeveralThingsTheOneThatThePageIsAboutIsTaken() {
        assertThat(jsonLd("""
                {"@context": "https://schema.org", "@graph": [{"@type": "WebSite", "name": "Isles"}, {"@type": "BreadcrumbList", "itemListElement": []}, {"@id": "#who", "@type": "Person", "name": "Hesper Dow"},
                 {"@type": "Recipe", "@id": "https://isles.example/page", "name": "Bannocks", "author": {"@id": "#who"}, "recipeInstructions": [{"@type": "HowToStep", "text": "Mix."}, {"@type": "HowToStep", "text": "Bake."}]}]}"""))
                .containsEntry("schema.name", "Bannocks")
                .containsEntry("schema.author.name", "Hesper Dow")
                .containsEntry("schema.recipeInstructions", "Mix.\n\nBake.");
        assertThat(jsonLd("{broken")).doesNotContainKey("schema.type");
    }
}
