package keyslate.server.web;

import jakarta.servlet.http.HttpServletRequest;
import java.util.regex.Pattern;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.http11.AbstractHttp11Protocol;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * The lamp's path of its own: a second port of this machine with a few threads and short limits, which takes nothing but what
 * a run asks. Pictures, half-sent requests and open connections at the first port cannot make a lit lamp wait, and neither can
 * the browser, which keeps few connections to a port.
 */
@Component
public class LampPath implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private static final Pattern OF_A_RUN = Pattern.compile("/api/sheets/[^/]+/(lamp|run|events|abandon)");
    private static final int THREADS = 8;
    private static final int CONNECTIONS = 64;
    /** Whoever sends slower than this is no page of ours. */
    private static final int PATIENCE_MS = 1000;
    /** A page asks again within this. */
    private static final int IDLE_MS = 20_000;

    private static final int LONGEST_BODY = 4096;

    private final String address;
    private @Nullable Connector connector;
    private volatile int pagePort = -1;

    LampPath(@Value("${server.address}") String address) {
        this.address = address;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        Connector lamp = new Connector(TomcatServletWebServerFactory.DEFAULT_PROTOCOL);
        lamp.setPort(0);
        lamp.setProperty("address", address);
        if (lamp.getProtocolHandler() instanceof AbstractHttp11Protocol<?> protocol) {
            protocol.setMaxThreads(THREADS);
            protocol.setMinSpareThreads(1);
            protocol.setMaxConnections(CONNECTIONS);
            protocol.setConnectionTimeout(PATIENCE_MS);
            protocol.setConnectionUploadTimeout(PATIENCE_MS);
            protocol.setDisableUploadTimeout(false);
            protocol.setKeepAliveTimeout(IDLE_MS);
            protocol.setMaxSwallowSize(LONGEST_BODY);
        }
        factory.addAdditionalConnectors(lamp);
        connector = lamp;
    }

    @EventListener
    void opened(WebServerInitializedEvent event) {
        pagePort = event.getWebServer().getPort();
    }

    /** The port of the page, once the application is open. */
    int pagePort() {
        return pagePort;
    }

    /** The port, once the application is open. */
    public int port() {
        return connector == null ? -1 : connector.getLocalPort();
    }

    /** Whether a request came in at it. */
    boolean took(HttpServletRequest request) {
        return request.getLocalPort() == port();
    }

    /** Whether it is what a run asks, and short. */
    static boolean isFor(HttpServletRequest request) {
        boolean sends = !"GET".equals(request.getMethod()) && !"OPTIONS".equals(request.getMethod());
        long length = request.getContentLengthLong();
        return OF_A_RUN.matcher(request.getRequestURI()).matches() && (!sends || length >= 0 && length <= LONGEST_BODY);
    }
}
