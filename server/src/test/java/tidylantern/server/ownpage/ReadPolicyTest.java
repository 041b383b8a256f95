package tidylantern.server.ownpage;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.embedding.PageSeen;

/** Content Security Policy Level 3: 6.7.2 for how an address is matched, 6.8.3 for which directive stands in. */
class ReadPolicyTest {
    private static final URI PAGE = URI.create("https://www.isles.example/find");
    private static final URI SERVICE = URI.create("https://search.example");
    private static final URI SCRIPT = SERVICE.resolve("/elements/tidy-lantern.js");

    private static ReadPolicy policy(String written) {
        return new ReadPolicy(written, PAGE);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "default-src 'self' | default-src | default-src",
                "default-src 'self' https://search.example | |",
                "script-src 'self' https://search.example; connect-src 'self' | | connect-src",
                "script-src 'self'; connect-src https://search.example | script-src |",
                "script-src https:; connect-src * | |",
                "script-src *.example; connect-src http://search.example | |",
                "script-src https://search.example:8443 | script-src |",
                "script-src https://search.example:*; connect-src search.example | |",
                "script-src https://search.example/elements/; connect-src https://search.example/ | |",
                "script-src https://search.example/other/ | script-src |",
                "script-src 'none'; script-src * | script-src |",
                "SCRIPT-SRC HTTPS://SEARCH.EXAMPLE | |",
                "script-src 'nonce-abc' 'strict-dynamic' https://search.example | script-src |",
                "script-src-elem https://search.example; script-src 'none' | |",
                "script-src-elem 'none'; script-src https://search.example | script-src-elem |",
                "img-src 'none'; frame-ancestors 'none' | |",
                "no policy at all | |",
            })
    void aPolicyIsReadAsBrowsersReadIt(String written, @Nullable String ofScripts, @Nullable String ofAsking) {
        assertThat(policy(written).keepsFromLoading(new PageSeen.Script(SCRIPT, null)))
                .isEqualTo(ofScripts);
        assertThat(policy(written).keepsFromAsking(SERVICE)).isEqualTo(ofAsking);
    }

    @Test
    void aNonceOfThePolicyLetsItsScriptIn() {
        PageSeen.Script known = new PageSeen.Script(SCRIPT, "YWJj");
        assertThat(policy("script-src 'nonce-YWJj' 'strict-dynamic'").keepsFromLoading(known))
                .isNull();
        assertThat(policy("script-src 'nonce-b3RoZXI='").keepsFromLoading(known))
                .isEqualTo("script-src");
    }
}
