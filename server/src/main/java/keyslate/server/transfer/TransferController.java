package keyslate.server.transfer;

import keyslate.server.slate.SlateAssembler;
import keyslate.server.slate.SlateViews.SlateView;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Slates out and in. */
@RestController
class TransferController {
    private final TransferService transfer;
    private final SlateAssembler assembler;
    private final JsonMapper json;

    TransferController(TransferService transfer, SlateAssembler assembler, JsonMapper json) {
        this.transfer = transfer;
        this.assembler = assembler;
        this.json = json;
    }

    @GetMapping(path = "/api/slates/{id}/export", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> export(@PathVariable String id) {
        SlateFile file = transfer.export(id);
        String title = file.recipes().get(file.recipes().size() - 1).title();
        String name = title.toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z0-9]+", "-") + ".slate.json";
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(json.writerWithDefaultPrettyPrinter().writeValueAsBytes(file));
    }

    @PostMapping(path = "/api/imports", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    SlateView take(@RequestBody byte[] file) {
        return assembler.view(transfer.take(file));
    }

    @GetMapping(path = "/api/schemas/slate-1", produces = "application/schema+json")
    byte[] schema() {
        return TransferService.schema();
    }
}
