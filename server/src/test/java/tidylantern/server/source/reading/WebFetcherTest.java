package tidylantern.server.source.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every answer is bounded, and private addresses are refused. */
class WebFetcherTest {
    private static final WebFetcher.Limits SMALL = new WebFetcher.Limits(50_000, Duration.ofHours(1), true);
    private WebSite site;
    private WebFetcher fetcher;

    @BeforeEach
    void start() {
        site = new WebSite();
        fetcher = fetcher(site.host());
    }

    @AfterEach
    void stop() {
        fetcher.stop();
        site.close();
    }

    private static WebFetcher fetcher(String... allowed) {
        return new WebFetcher(ReadingSettings.allowing(allowed));
    }

    private WebFetcher.Fetched get(String path) throws SourceProblem {
        return fetcher.fetch(site.uri(path), WebFetcher.Known.NOTHING, SMALL);
    }

    @Test
    void redirectsAreFollowedWithinTheSiteAndTheEndIsKnown() throws Exception {
        site.redirect("/old", "/older")
                .redirect("/older", site.address() + "/new")
                .has("/new", "text/html; charset=utf-8", "here");
        assertThat(get("/old")).satisfies(answer -> {
            assertThat(answer.address()).isEqualTo(site.uri("/new"));
            assertThat(answer.charset()).isEqualTo("UTF-8");
            assertThat(new String(answer.body())).isEqualTo("here");
        });
    }

    @Test
    void aRedirectLoopEnds() {
        site.redirect("/a", "/b").redirect("/b", "/a");
        assertThatThrownBy(() -> get("/a")).isInstanceOf(SourceProblem.class).hasMessageContaining("without end");
        assertThat(site.asked()).hasSizeLessThan(10);
    }

    @Test
    void redirectsToOtherSitesAndOtherSchemesAreNotFollowed() {
        site.redirect("/away", "https://elsewhere.example/")
                .redirect("/file", "file:///etc/passwd")
                .redirect("/odd", "http://[broken");
        assertThatThrownBy(() -> get("/away"))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("another site, elsewhere.example");
        assertThatThrownBy(() -> get("/file")).isInstanceOf(SourceProblem.class).hasMessageContaining("no web address");
        assertThatThrownBy(() -> get("/odd")).isInstanceOf(SourceProblem.class).hasMessageContaining("no address");
    }

    private void answerWithoutEnd(String path, int status) {
        site.answer(path, exchange -> {
            exchange.sendResponseHeaders(status, 0);
            byte[] some = "<p>and on ".repeat(500).getBytes();
            try {
                while (true) {
                    exchange.getResponseBody().write(some);
                }
            } catch (IOException cutOff) {
                return;
            }
        });
    }

    @Test
    void anErrorPageThatNeverEndsIsNotReadToItsEnd() throws Exception {
        answerWithoutEnd("/lost", 404);
        // Were the rest waited for, the hour would pass first.
        WebFetcher.Fetched lost = fetcher.fetch(
                site.uri("/lost"), WebFetcher.Known.NOTHING, new WebFetcher.Limits(50_000, Duration.ofHours(1), true));
        assertThat(lost.gone()).isTrue();
        assertThat(lost.body()).isEmpty();
    }

    @Test
    void aPageThatNeverEndsAndAPackedOneThatGrowsAreCutOff() {
        answerWithoutEnd("/endless", 200);
        site.answer(
                "/bomb",
                exchange -> WebSite.send(
                        exchange,
                        200,
                        "text/html",
                        WebSite.gzip(" ".repeat(20_000_000)),
                        Map.of("Content-Encoding", "gzip")));
        assertThatThrownBy(() -> get("/endless"))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("has more than 50 kB");
        assertThatThrownBy(() -> get("/bomb"))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("has more than 50 kB");
    }

