package tidylantern.server.source.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.URI;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FeedReaderTest {
    private static Told read(byte[] body, String type, @Nullable String charset) throws SourceProblem {
        Told told = new Told();
        new FeedReader(new WebFetcher.Fetched(
                        URI.create("https://isles.example/feed"),
                        200,
                        false,
                        type,
                        charset,
                        null,
                        null,
                        true,
                        List.of(),
                        body))
                .read(told);
        return told;
    }

    private static Told read(String feed) throws SourceProblem {
        return read(feed.getBytes(StandardCharsets.UTF_8), "application/xml", null);
    }

    /** RFC 4287, section 1.1: its brief example, from memory of its text. */
    @Test
    void theBriefExampleOfRfc4287() throws Exception {
        Told told = read("""
                <?xml version="1.0" encoding="utf-8"?>
                <feed xmlns="http://www.w3.org/2005/Atom">
                  <title>Example Feed</title>
                  <link href="http://example.org/"/>
                  <updated>2003-12-13T18:30:02Z</updated>
                  <author><name>John Doe</name></author>
                  <id>urn:uuid:60a76c80-d399-11d9-b93C-0003939e0af6</id>
                  <entry>
                    <title>Atom-Powered Robots Run Amok</title>
                    <link href="http://example.org/2003/12/13/atom03"/>
                    <id>urn:uuid:1225c695-cfb8-4ebb-aaaa-80da344efa6a</id>
                    <updated>2003-12-13T18:30:02Z</updated>
                    <summary>Some text.</summary>
                  </entry>
                </feed>""");
        assertThat(told.places).containsExactly("http://example.org/2003/12/13/atom03");
        assertThat(told.records.getFirst())
                .containsEntry("id", "urn:uuid:1225c695-cfb8-4ebb-aaaa-80da344efa6a")
                .containsEntry("title", "Atom-Powered Robots Run Amok")
                .containsEntry("link", "http://example.org/2003/12/13/atom03")
                .containsEntry("updated", "2003-12-13")
                .containsEntry("summary", "Some text.");
    }

    /** RFC 4287, section 1.1: its longer example, from memory of its text. */
    @Test
    void theLongerExampleOfRfc4287() throws Exception {
        Told told = read("""
                <?xml version="1.0" encoding="utf-8"?>
                <feed xmlns="http://www.w3.org/2005/Atom">
                  <title type="text">dive into mark</title>
                  <subtitle type="html">A &lt;em&gt;lot&lt;/em&gt; of effort went into making this effortless</subtitle>
                  <updated>2005-07-31T12:29:29Z</updated>
                  <id>tag:example.org,2003:3</id>
                  <link rel="alternate" type="text/html" hreflang="en" href="http://example.org/"/>
                  <link rel="self" type="application/atom+xml" href="http://example.org/feed.atom"/>
                  <entry>
                    <title>Atom draft-07 snapshot</title>
                    <link rel="alternate" type="text/html" href="http://example.org/2005/04/02/atom"/>
                    <link rel="enclosure" type="audio/mpeg" length="1337" href="http://example.org/audio/ph34r_my_podcast.mp3"/>
                    <id>tag:example.org,2003:3.2397</id>
                    <updated>2005-07-31T12:29:29Z</updated>
                    <published>2003-12-13T08:29:29-04:00</published>
                    <author><name>Mark Pilgrim</name><uri>http://example.org/</uri><email>f8dy@example.com</email></author>
                    <contributor><name>Sam Ruby</name></contributor>
                    <content type="xhtml" xml:lang="en" xml:base="http://diveintomark.org/">
                      <div xmlns="http://www.w3.org/1999/xhtml"><p><i>[Update: The Atom draft is finished.]</i></p></div>
                    </content>
                  </entry>
                </feed>""");
        assertThat(told.records.getFirst())
                .containsEntry("id", "tag:example.org,2003:3.2397")
                .containsEntry("title", "Atom draft-07 snapshot")
                .containsEntry("link", "http://example.org/2005/04/02/atom")
                .containsEntry("published", "2003-12-13")
                .containsEntry("author", "Mark Pilgrim")
                .containsEntry("content", "[Update: The Atom draft is finished.]");
        assertThat(told.records.getFirst())
                .as("an enclosure that is no picture is no image")
                .doesNotContainKey("image");
    }

    @Test
    void rss2WithItsCommonExtensions() throws Exception {
        Told told = read("""
                <rss version="2.0" xmlns:content="http://purl.org/rss/1.0/modules/content/" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:x="https://x.example/ns"><channel><title>Isles</title><link>https://isles.example</link>
                <item><title>Ferry &amp; fog</title><link>https://isles.example/ferry</link><guid isPermaLink="false">f-1</guid><description>&lt;p&gt;Late &lt;b&gt;again&lt;/b&gt;.&lt;/p&gt;&lt;script&gt;alert(1)&lt;/script&gt;</description>
                <content:encoded><![CDATA[<p>First.</p><p>Second.</p>]]></content:encoded><pubDate>Fri, 31 Jul 2026 10:00:00 GMT</pubDate><category>Travel</category><category>Winter</category>
                <enclosure url="/img/ferry.jpg" type="image/jpeg" length="3"/><dc:creator>Ferry Office</dc:creator><x:price>40</x:price><x:tag>a</x:tag><x:tag>b</x:tag></item></channel></rss>""");
        assertThat(told.records.getFirst())
                .containsEntry("id", "f-1")
                .containsEntry("title", "Ferry & fog")
                .containsEntry("summary", "Late again.")
                .containsEntry("content", "First.\n\nSecond.")
                .containsEntry("published", "2026-07-31")
                .containsEntry("categories", List.of("Travel", "Winter"))
                .containsEntry("image", "https://isles.example/img/ferry.jpg")
                .containsEntry("author", "Ferry Office")
                .containsEntry("x:price", "40")
                .containsEntry("x:tag", List.of("a", "b"));
    }

    @Test
    void theEncodingIsThatOfTheDocumentElseOfTheHeader() throws Exception {
        String feed =
                "<?xml version=\"1.0\" encoding=\"ISO-8859-1\"?><rss version=\"2.0\"><channel><title>t</title><link>l</link><description>d</description><item><title>Café</title></item></channel></rss>";
        assertThat(read(feed.getBytes(StandardCharsets.ISO_8859_1), "application/rss+xml", null)
                        .records
                        .getFirst())
                .containsEntry("title", "Café");
        assertThat(read(
                                feed.replaceFirst("<\\?xml.*?\\?>", "").getBytes(Charset.forName("windows-1252")),
                                "text/xml",
                                "windows-1252")
                        .records
                        .getFirst())
                .containsEntry("title", "Café");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<!DOCTYPE rss [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><rss version=\"2.0\"><channel><title>t</title><item><title>&x;</title></item></channel></rss>",
                "<!DOCTYPE lolz [<!ENTITY a \"ha\"><!ENTITY b \"&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;\"><!ENTITY c \"&b;&b;&b;&b;&b;&b;&b;&b;&b;&b;\">]><rss version=\"2.0\"><channel><title>&c;</title></channel></rss>"
            })
    void entitiesAreNeverRead(String feed) {
        assertThatThrownBy(() -> read(feed))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("it has a document type")
                .hasMessageNotContaining("root:");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<html><title>No feed</title></html>",
                "{\"items\":[]}",
                "<rss version=\"2.0\"><channel><title>t</title><item><title>never ends"
            })
    void whatIsNoFeedIsSaid(String body) {
        assertThatThrownBy(() -> read(body))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("is no RSS or Atom feed");
    }

    @Test
    void anEmptyFeedAndAFailingOneAreSaid() {
        assertThatThrownBy(() -> read(""))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("answers with nothing");
        assertThatThrownBy(
                        () -> read(
                                "<rss version=\"2.0\"><channel><title>t</title><link>l</link><description>d</description></channel></rss>"))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("has no entries");
        assertThatThrownBy(() -> new FeedReader(new WebFetcher.Fetched(
                                URI.create("https://isles.example/feed"),
                                500,
                                false,
                                "",
                                null,
                                null,
                                null,
                                true,
                                List.of(),
                                new byte[0]))
                        .read(new Told()))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("status 500");
    }
}
