package keyslate.server.demo;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import keyslate.core.colour.Hue;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.decide.DecisionService;
import keyslate.server.decide.DecisionViews.Acceptance;
import keyslate.server.decide.DecisionViews.Answer;
import keyslate.server.decide.DecisionViews.Cast;
import keyslate.server.decide.DecisionViews.CastWay;
import keyslate.server.decide.DecisionViews.ColourJudgement;
import keyslate.server.decide.DecisionViews.ColourLook;
import keyslate.server.decide.DecisionViews.Filter;
import keyslate.server.decide.DecisionViews.Judgement;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.Reading;
import keyslate.server.decide.DecisionViews.Taking;
import keyslate.server.decide.DecisionViews.Wishes;
import keyslate.server.local.LocalViews.AreaView;
import keyslate.server.negative.Negatives;
import keyslate.server.recipe.RecipeChange;
import keyslate.server.recipe.RecipeChange.LocalEdit;
import keyslate.server.recipe.RecipeChange.NamingChange;
import keyslate.server.recipe.RecipeChange.SetupChange;
import keyslate.server.slate.SlateService;
import keyslate.server.slate.SlateViews.NewSlate;
import keyslate.store.Database;
import keyslate.store.bench.StoresRepository;
import keyslate.store.json.StoredShape;
import keyslate.store.json.StoredShape.StoredPoint;
import keyslate.store.json.StoredTone;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Picture;
import keyslate.store.negative.PictureRepository;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.SheetRepository;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Kiln Yard, a made-up pottery and brickyard workshop that documents its last coal firing. Every demo sheet is produced by
 * the simulated darkroom from its recipe, through the same use cases that the stations call. What is missing after a start that
 * was killed is made at the next; what was deleted later is not.
 */
@Component
class DemoData implements SmartLifecycle {
    private static final String MONOCHROME = "MONOCHROME";
    private static final String COLOUR = "COLOUR";
    private static final String STRIP = "STRIP";
    private static final String PRINT = "PRINT";

    private final Database database;
    private final StoresRepository stores;
    private final RollRepository rolls;
    private final PictureRepository pictures;
    private final SheetRepository sheets;
    private final SlateService slates;
    private final FullLight light;
    private final DecisionService decisions;
    private final Negatives negatives;
    private final Clock clock;
    private final boolean demo;
    private final boolean practice;
    private boolean running;
    private boolean made;

    DemoData(
            Database database,
            StoresRepository stores,
            RollRepository rolls,
            PictureRepository pictures,
            SheetRepository sheets,
            SlateService slates,
            FullLight light,
            DecisionService decisions,
            Negatives negatives,
            Clock clock,
            @Value("${keyslate.demo:false}") boolean demo,
            @Value("${keyslate.practice:false}") boolean practice) {
        this.database = database;
        this.stores = stores;
        this.rolls = rolls;
        this.pictures = pictures;
        this.sheets = sheets;
        this.slates = slates;
        this.light = light;
        this.decisions = decisions;
        this.negatives = negatives;
        this.clock = clock;
        this.demo = demo;
        this.practice = practice;
    }

