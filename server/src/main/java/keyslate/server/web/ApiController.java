package keyslate.server.web;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The description of this API, as it was generated and committed. */
@RestController
class ApiController {
    /** This description. */
    @GetMapping(path = "/api/openapi.json", produces = MediaType.APPLICATION_JSON_VALUE)
    Resource description() {
        return new ClassPathResource("openapi.json");
    }

    /** This description as a page to read. */
    @GetMapping(path = LocalOnlyFilter.REFERENCE, produces = MediaType.TEXT_HTML_VALUE)
    Resource reference() {
        return new ClassPathResource("static/reference/index.html");
    }
}
