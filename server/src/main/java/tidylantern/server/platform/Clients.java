package tidylantern.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.HexFormat;

/**
 * Who asks, as far as fairness goes: an address, or the network of 64 bits that one customer has in IPv6 (RFC 6177).
 */
public final class Clients {
    private static final int BYTES_OF_NETWORK = 8;

    private Clients() {}

    public static String of(HttpServletRequest request) {
        return of(request.getRemoteAddr());
    }

    /** @param address as the web server tells it, which is never a name */
    public static String of(String address) {
        if (address.indexOf(':') < 0) {
            return address;
        }
        try {
            return InetAddress.getByName(address) instanceof Inet6Address v6
                    ? HexFormat.of().formatHex(Arrays.copyOf(v6.getAddress(), BYTES_OF_NETWORK))
                    : address;
        } catch (UnknownHostException noAddress) {
            return address;
        }
    }
}
