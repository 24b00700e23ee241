package keyslate.server.print;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import keyslate.server.print.RunViews.Abandon;
import keyslate.server.print.RunViews.LampRequest;
import keyslate.server.print.RunViews.NewEvent;
import keyslate.server.print.RunViews.NewSheet;
import keyslate.server.print.RunViews.RunView;
import keyslate.server.slate.SlateAssembler;
import keyslate.server.slate.SlateViews.KeptRecipeView;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.web.TemporaryFiles;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Sheets under the lamp and after it. */
@RestController
class RunController {
    private final RunService runs;
    private final RunAssembler sheets;
    private final LampService lamp;
    private final SlateAssembler assembler;
    private final ScanService scans;
    private final TemporaryFiles temporary;

    RunController(
            RunService runs,
            RunAssembler sheets,
            LampService lamp,
            SlateAssembler assembler,
            ScanService scans,
            TemporaryFiles temporary) {
        this.runs = runs;
        this.scans = scans;
        this.temporary = temporary;
        this.sheets = sheets;
        this.lamp = lamp;
        this.assembler = assembler;
    }

    /** Takes a piece of paper: its script and all it rests on are frozen. */
    @PostMapping("/api/slates/{id}/sheets")
    ResponseEntity<RunView> begin(@PathVariable String id, @RequestBody NewSheet asked) {
        RunView run = runs.begin(id, asked);
        return ResponseEntity.created(URI.create("/api/sheets/" + run.sheetId() + "/run"))
                .body(run);
    }

    /** Where a sheet under the lamp stands. */
    @GetMapping("/api/sheets/{id}/run")
    RunView run(@PathVariable String id) {
        return runs.view(id);
    }

    /** The recipe as it stood when the sheet was exposed. */
    @GetMapping("/api/sheets/{id}/recipe")
    KeptRecipeView recipe(@PathVariable String id) {
        return assembler.kept(sheets.find(id));
    }

    /** Lamp on for a step, or off; or the word of the printer that his own lamp was. */
    @PostMapping("/api/sheets/{id}/lamp")
    RunView lamp(@PathVariable String id, @RequestBody LampRequest asked) {
        return lamp.set(id, asked);
    }

    /** What happened to a sheet after its light. */
    @PostMapping("/api/sheets/{id}/events")
    RunView happened(@PathVariable String id, @RequestBody NewEvent asked) {
        return runs.happened(id, asked.kind());
    }

    /** Processes a sheet whose light is given, and hangs it. */
    @PostMapping("/api/sheets/{id}/hang")
    SlateView hang(@PathVariable String id) {
        return runs.hang(id);
    }

    /** A picture of a hung sheet, from a scanner or a phone, with the corners of the paper in it. */
    @PostMapping(path = "/api/sheets/{id}/scans", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    SlateView handIn(
            @PathVariable String id,
            @RequestPart MultipartFile file,
            @RequestParam(required = false) @Nullable List<Double> corners)
            throws IOException {
        Path kept = temporary.of(file);
        try {
            return scans.hand(id, kept, corners);
        } finally {
            Files.deleteIfExists(kept);
        }
    }

    /** Gives a sheet up; what it got stays on record. */
    @PostMapping("/api/sheets/{id}/abandon")
    SlateView abandon(@PathVariable String id, @RequestBody Abandon asked) {
        return runs.abandon(id, asked.reason());
    }
}