    @Test
    void anAnswerThatTakesTooLongIsGivenUp() {
        site.answer("/slow", exchange -> {
            exchange.sendResponseHeaders(200, 0);
            try {
                // A byte now and then, so that no single wait is long.
                for (int i = 0; i < 10_000; i++) {
                    exchange.getResponseBody().write(' ');
                    exchange.getResponseBody().flush();
                    java.util.concurrent.locks.LockSupport.parkNanos(20_000_000);
                }
            } catch (IOException givenUp) {
                return;
            }
        });
        WebFetcher hurried = new WebFetcher(ReadingSettings.allowing(site.host()), Duration.ofMillis(1_200));
        assertThatThrownBy(() -> hurried.fetch(
                        site.uri("/slow"),
                        WebFetcher.Known.NOTHING,
                        new WebFetcher.Limits(1_000_000, Duration.ofHours(1), true)))
                .as("slower than anybody waits for")
                .hasMessageContaining("bytes a second");
        hurried.stop();
        assertThatThrownBy(() -> fetcher.fetch(
                        site.uri("/slow"),
                        WebFetcher.Known.NOTHING,
                        new WebFetcher.Limits(1_000_000, Duration.ofSeconds(1), true)))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("took longer than 1 s");
    }

    @Test
    void whatIsKnownIsNotSentAgain() throws Exception {
        site.page("/page", "<title>Page</title>");
        WebFetcher.Fetched first = get("/page");
        WebFetcher.Fetched second =
                fetcher.fetch(site.uri("/page"), new WebFetcher.Known(first.entityTag(), first.lastModified()), SMALL);
        assertThat(first.notModified()).isFalse();
        assertThat(second.notModified()).isTrue();
        assertThat(second.body()).isEmpty();
    }

    @Test
    void anUnknownHostAndADeadPortAreSaid() {
        assertThatThrownBy(() ->
                        fetcher.fetch(URI.create("http://no-such-host.invalid/"), WebFetcher.Known.NOTHING, SMALL))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("There is no host \"no-such-host.invalid\"");
        site.close();
        assertThatThrownBy(() -> get("/")).isInstanceOf(SourceProblem.class).hasMessageContaining("does not answer");
    }

    @Test
    void thisMachineIsRefusedUnlessTheOperatorAllowsTheHostAndPort() throws Exception {
        site.has("/", "text/plain", "private");
        WebFetcher strict = fetcher();
        assertThatThrownBy(() -> strict.fetch(site.uri("/"), WebFetcher.Known.NOTHING, SMALL))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("tidy-lantern.allowed-hosts");
        strict.stop();
        WebFetcher otherPort = fetcher("localhost:1");
        assertThatThrownBy(() -> otherPort.fetch(site.uri("/"), WebFetcher.Known.NOTHING, SMALL))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("private network");
        otherPort.stop();
        assertThat(site.asked()).as("nothing was asked").isEmpty();
    }

    @Test
    void aRedirectToThisMachineIsRefusedToo() {
        site.redirect("/in", "http://127.0.0.1:" + site.uri("/").getPort() + "/secret");
        assertThatThrownBy(() -> fetcher.fetch(
                        site.uri("/in"),
                        WebFetcher.Known.NOTHING,
                        new WebFetcher.Limits(50_000, Duration.ofSeconds(5), false)))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("private network");
        assertThat(site.asked()).containsExactly("/in");
    }

    /**
     * Special-purpose addresses of RFC 6890 and of the registries it names (IANA IPv4 and IPv6 Special-Purpose Address
     * Registry), from memory.
     */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "127.0.0.1",
                "127.8.8.8",
                "10.1.2.3",
                "172.16.0.1",
                "172.31.255.255",
                "192.168.1.1",
                "169.254.169.254",
                "100.64.0.1",
                "0.0.0.0",
                "192.0.0.1",
                "192.0.2.1",
                "198.18.0.1",
                "198.51.100.1",
                "203.0.113.9",
                "224.0.0.1",
                "240.0.0.1",
                "255.255.255.255",
                "::1",
                "::",
                "fe80::1",
                "fc00::1",
                "fd12:3456::1",
                "ff02::1",
                "2001:db8::1",
                "::ffff:127.0.0.1",
                "::ffff:10.0.0.1",
                "64:ff9b::7f00:1",
                "2002:7f00:1::"
            })
    void specialAddressesAreToldFromPublicOnes(String address) throws Exception {
        assertThat(PublicHosts.special(InetAddress.getByName(address))).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "1.1.1.1",
                "8.8.8.8",
                "172.15.0.1",
                "172.32.0.1",
                "100.63.0.1",
                "100.128.0.1",
                "192.0.1.1",
                "198.17.0.1",
                "198.20.0.1",
                "223.255.255.255",
                "2606:4700::1111",
                "2a00:1450::1"
            })
    void publicAddressesArePublic(String address) throws Exception {
        assertThat(PublicHosts.special(InetAddress.getByName(address))).isFalse();
    }
}
