package keyslate.server.transfer;

import java.io.InputStream;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.web.LimitedStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Slates out and in, as streams. */
@RestController
class TransferController {
    /** Most bytes of a slate file. */
    static final long MOST_BYTES = 1L << 30;

    private final SlateExporter exporter;
    private final SlateImporter importer;

    TransferController(SlateExporter exporter, SlateImporter importer) {
        this.exporter = exporter;
        this.importer = importer;
    }

    /** A slate with all its sheets, pictures and decisions as one file. */
    @GetMapping(path = "/api/slates/{id}/export", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<StreamingResponseBody> export(@PathVariable String id) {
        SlateFile file = exporter.export(id);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(SlateExporter.nameOf(file))
                                .build()
                                .toString())
                .body(out -> exporter.write(file, out));
    }

    /** Takes a slate file in, of this version or an older one. */
    @PostMapping(path = "/api/imports", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    SlateView take(InputStream file) {
        return importer.take(new LimitedStream(file, MOST_BYTES));
    }

    /** The JSON Schema of slate files of a version. */
    @GetMapping(path = "/api/schemas/slate-{version:[12]}", produces = "application/schema+json")
    byte[] schema(@PathVariable int version) {
        return FileReader.schema(version);
    }
}
