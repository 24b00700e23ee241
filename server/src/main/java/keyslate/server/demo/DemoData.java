package keyslate.server.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.judge.DecisionController;
import keyslate.server.judge.DecisionViews.Acceptance;
import keyslate.server.judge.DecisionViews.Judgement;
import keyslate.server.judge.DecisionViews.Reading;
import keyslate.server.negative.PictureFiles;
import keyslate.server.print.RunService;
import keyslate.server.print.RunViews.NewSheet;
import keyslate.server.slate.SlateRequests.NewSlate;
import keyslate.server.slate.SlateRequests.RecipeChange;
import keyslate.server.slate.SlateService;
import keyslate.server.slate.SlateViews.AreaView;
import keyslate.server.slate.SlateViews.PointView;
import keyslate.server.slate.SlateViews.ShapeView;
import keyslate.store.Database;
import keyslate.store.bench.StoresRepository;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Picture;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Burst;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/**
 * Kiln Yard, a made-up pottery and brickyard workshop that documents its last coal firing. Every demo sheet is produced by
 * the simulated darkroom from its recipe, through the same services that the stations call.
 */
@Component
class DemoData implements ApplicationRunner {
    private final Database database;
    private final StoresRepository stores;
    private final RollRepository rolls;
    private final SheetRepository sheets;
    private final SlateService slates;
    private final RunService runs;
    private final DecisionController decisions;
    private final Clock clock;
    private final boolean demo;

    DemoData(
            Database database,
            StoresRepository stores,
            RollRepository rolls,
            SheetRepository sheets,
            SlateService slates,
            RunService runs,
            DecisionController decisions,
            Clock clock,
            @Value("${keyslate.demo:false}") boolean demo) {
        this.database = database;
        this.stores = stores;
        this.rolls = rolls;
        this.sheets = sheets;
        this.slates = slates;
        this.runs = runs;
        this.decisions = decisions;
        this.clock = clock;
        this.demo = demo;
    }

    @Override
    public void run(ApplicationArguments args) {
        if (stores.enlargers().isEmpty()) {
            StarterStores.fill(database, stores, clock, demo);
        }
        if (demo && rolls.rolls().isEmpty()) {
            fill();
        }
    }

    private void fill() {
        String roll14 = roll("Roll 14, last firing", "Medium-speed film, 35 mm", 36, 24);
        String shelf =
                frame(roll14, "3", "Window shelf", "Thrown vases and bowls on the packing-room shelf.", "shelf", false);
        frame(roll14, "8", "Lamp at the wheel", "The throwing bench at dusk, one lamp lit.", "bench", false);
        String loft = frame(roll14, "22", "Drying loft", "Racks under the roof, one bright window.", "loft", true);
        frame(roll14, "23", "Thrower's hands", "Not scanned yet.", null, false);
        String roll15 = roll("Roll 15, yard and table", "Slow film, 6 × 6", 56, 56);
        String fog = frame(
                roll15, "4", "Yard in fog", "Chimney, tree and brick stacks, all within two stops.", "fog", false);
        String teapot =
                frame(roll15, "9", "Ash-glaze teapot", "Teapot and two bowls on a printed cloth.", "teapot", false);
        String sheetFilm = roll("Sheet film, 4 × 5", "Slow sheet film", 120, 95);
        String kiln = frame(sheetFilm, "1", "Bottle kiln", "The kiln and its shed under a bright sky.", "kiln", false);
        frame(sheetFilm, "2", "Glaze test board", "Twenty-four glazes over a grey row.", "testboard", false);

        slate(teapot, "Ash-glaze teapot", "Soft and quiet. The glaze must keep its grain.");
        fogStrip(fog);
        loftPrint(loft);
        shelfAccepted(shelf);
        kilnOnEasel(kiln);
    }

    private void fogStrip(String frameId) {
        Slate slate = slate(frameId, "Yard in fog", "Pale all over, nothing black. The chimney only just there.");
        expose(slate.id(), "STRIP");
    }

    private void loftPrint(String frameId) {
        Slate slate = slate(frameId, "Drying loft", "The window stays a window. Pots on both sides to be seen.");
        Sheet strip = expose(slate.id(), "STRIP");
        read(strip, 2.5, 0);
        Sheet print = expose(slate.id(), "PRINT");
        judge(print, 0, 0, "Window bare, left rack too heavy.");
        areas(
                slate.id(),
                area("window", "Window", ellipse(0.495, 0.472, 0.155, 0.11), 0.06, 1, "00", "card with a hole"),
                area("left-rack", "Left rack", ellipse(0.13, 0.52, 0.16, 0.2), 0.12, -0.5, null, "wand, 6 cm disc"));
    }

