package keyslate.server.print;

import java.net.URI;
import keyslate.server.print.RunViews.Abandon;
import keyslate.server.print.RunViews.LampRequest;
import keyslate.server.print.RunViews.NewEvent;
import keyslate.server.print.RunViews.NewSheet;
import keyslate.server.print.RunViews.RunView;
import keyslate.server.slate.SlateAssembler;
import keyslate.server.slate.SlateViews.KeptRecipeView;
import keyslate.server.slate.SlateViews.SlateView;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Sheets under the lamp and after it. */
@RestController
class RunController {
    private final RunService runs;
    private final RunAssembler sheets;
    private final LampService lamp;
    private final SlateAssembler assembler;

    RunController(RunService runs, RunAssembler sheets, LampService lamp, SlateAssembler assembler) {
        this.runs = runs;
        this.sheets = sheets;
        this.lamp = lamp;
        this.assembler = assembler;
    }

    @PostMapping("/api/slates/{id}/sheets")
    ResponseEntity<RunView> begin(@PathVariable String id, @RequestBody NewSheet asked) {
        RunView run = runs.begin(id, asked);
        return ResponseEntity.created(URI.create("/api/sheets/" + run.sheetId() + "/run"))
                .body(run);
    }

    @GetMapping("/api/sheets/{id}/run")
    RunView run(@PathVariable String id) {
        return runs.view(id);
    }

    /** The recipe as it stood when the sheet was exposed. */
    @GetMapping("/api/sheets/{id}/recipe")
    KeptRecipeView recipe(@PathVariable String id) {
        return assembler.kept(sheets.find(id));
    }

    @PostMapping("/api/sheets/{id}/lamp")
    RunView lamp(@PathVariable String id, @RequestBody LampRequest asked) {
        return lamp.set(id, asked);
    }

    @PostMapping("/api/sheets/{id}/events")
    RunView happened(@PathVariable String id, @RequestBody NewEvent asked) {
        return runs.happened(id, asked.kind());
    }

    @PostMapping("/api/sheets/{id}/hang")
    SlateView hang(@PathVariable String id) {
        return runs.hang(id);
    }

    @PostMapping("/api/sheets/{id}/abandon")
    SlateView abandon(@PathVariable String id, @RequestBody Abandon asked) {
        return runs.abandon(id, asked.reason());
    }
}
