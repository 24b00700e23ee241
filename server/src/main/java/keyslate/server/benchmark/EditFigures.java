package keyslate.server.benchmark;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.Map;
import keyslate.server.print.RunService;
import keyslate.server.print.RunViews.NewSheet;
import keyslate.server.slate.SlateService;
import keyslate.server.slate.SlateViews.NewSlate;
import keyslate.store.Database;
import keyslate.store.negative.Frame;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.SheetRepository;
import org.springframework.context.ApplicationContext;
import tools.jackson.databind.json.JsonMapper;

/** How long an edit takes on a slate with as many sheets as a hard negative costs. */
final class EditFigures {
    private static final int SHEETS = 40;
    private static final String ANY_TIME = "2026-01-01T12:00:00Z";

    private final HttpClient http = HttpClient.newHttpClient();
    private final ApplicationContext context;
    private final String base;
    private long version;

    EditFigures(ApplicationContext context, String base) {
        this.context = context;
        this.base = base;
    }

    void add(Map<String, Double> figures) throws IOException, InterruptedException {
        String slate = context.getBean(Database.class).inTransaction(this::slateOfManySheets);
        version = context.getBean(SlateService.class).find(slate).version();
        for (int i = 0; i < RequestFigures.WARM_UP; i++) {
            edit(slate);
        }
        RequestFigures.best("editOf40Sheets", figures, () -> edit(slate));
    }

    private String slateOfManySheets() {
        RollRepository rolls = context.getBean(RollRepository.class);
        Frame frame = rolls.framesOf(rolls.first(false, 1).get(0).id()).get(0);
        SlateService slates = context.getBean(SlateService.class);
        RunService runs = context.getBean(RunService.class);
        SheetRepository sheets = context.getBean(SheetRepository.class);
        String slate =
                slates.create(new NewSlate(frame.id(), null, "Many sheets", "")).id();
        for (int i = 0; i < SHEETS; i++) {
            String sheet = runs.begin(slate, new NewSheet(slates.find(slate).version(), i % 2 == 0 ? "STRIP" : "PRINT"))
                    .sheetId();
            sheets.exposed(sheet)
                    .orElseThrow()
                    .steps()
                    .forEach(step -> sheets.add(new LampRecord(
                            sheet,
                            step.place(),
                            1,
                            step.totalSetSeconds(),
                            ANY_TIME,
                            ANY_TIME,
                            step.totalSetSeconds(),
                            LampRecord.COMPLETE,
                            false)));
            runs.hang(sheet);
        }
        return slate;
    }

    private void edit(String slate) throws IOException, InterruptedException {
        int borderMm = 8 + (int) (version % 2);
        String body = JsonMapper.shared()
                .writeValueAsString(Map.of("version", version, "setup", Map.of("borderMm", borderMm)));
        HttpResponse<String> answer = http.send(
                HttpRequest.newBuilder(URI.create(base + "/api/slates/" + slate + "/recipe"))
                        .header("Content-Type", "application/json")
                        .method("PATCH", BodyPublishers.ofString(body))
                        .build(),
                BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IOException("an edit answered " + answer.statusCode() + ": " + answer.body());
        }
        version = JsonMapper.shared().readTree(answer.body()).get("version").asLong();
    }
}