    private void shelfAccepted(String frameId) {
        Slate slate = slate(frameId, "Shelf by the window", "Porcelain must glow, basalt stay black.");
        Sheet strip = expose(slate.id(), "STRIP");
        read(strip, 2, 1);
        Sheet first = expose(slate.id(), "PRINT");
        judge(first, 1.0 / 6, 0, "A touch light in the tall vase.");
        Sheet second = expose(slate.id(), "PRINT");
        decisions.accept(second.id(), new Acceptance(version(slate.id()), "Dry, under the display lamp."));
    }

    private void kilnOnEasel(String frameId) {
        Slate slate = slate(frameId, "Kiln under cloud", "Sky heavy, brick warm, the door must stay open.");
        slates.edit(slate.id(), RecipeChange.ofAperture(version(slate.id()), 16));
        Sheet strip = expose(slate.id(), "STRIP");
        read(strip, 2, 1.5);
        Sheet print = expose(slate.id(), "PRINT");
        judge(print, 0, 0.5, "Brick right. Sky bare, door blocked.");
        areas(
                slate.id(),
                area("sky", "Sky", edge(0, 0.42, 1, 0.36), 0.22, 2.0 / 3, "00", "card edge"),
                area("door", "Kiln door", ellipse(0.556, 0.755, 0.062, 0.115), 0.05, -0.5, null, "wand, 4 cm disc"));
    }

    private Slate slate(String frameId, String title, String intent) {
        return slates.create(new NewSlate(frameId, title, intent));
    }

    private long version(String slateId) {
        return slates.find(slateId).version();
    }

    /** Exposes a sheet of a slate as its recipe stands, every burst given in full, and hangs it. */
    private Sheet expose(String slateId, String kind) {
        Sheet sheet = runs.begin(slateId, new NewSheet(version(slateId), kind));
        String now = Clocks.now(clock);
        database.inTransaction(() -> {
            for (Burst b : sheets.burstsOf(sheet.id())) {
                sheets.add(
                        new LampRecord(sheet.id(), b.place(), 1, b.setSeconds(), now, now, b.setSeconds(), "COMPLETE"));
            }
        });
        return runs.hang(sheet.id());
    }

    private void read(Sheet strip, double whitesAt, double blacksAt) {
        decisions.read(
                strip.id(), new Reading(version(strip.slateId()), whitesAt, blacksAt, "PROPOSED", null, null, null));
    }

    private void judge(Sheet print, double darker, double harder, String remark) {
        decisions.judge(
                print.id(), new Judgement(version(print.slateId()), darker, harder, "PROPOSED", null, null, remark));
    }

    private void areas(String slateId, AreaView... areas) {
        slates.edit(slateId, RecipeChange.ofAreas(version(slateId), List.of(areas)));
    }

    private static AreaView area(
            String key, String name, ShapeView shape, double soft, double stops, String filter, String tool) {
        return new AreaView(key, name, shape, soft, stops, filter, tool);
    }

    private static ShapeView ellipse(double x, double y, double rx, double ry) {
        return new ShapeView("ellipse", List.of(new PointView(x, y), new PointView(rx, ry)));
    }

    private static ShapeView edge(double x0, double y0, double x1, double y1) {
        return new ShapeView("edge", List.of(new PointView(x0, y0), new PointView(x1, y1)));
    }

    private String roll(String title, String film, double longMm, double shortMm) {
        String id = Ids.fresh();
        database.inTransaction(() -> rolls.add(new Roll(id, title, film, longMm, shortMm, Clocks.now(clock))));
        return id;
    }

    private String frame(String rollId, String number, String title, String caption, String scene, boolean upright) {
        String id = Ids.fresh();
        byte[] file = scene == null ? null : scene(scene);
        String pictureId = file == null ? null : Ids.fresh();
        database.inTransaction(() -> {
            if (file != null) {
                PictureFiles.Described found = PictureFiles.describe(file);
                rolls.add(
                        new Picture(pictureId, "image/png", Picture.LINEAR_16, found.widthPx(), found.heightPx()),
                        file);
            }
            rolls.add(new Frame(id, rollId, number, title, caption, upright, pictureId));
        });
        return id;
    }

    private static byte[] scene(String name) {
        try (InputStream in = DemoData.class.getResourceAsStream("/demo/" + name + ".png")) {
            return Objects.requireNonNull(in, name).readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
