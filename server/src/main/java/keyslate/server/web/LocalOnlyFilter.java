package keyslate.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Only this machine's own page may talk to the application. The socket already listens on the loopback address alone;
 * checking Host defeats names that are made to point here, checking Origin defeats pages of other sites.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class LocalOnlyFilter extends OncePerRequestFilter {
    private static final Set<String> LOCAL = Set.of("localhost", "127.0.0.1", "[::1]");
    private static final String POLICY = "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline';"
            + " img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; manifest-src 'self'; base-uri 'none';"
            + " form-action 'none'; frame-ancestors 'none'";

    /** The readable reference of the API is another package's page: it may style itself and read this server, and nothing else. */
    static final String REFERENCE = "/api/reference";

    private static final String REFERENCE_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'"
            + " 'unsafe-inline'; img-src 'self' data:; font-src 'self' data:; connect-src 'self'; base-uri 'none';"
            + " form-action 'none'; frame-ancestors 'none'";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader(
                "Content-Security-Policy", REFERENCE.equals(request.getRequestURI()) ? REFERENCE_POLICY : POLICY);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("X-Frame-Options", "DENY");
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
        response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
        response.setHeader("Permissions-Policy", "camera=(), microphone=(), geolocation=(), payment=(), usb=()");
        if (isLocal(request)) {
            chain.doFilter(request, response);
        } else {
            response.setStatus(HttpServletResponse.SC_FORBIDDEN);
            response.setContentType("application/problem+json");
            response.getWriter()
                    .write("{\"title\":\"Refused\",\"status\":403,\"code\":\"foreign\","
                            + "\"detail\":\"Key Slate answers only its own page on this machine.\"}");
        }
    }

    private static boolean isLocal(HttpServletRequest request) {
        String host = request.getHeader("Host");
        if (host == null || !LOCAL.contains(host.replaceFirst(":\\d+$", ""))) {
            return false;
        }
        String site = request.getHeader("Sec-Fetch-Site");
        if ("cross-site".equals(site) || "same-site".equals(site)) {
            return false;
        }
        String origin = request.getHeader("Origin");
        return origin == null || origin.equals("http://" + host) && isPlain(origin);
    }

    private static boolean isPlain(String origin) {
        try {
            return LOCAL.contains(URI.create(origin).getHost());
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
