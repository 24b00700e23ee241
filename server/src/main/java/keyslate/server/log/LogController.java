package keyslate.server.log;

import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** The log, for whoever helps. */
@RestController
class LogController {
    private final LogFile log;

    LogController(LogFile log) {
        this.log = log;
    }

    /** The log of the program: what went wrong and where, without a word or a picture of the records. */
    @GetMapping(path = "/api/log", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<StreamingResponseBody> log() {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(LogFile.NAME)
                                .build()
                                .toString())
                .body(log::copy);
    }
}
