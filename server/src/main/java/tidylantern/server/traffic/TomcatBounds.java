package tidylantern.server.traffic;

import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** Puts the bounds for connections and requests into the web server. */
@Component
class TomcatBounds implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    @Override
    public void customize(TomcatServletWebServerFactory server) {
        server.setProtocol(BoundedHttpProtocol.class.getName());
        server.addEngineValves(new ServiceValve());
    }
}
