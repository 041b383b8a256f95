package tidylantern.server.traffic;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.file.Path;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tidylantern.server.platform.Clients;

/** One address may ask for many answers, and not for any number. */
class AnswerRateTest {
    @Test
    void beyondItsRateAnAddressIsAskedToWaitAndOwnersAreNot(@TempDir Path data) {
        try (RunningService service = RunningService.with(data, "--tidy-lantern.answers-per-second=1")) {
            Api api = service.api().withSite();
            api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster\"}");
            String search = api.publishedSearch("S");
            Api.Answer refused = IntStream.range(0, 30)
                    .mapToObj(n -> api.send(
                            "GET",
                            "/api/public/searches/" + search + "/results?q=lobster",
                            null,
                            Map.of("Origin", "https://isles.example")))
                    .filter(answer -> answer.status() != 200)
                    .findFirst()
                    .orElseThrow();
            assertThat(refused.status()).isEqualTo(429);
            assertThat(refused.header("Retry-After")).isEqualTo("1");
            assertThat(refused.header("Access-Control-Allow-Origin"))
                    .as("the site's script may read why")
                    .isEqualTo("https://isles.example");
            assertThat(refused.json().path("detail").asString()).contains("1 answers a second");
            assertThat(IntStream.range(0, 30)
                            .map(n -> api.get("/api/%70ublic/searches/" + search + "/results?q=lobster")
                                    .status()))
                    .as("the same address, written otherwise")
                    .contains(429);
            IntStream.range(0, 30)
                    .forEach(n ->
                            assertThat(api.get("/api/owner/sites").status()).isEqualTo(200));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "192.0.2.7, 192.0.2.7",
        "2001:db8:1:2:3:4:5:6, 20010db800010002",
        "2001:db8:1:2:ffff::1, 20010db800010002",
        "::1, 0000000000000000"
    })
    void aClientIsAnAddressOrTheNetworkThatOneCustomerHas(String address, String client) throws UnknownHostException {
        assertThat(Clients.of(InetAddress.getByName(address).getHostAddress())).isEqualTo(client);
    }
}
