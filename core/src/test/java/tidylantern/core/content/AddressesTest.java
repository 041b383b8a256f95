package tidylantern.core.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How addresses and keys are compared and written. */
class AddressesTest {
    /** RFC 6454, 4 and 6.2. */
    @ParameterizedTest
    @CsvSource({
        "https://isles.example/find?q=a, https://isles.example",
        "HTTPS://Isles.Example, https://isles.example",
        "https://isles.example:443/, https://isles.example",
        "http://isles.example:80/, http://isles.example",
        "https://isles.example:80/, https://isles.example:80",
        "http://localhost:8190/, http://localhost:8190",
    })
    void anOriginIsWrittenAsBrowsersSendIt(String address, String origin) {
        assertThat(Addresses.origin(URI.create(address))).isEqualTo(origin);
    }

    @ParameterizedTest
    @CsvSource({"bookingCode, booking-code", "booking_code, booking-code", "Trade, trade", "Size_, size", "x2Y, x2-y"})
    void aFieldsKeyIsWrittenWithHyphens(String key, String written) {
        assertThat(new FieldKey(key).hyphenated()).isEqualTo(written);
    }
}
