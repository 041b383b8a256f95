package tidylantern.server.traffic;

import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;
import tidylantern.server.platform.Settings;

/** Puts the bounds for connections and requests into the web server. */
@Component
class TomcatBounds implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private final Settings settings;

    TomcatBounds(Settings settings) {
        this.settings = settings;
    }

    /** From these alone is it believed who asks and how; whoever else says so is a stranger with a header. */
    private RemoteIpValve fromProxies() {
        RemoteIpValve proxies = new RemoteIpValve();
        proxies.setInternalProxies(
                settings.proxies().stream().map(Pattern::quote).collect(Collectors.joining("|")));
        proxies.setRemoteIpHeader("X-Forwarded-For");
        proxies.setProtocolHeader("X-Forwarded-Proto");
        return proxies;
    }

    @Override
    public void customize(TomcatServletWebServerFactory server) {
        server.setProtocol(BoundedHttpProtocol.class.getName());
        if (!settings.proxies().isEmpty()) {
            server.addEngineValves(fromProxies());
        }
        server.addEngineValves(new ServiceValve());
    }
}
