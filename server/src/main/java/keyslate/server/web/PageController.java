package keyslate.server.web;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The one page, for every address that a station has. Addresses with a dot or under api/ are files or calls. */
@Controller
class PageController {
    @GetMapping({
        "/",
        "/{first:(?!api$)[^.]*}",
        "/{first:(?!api$)[^.]*}/{second:[^.]*}",
        "/{first:(?!api$)[^.]*}/{second:[^.]*}/{third:[^.]*}",
        "/{first:(?!api$)[^.]*}/{second:[^.]*}/{third:[^.]*}/{fourth:[^.]*}",
        "/{first:(?!api$)[^.]*}/{second:[^.]*}/{third:[^.]*}/{fourth:[^.]*}/{fifth:[^.]*}"
    })
    ResponseEntity<Resource> page() {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache())
                .contentType(MediaType.TEXT_HTML)
                .body(new ClassPathResource("static/index.html"));
    }
}
