package keyslate.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Bodies are JSON or a form with files; of any other type, or of none that there is, they are refused before anybody reads them. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class KnownTypesFilter extends OncePerRequestFilter {
    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (isType(request.getContentType())) {
            chain.doFilter(request, response);
        } else {
            LocalOnlyFilter.refuse(
                    response,
                    HttpServletResponse.SC_UNSUPPORTED_MEDIA_TYPE,
                    "unsupported-media-type",
                    "The type of what was sent is none that is known here.");
        }
    }

    private static boolean isType(@Nullable String type) {
        if (type == null) {
            return true;
        }
        try {
            MediaType known = MediaType.parseMediaType(type);
            return known.isConcrete()
                    && (known.isCompatibleWith(MediaType.APPLICATION_JSON)
                            || known.isCompatibleWith(MediaType.MULTIPART_FORM_DATA));
        } catch (InvalidMediaTypeException e) {
            return false;
        }
    }
}
