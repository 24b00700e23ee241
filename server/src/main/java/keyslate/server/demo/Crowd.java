package keyslate.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.recipe.RecipeChange;
import keyslate.server.recipe.RecipeChange.SetupChange;
import keyslate.server.slate.SlateService;
import keyslate.server.slate.SlateViews.NewSlate;
import keyslate.store.Database;
import keyslate.store.bench.StoresRepository;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.SlateCopies;
import org.springframework.stereotype.Service;

/**
 * Years of records at once, beside the demo data: rolls full of frames, and slates with many sheets, all of them like one that is made
 * through the use cases; pictures are shared.
 */
@Service
public class Crowd {
    private static final int FRAMES_OF_A_ROLL = 36;
    private static final int AT_ONCE = 100;
    private static final int PLENTY = 100_000;
    private static final Duration BETWEEN = Duration.ofHours(7);
    private static final double[] OPENINGS = {8, 11, 5.6, 8, 16};

    private final Database database;
    private final RollRepository rolls;
    private final StoresRepository stores;
    private final SlateService slates;
    private final FullLight light;
    private final Clock clock;

    Crowd(
            Database database,
            RollRepository rolls,
            StoresRepository stores,
            SlateService slates,
            FullLight light,
            Clock clock) {
        this.database = database;
        this.rolls = rolls;
        this.stores = stores;
        this.slates = slates;
        this.light = light;
        this.clock = clock;
    }

    /** How much of it. */
    public record Size(int frames, int slates, int sheetsOfEach) {
        /** What gathers in years. */
        public static final Size YEARS = new Size(5000, 1000, 10);
    }

    /** Fills every box, so that no trial ends because paper does. */
    public void stock() {
        database.inTransaction(() -> stores.papers().forEach(paper -> stores.count(paper.id(), PLENTY, PLENTY)));
    }

    /** Makes all of it; the demo data must be there. */
    public void make(Size size) {
        stock();
        Frame shown = rolls.frameTitled("Window shelf").orElseThrow();
        List<String> frames = frames(size.frames(), shown.pictureId());
        String model = model(shown, size.sheetsOfEach());
        SlateCopies copies = new SlateCopies(database);
        Instant first = clock.instant().minus(BETWEEN.multipliedBy(size.slates()));
        for (int from = 1; from < size.slates(); from += AT_ONCE) {
            int begin = from;
            database.inTransaction(() -> {
                for (int i = begin; i < Math.min(begin + AT_ONCE, size.slates()); i++) {
                    String frame = frames.get((int) ((long) i * frames.size() / size.slates()));
                    copies.copy(model, i, frame, Clocks.of(first.plus(BETWEEN.multipliedBy(i))));
                }
            });
        }
    }

    private List<String> frames(int count, String pictureId) {
        List<String> ids = new ArrayList<>();
        int rollCount = (count + FRAMES_OF_A_ROLL - 1) / FRAMES_OF_A_ROLL;
        database.inTransaction(() -> {
            for (int r = 0; r < rollCount; r++) {
                String roll = Ids.fresh();
                String at = Clocks.of(clock.instant().minus(BETWEEN.multipliedBy(1L + rollCount - r)));
                rolls.add(new Roll(
                        roll,
                        "Roll " + (100 + r),
                        "Medium-speed film, 35 mm",
                        "MONOCHROME",
                        36,
                        24,
                        6,
                        false,
                        at,
                        null));
                for (int f = 1; f <= FRAMES_OF_A_ROLL && ids.size() < count; f++) {
                    String id = Ids.fresh();
                    rolls.add(new Frame(
                            id, roll, Integer.toString(f), "Shelf " + r + "/" + f, "", false, pictureId, null));
                    ids.add(id);
                }
            }
        });
        return ids;
    }

    /** One slate with that many sheets, strips and prints by turns, with an edit before each. */
    private String model(Frame frame, int sheets) {
        return database.inTransaction(() -> {
            String id = slates.create(new NewSlate(frame.id(), null, "Shelf", "Porcelain must glow."))
                    .id();
            for (int i = 0; i < sheets; i++) {
                long version = slates.find(id).version();
                slates.edit(id, RecipeChange.of(version, SetupChange.aperture(OPENINGS[i % OPENINGS.length])));
                light.expose(id, i % 2 == 0 ? "STRIP" : "PRINT");
            }
            return id;
        });
    }
}
