package keyslate.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
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
            + " img-src 'self' data: blob:; font-src 'self'; connect-src 'self' %s; manifest-src 'self'; base-uri 'none';"
            + " form-action 'none'; frame-ancestors 'none'";

    /** The readable reference of the API is another package's page: it may style itself and read this server, and nothing else. */
    static final String REFERENCE = "/api/reference";

    private static final String REFERENCE_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'"
            + " 'unsafe-inline'; img-src 'self' data:; font-src 'self' data:; connect-src 'self'; base-uri 'none';"
            + " form-action 'none'; frame-ancestors 'none'";

    private final LampPath lamp;

    LocalOnlyFilter(LampPath lamp) {
        this.lamp = lamp;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean local = isLocal(request);
        response.setHeader(
                "Content-Security-Policy",
                REFERENCE.equals(request.getRequestURI())
                        ? REFERENCE_POLICY
                        : POLICY.formatted(local ? "http://" + name(request) + ":" + lamp.port() : ""));
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("X-Frame-Options", "DENY");
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
        response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
        response.setHeader("Permissions-Policy", "camera=(), microphone=(), geolocation=(), payment=(), usb=()");
        if (!local) {
            refuse(
                    response,
                    HttpServletResponse.SC_FORBIDDEN,
                    "foreign",
                    "Key Slate answers only its own page on this machine.");
        } else if (!lamp.took(request)) {
            chain.doFilter(request, response);
        } else if (!LampPath.isFor(request)) {
            refuse(
                    response,
                    HttpServletResponse.SC_NOT_FOUND,
                    "not-found",
                    "This port takes what a run asks, and nothing else.");
        } else {
            allowPage(request, response);
            if ("OPTIONS".equals(request.getMethod())) {
                response.setStatus(HttpServletResponse.SC_NO_CONTENT);
            } else {
                chain.doFilter(request, response);
            }
        }
    }

    static void refuse(HttpServletResponse response, int status, String code, String detail) throws IOException {
        response.setStatus(status);
        response.setContentType("application/problem+json");
        response.getWriter()
                .write("{\"title\":\"Refused\",\"status\":%d,\"code\":\"%s\",\"detail\":\"%s\"}"
                        .formatted(status, code, detail));
    }

    /** Another port is another origin to a browser: it asks whether the page may. */
    private static void allowPage(HttpServletRequest request, HttpServletResponse response) {
        String origin = request.getHeader("Origin");
        if (origin != null) {
            response.setHeader("Access-Control-Allow-Origin", origin);
            response.setHeader("Access-Control-Allow-Methods", "GET, POST");
            response.setHeader("Access-Control-Allow-Headers", "Content-Type");
            response.setHeader("Access-Control-Max-Age", "600");
            response.setHeader("Vary", "Origin");
        }
    }

    private static String name(HttpServletRequest request) {
        return String.valueOf(request.getHeader("Host")).replaceFirst(":\\d+$", "");
    }

    private boolean isLocal(HttpServletRequest request) {
        if (!LOCAL.contains(name(request))) {
            return false;
        }
        // The page stands at the first port; to the browser the lamp's is another origin of the same site.
        boolean fromPage = lamp.took(request);
        String site = request.getHeader("Sec-Fetch-Site");
        if ("cross-site".equals(site) || "same-site".equals(site) && !fromPage) {
            return false;
        }
        String origin = request.getHeader("Origin");
        String own =
                fromPage ? "http://" + name(request) + ":" + lamp.pagePort() : "http://" + request.getHeader("Host");
        return origin == null || origin.equals(own);
    }
}
