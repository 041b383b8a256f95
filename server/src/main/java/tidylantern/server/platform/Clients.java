package tidylantern.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.HexFormat;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Who asks, as far as fairness goes: an address, or the network of 64 bits that one customer has in IPv6 (RFC 6177).
 */
public final class Clients {
    private static final int BYTES_OF_NETWORK = 8;
    private static final String NOBODY = "";

    private Clients() {}

    /** Of the request that this thread works on; an empty text where it works on none. */
    public static String current() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                ? of(request.getRequest())
                : NOBODY;
    }

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
