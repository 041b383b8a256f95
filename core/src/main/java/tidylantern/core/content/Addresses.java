package tidylantern.core.content;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * Which addresses content may bring: http, https, or one relative to the site. Anything else ({@code javascript:},
 * {@code data:}) could run in a visitor's page, so it never becomes a value.
 */
public final class Addresses {
    /** What {@link URI} refuses and browsers write in another way. */
    private static final Pattern BEYOND_ASCII = Pattern.compile("[^\\x21-\\x7e]");

    private Addresses() {}

    /** @throws IllegalArgumentException if the address is not one that a visitor may be sent to */
    static void require(String address) {
        Require.require(
                safe(address),
                "\"%s\" is no web address; write one that starts with https://, http:// or /",
                shortened(address));
    }

    public static boolean safe(String address) {
        if (address.isBlank() || address.length() > 2_000 || address.chars().anyMatch(c -> c <= ' ' || c == '\\')) {
            return false;
        }
        try {
            URI uri = new URI(BEYOND_ASCII.matcher(address).replaceAll("x"));
            String scheme = uri.getScheme();
            if (uri.getRawAuthority() != null && uri.getRawAuthority().endsWith(":")) {
                // https://http://… is an address that somebody put behind the beginning of another.
                return false;
            }
            return scheme == null
                    || ((scheme.equalsIgnoreCase("http") || scheme.equalsIgnoreCase("https"))
                            && uri.getRawAuthority() != null);
        } catch (URISyntaxException notAnAddress) {
            return false;
        }
    }

    /**
     * Scheme, host and port of a web address, as browsers compare and send them (RFC 6454, 6.2): in small letters,
     * without the port that is the scheme's own.
     */
    public static String origin(URI address) {
        String scheme = String.valueOf(address.getScheme()).toLowerCase(Locale.ROOT);
        String host = String.valueOf(address.getHost()).toLowerCase(Locale.ROOT);
        boolean isUsual = address.getPort() < 0 || address.getPort() == (scheme.equals("https") ? 443 : 80);
        return scheme + "://" + host + (isUsual ? "" : ":" + address.getPort());
    }

    private static String shortened(String text) {
        return text.length() <= 80 ? text : text.substring(0, 80) + "…";
    }
}
