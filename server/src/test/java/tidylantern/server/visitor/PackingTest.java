package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who takes an answer packed, by the header Accept-Encoding (RFC 9110, 12.5.3). */
class PackingTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "gzip | true",
                "gzip, deflate, br, zstd | true",
                "br;q=1.0, gzip;q=0.8 | true",
                "br, gzip;q=0 | false",
                "identity | false",
                "x-gzipped | false",
                ";;;=, | false",
            })
    void gzipIsGivenToWhoNamesIt(String header, boolean wanted) {
        assertThat(Packing.isWanted(header)).isEqualTo(wanted);
    }

    @Test
    void whoSaysNothingGetsNothingPacked() {
        assertThat(Packing.isWanted(null)).isFalse();
        assertThat(Packing.isWanted("")).isFalse();
    }
}
