package tidylantern.server.traffic;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.channels.SocketChannel;
import org.apache.coyote.http11.Http11NioProtocol;
import org.apache.tomcat.util.net.NioEndpoint;
import tidylantern.server.platform.Clients;

/**
 * Tomcat's own protocol with a bound to the connections of one client, whatever it does or does not do with them: idle
 * ones, and those whose request never ends, would otherwise fill the number that all clients share.
 */
public final class BoundedHttpProtocol extends Http11NioProtocol {
    /** Many visitors may share an address, each with some connections. */
    static final int MOST_OF_ONE_CLIENT = 500;

    public BoundedHttpProtocol() {
        super(new Bounded());
    }

    private static final class Bounded extends NioEndpoint {
        /** Called for each connection that comes in; on false it is closed. */
        @Override
        protected boolean setSocketOptions(SocketChannel socket) {
            return fromOneClient(socket) < MOST_OF_ONE_CLIENT && super.setSocketOptions(socket);
        }

        private int fromOneClient(SocketChannel socket) {
            try {
                if (!(socket.getRemoteAddress() instanceof InetSocketAddress client)
                        || getConnections().size() < MOST_OF_ONE_CLIENT) {
                    return 0;
                }
                String address = Clients.of(client.getAddress().getHostAddress());
                return (int) getConnections().stream()
                        .filter(one -> address.equals(Clients.of(one.getRemoteAddr())))
                        .count();
            } catch (IOException closed) {
                return MOST_OF_ONE_CLIENT;
            }
        }
    }
}