    /** Before the address answers: whoever sees the practice darkroom sees all of it. */
    @Override
    public int getPhase() {
        return 0;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    @Override
    public void stop() {
        running = false;
    }

    @Override
    public void start() {
        running = true;
        if (practice && stores.enlargers().isEmpty()) {
            database.inTransaction(() -> PracticeStores.fill(stores, clock));
        }
        if (demo && !database.hasDemo()) {
            fill();
            database.markDemo();
        }
    }

    /** Rolls in one transaction; each slate whole in one, so that a start that is killed leaves none in pieces. */
    private void fill() {
        if (rolls.first(false, 1).isEmpty()) {
            database.inTransaction(this::rolls);
        }
        slate("Window shelf", "Shelf by the window", "Porcelain must glow, basalt stay black.", this::shelf);
        slate("Ash-glaze teapot", "Ash-glaze teapot", "Soft and quiet. The glaze must keep its grain.", id -> {});
        slate("Yard in fog", "Yard in fog", "Pale all over, nothing black. The chimney only just there.", this::fog);
        slate("Drying loft", "Drying loft", "The window stays a window. Pots on both sides to be seen.", this::loft);
        slate("Teapot in colour", "Teapot, colour", "Cloth neutral, glaze a living green.", this::teapotInColour);
        slate("Glaze test board in colour", "Test board", "Every glaze as it is. The grey row neutral.", this::board);
        slate("Bottle kiln", "Kiln under cloud", "Sky heavy, brick warm, the door must stay open.", this::kiln);
        if (made) {
            // What exposing forty sheets at once took is given back, since nothing needs it again.
            negatives.forget();
            System.gc();
        }
    }

    private void rolls() {
        String roll14 = roll("Roll 14, last firing", "Medium-speed film, 35 mm", MONOCHROME, 36, 24);
        frame(roll14, "3", "Window shelf", "Thrown vases and bowls on the packing-room shelf.", "shelf", false);
        frame(roll14, "8", "Lamp at the wheel", "The throwing bench at dusk, one lamp lit.", "bench", false);
        frame(roll14, "22", "Drying loft", "Racks under the roof, one bright window.", "loft", true);
        frame(roll14, "23", "Thrower's hands", "Not scanned yet.", null, false);
        String roll15 = roll("Roll 15, yard and table", "Slow film, 6 × 6", MONOCHROME, 56, 56);
        frame(roll15, "4", "Yard in fog", "Chimney, tree and brick stacks, all within two stops.", "fog", false);
        frame(roll15, "9", "Ash-glaze teapot", "Teapot and two bowls on a printed cloth.", "teapot", false);
        String sheetFilm = roll("Sheet film, 4 × 5", "Slow sheet film", MONOCHROME, 120, 95);
        frame(sheetFilm, "1", "Bottle kiln", "The kiln and its shed under a bright sky.", "kiln", false);
        frame(sheetFilm, "2", "Glaze test board", "Twenty-four glazes over a grey row.", "testboard", false);
        String roll17 = roll("Roll 17, glazes", "Colour negative film, 6 × 6", COLOUR, 56, 56);
        frame(roll17, "2", "Glaze test board in colour", "Twenty-four glazes over a grey row.", "testboard", false);
        frame(roll17, "5", "Teapot in colour", "Teapot and two bowls on a printed cloth.", "teapot", false);
        frame(roll17, "7", "Kiln in colour", "The kiln and its shed under a bright sky.", "kiln", false);
        frame(roll17, "11", "Bench in colour", "The throwing bench at dusk, one lamp lit.", "bench", false);
    }

    private void fog(String slateId) {
        slates.edit(slateId, RecipeChange.of(version(slateId), new NamingChange(null, null, null, false, null)));
        expose(slateId, STRIP);
    }

    private void loft(String slateId) {
        read(expose(slateId, STRIP), 2.5, 0.0);
        judge(expose(slateId, PRINT), 0, 0, "Window bare, left rack too heavy.");
        areas(
                slateId,
                area("window", "Window", ellipse(0.495, 0.472, 0.155, 0.11), 0.06, 1, "grade 00", "card with a hole"),
                area("left-rack", "Left rack", ellipse(0.13, 0.52, 0.16, 0.2), 0.12, -0.5, null, "wand, 6 cm disc"));
    }

    private void shelf(String slateId) {
        read(expose(slateId, STRIP), 2, 1.0);
        judge(expose(slateId, PRINT), 1.0 / 6, 0, "A touch light in the tall vase.");
        String second = expose(slateId, PRINT);
        decisions.accept(second, new Acceptance(version(slateId), "Dry, under the display lamp."));
    }

    private void kiln(String slateId) {
        slates.edit(slateId, RecipeChange.of(version(slateId), SetupChange.aperture(16)));
        List<StoredTone> tones = List.of(
                new StoredTone("Brick", 0.42, 0.6, "OWN", 0.85),
                new StoredTone("Cloud", 0.12, 0.42, "WHITE_HOLDS", null),
                new StoredTone("Door", 0.556, 0.76, "TRUE_BLACK", null));
        slates.edit(slateId, RecipeChange.of(version(slateId), new NamingChange(null, null, null, null, tones)));
        read(expose(slateId, STRIP), 2, 1.5);
        judge(expose(slateId, PRINT), 0, 0.5, "Brick right. Sky bare, door blocked.");
        areas(
                slateId,
                area("sky", "Sky", edge(0, 0.42, 1, 0.36), 0.22, 2.0 / 3, "grade 00", "card edge"),
                area("door", "Kiln door", ellipse(0.556, 0.755, 0.062, 0.115), 0.05, -0.5, null, "wand, 4 cm disc"));
    }

    /** In the middle of its balance: a strip read, one look at its colour, a print made with the new pack. */
    private void teapotInColour(String slateId) {
        String strip = expose(slateId, STRIP);
        right(strip, 0.5);
        cast(strip, Hue.B, 10, "The cloth looks yellow.");
        expose(slateId, PRINT);
    }

    private void board(String slateId) {
        String strip = expose(slateId, STRIP);
        right(strip, 0.5);
        cast(strip, Hue.B, 10, "Grey row yellow.");
        String first = expose(slateId, PRINT);
        cast(first, Hue.G, 5, "Grey row a touch magenta.");
        String second = expose(slateId, PRINT);
        decisions.accept(second, new Acceptance(version(slateId), "Grey row neutral by the window."));
    }

    private interface Making {
        void of(String slateId);
    }

    private void slate(String frameTitle, String title, String intent, Making making) {
        Frame frame = rolls.frameTitled(frameTitle).orElse(null);
        if (frame == null || slates.isOnASlate(frame.id())) {
            return;
        }
        database.inTransaction(() -> {
            String id =
                    slates.create(new NewSlate(frame.id(), null, title, intent)).id();
            making.of(id);
        });
        made = true;
    }

    private long version(String slateId) {
        return slates.find(slateId).version();
    }

    private String expose(String slateId, String kind) {
        return light.expose(slateId, kind);
    }

    private Taking proposed(String sheetId, String remark) {
        String slateId = sheets.find(sheetId).orElseThrow().slateId();
        return new Taking(version(slateId), Answer.PROPOSED, null, null, remark);
    }

    private void read(String strip, double whitesAt, Double blacksAt) {
        decisions.read(strip, new Reading(Marks.of(whitesAt, blacksAt), proposed(strip, null)));
    }

    private void right(String strip, double at) {
        decisions.read(strip, new Reading(Marks.right(at), proposed(strip, null)));
    }

    private void cast(String sheet, Hue filter, double points, String remark) {
        Cast cast = new Cast(
                CastWay.VIEWING_FILTER,
                List.of(ColourLook.through(new Filter(filter, points, true))),
                null,
                null,
                0.0,
                null,
                null,
                null,
                null,
                null);
        decisions.judgeColour(sheet, new ColourJudgement(cast, proposed(sheet, remark)));
    }

    private void judge(String print, double darker, double harder, String remark) {
        decisions.judge(print, new Judgement(new Wishes(darker, harder), proposed(print, remark)));
    }

    private void areas(String slateId, AreaView... areas) {
        slates.edit(slateId, RecipeChange.of(version(slateId), new LocalEdit(List.of(areas), null)));
    }

    private static AreaView area(
            String key, String name, StoredShape shape, double soft, double stops, String light, String tool) {
        return new AreaView(key, name, shape, soft, stops, light, tool);
    }

    private static StoredShape ellipse(double x, double y, double rx, double ry) {
        return new StoredShape("ellipse", List.of(new StoredPoint(x, y), new StoredPoint(rx, ry)));
    }

    private static StoredShape edge(double x0, double y0, double x1, double y1) {
        return new StoredShape("edge", List.of(new StoredPoint(x0, y0), new StoredPoint(x1, y1)));
    }

    private String roll(String title, String film, String kind, double longMm, double shortMm) {
        String id = Ids.fresh();
        rolls.add(
                new Roll(id, title, film, kind, longMm, shortMm, longMm > 40 ? 3 : 6, false, Clocks.now(clock), null));
        return id;
    }

    private void frame(String rollId, String number, String title, String caption, String scene, boolean upright) {
        String pictureId = scene == null ? null : Ids.fresh();
        if (scene != null) {
            DemoScene file = DemoScene.read(scene);
            pictures.add(
                    new Picture(
                            pictureId,
                            "image/png",
                            Picture.LINEAR_16,
                            file.widthPx(),
                            file.heightPx(),
                            file.bytes().length,
                            true,
                            false,
                            null),
                    new ByteArrayInputStream(file.bytes()),
                    new PictureRepository.Working("image/png", file.bytes()));
        }
        rolls.add(new Frame(Ids.fresh(), rollId, number, title, caption, upright, pictureId, null));
    }

    /** A made-up picture that ships with the application; its size stands in the head of the PNG. */
    private record DemoScene(byte[] bytes, int widthPx, int heightPx) {
        static DemoScene read(String name) {
            try (InputStream in = DemoData.class.getResourceAsStream("/demo/" + name + ".png")) {
                byte[] bytes = Objects.requireNonNull(in, name).readAllBytes();
                return new DemoScene(bytes, number(bytes, 16), number(bytes, 20));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        private static int number(byte[] bytes, int at) {
            return (bytes[at] & 0xff) << 24
                    | (bytes[at + 1] & 0xff) << 16
                    | (bytes[at + 2] & 0xff) << 8
                    | bytes[at + 3] & 0xff;
        }
    }
}
