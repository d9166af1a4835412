package app.etlo.server.edge;

import java.util.Arrays;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Who is believed about where a request comes from: the connection, and the proxies that are named by address. */
@Configuration
class EdgeConfig {
    /**
     * @param proxies addresses, separated by commas; only what these hand on counts, and only the part of it they added
     * @param forwarded the setting of earlier versions, which believed every private address
     */
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> edge(
            @Value("${etlo.proxy}") String proxies, @Value("${etlo.forwarded}") String forwarded) {
        if (proxies.isBlank() && !forwarded.isBlank() && !forwarded.equals("none")) {
            throw new IllegalStateException(
                    "ETLO_FORWARDED is no longer read. Name the proxy instead: ETLO_PROXY=127.0.0.1");
        }
        return factory -> {
            // first, so that it sees the connection as it is
            factory.addEngineValves(new EdgeValve());
            if (!proxies.isBlank()) {
                factory.addEngineValves(believing(proxies));
            }
        };
    }

    private static RemoteIpValve believing(String proxies) {
        RemoteIpValve valve = new RemoteIpValve();
        valve.setInternalProxies(Arrays.stream(proxies.split(","))
                .map(String::strip)
                .map(Pattern::quote)
                .collect(Collectors.joining("|")));
        valve.setRemoteIpHeader("X-Forwarded-For");
        valve.setProtocolHeader("X-Forwarded-Proto");
        return valve;
    }
}
