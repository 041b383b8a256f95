package tidylantern.server.source.reading;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.apache.hc.client5.http.DnsResolver;

/**
 * Looks up hosts for the fetcher, and refuses addresses of the machine itself and of private networks, so that nobody
 * can look through this service at what stands behind it. The look-up is the one that the connection then uses, so a
 * name that answers differently a moment later gains nothing. Special addresses: RFC 6890 and the registries it sets
 * up.
 */
final class PublicHosts implements DnsResolver {
    private final List<String> allowed;

    /**
     * @param allowed hosts that the operator allows though they are private: {@code localhost} or
     *     {@code localhost:8090}
     */
    PublicHosts(List<String> allowed) {
        this.allowed = allowed.stream()
                .map(host -> host.strip().toLowerCase(Locale.ROOT))
                .filter(host -> !host.isEmpty())
                .toList();
    }

    /** The address is not one that may be asked. */
    static final class Refused extends UnknownHostException {
        Refused(String host) {
            super(
                    "\"%s\" is this machine or stands in a private network. The operator can allow it with the setting tidy-lantern.allowed-hosts."
                            .formatted(host));
        }
    }

    boolean allowed(String host, int port) {
        String name = host.toLowerCase(Locale.ROOT);
        return allowed.contains(name) || allowed.contains(name + ":" + port);
    }

    @Override
    public InetAddress[] resolve(String host) throws UnknownHostException {
        InetAddress[] addresses = InetAddress.getAllByName(host);
        String name = host.toLowerCase(Locale.ROOT);
        boolean trusted = allowed.stream().anyMatch(one -> one.equals(name) || one.startsWith(name + ":"));
        if (!trusted && Arrays.stream(addresses).anyMatch(PublicHosts::special)) {
            throw new Refused(host);
        }
        return addresses;
    }

    @Override
    public String resolveCanonicalHostname(String host) {
        return host;
    }

    static boolean special(InetAddress address) {
        byte[] bytes = address.getAddress();
        if (address.isLoopbackAddress()
                || address.isAnyLocalAddress()
                || address.isLinkLocalAddress()
                || address.isSiteLocalAddress()
                || address.isMulticastAddress()) {
            return true;
        }
        int first = bytes[0] & 0xff;
        int second = bytes[1] & 0xff;
        if (bytes.length == 4) {
            return first == 0
                    || first >= 240
                    || (first == 100 && second >= 64 && second < 128)
                    || (first == 192 && second == 0 && (bytes[2] == 0 || bytes[2] == 2))
                    || (first == 198 && (second == 18 || second == 19 || (second == 51 && bytes[2] == 100)))
                    || (first == 203 && second == 0 && bytes[2] == 113);
        }
        // Unique local fc00::/7, documentation 2001:db8::/32, and IPv4 carried in IPv6 (64:ff9b::/96, 2002::/16).
        return (first & 0xfe) == 0xfc
                || (first == 0x20 && second == 0x01 && bytes[2] == 0x0d && (bytes[3] & 0xff) == 0xb8)
                || (first == 0x00 && second == 0x64)
                || (first == 0x20 && second == 0x02);
    }
}
