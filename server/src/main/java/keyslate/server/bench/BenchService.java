package keyslate.server.bench;

import java.time.Clock;
import keyslate.core.medium.Colour;
import keyslate.core.medium.Monochrome;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.backup.BackupService;
import keyslate.server.bench.BenchViews.BenchView;
import keyslate.server.bench.BenchViews.FirstStart;
import keyslate.server.bench.BenchViews.Head;
import keyslate.server.bench.BenchViews.Papers;
import keyslate.server.bench.BenchViews.SheetSize;
import keyslate.server.shelf.ShelfService;
import keyslate.server.shelf.ShelfViews.SlatePage;
import keyslate.server.stores.StoresService;
import keyslate.server.stores.StoresViews.StoresView;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.store.Database;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.SlateRepository;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** Home and stores, and the first start. */
@Service
public class BenchService {
    /** Constants of generic things; every one of them is marked "default" where it stands. */
    private static final double USUAL_STRENGTH = 3.1;

    private static final double USUAL_LAG_SECONDS = 0.1;
    private static final double USUAL_COLUMN_MM = 800;
    private static final int USUAL_BOX = 100;
    private static final String DEFAULT = "default";

    private final Database database;
    private final SlateRepository slates;
    private final StoresRepository stores;
    private final StoresService shelves;
    private final ShelfService shelf;
    private final Clock clock;
    private final boolean practice;
    private final BackupService backups;
    private final SheetRepository sheets;
    private final ObjectProvider<Switchboard> switchboard;

    BenchService(
            Database database,
            SlateRepository slates,
            StoresRepository stores,
            StoresService shelves,
            ShelfService shelf,
            Clock clock,
            SheetRepository sheets,
            ObjectProvider<Switchboard> switchboard,
            BackupService backups,
            @Value("${keyslate.practice:false}") boolean practice) {
        this.database = database;
        this.slates = slates;
        this.stores = stores;
        this.shelves = shelves;
        this.shelf = shelf;
        this.clock = clock;
        this.practice = practice;
        this.sheets = sheets;
        this.switchboard = switchboard;
        this.backups = backups;
    }

    /**
     * Goes to the practice darkroom, or back to one's own; the answer comes before it is open.
     *
     * @throws ConflictException while a sheet is under the lamp, or where this program was not started by itself
     */
    public void switchTo(boolean toPractice) {
        if (toPractice == practice) {
            return;
        }
        if (!sheets.exposing().isEmpty()) {
            throw new ConflictException(
                    "sheet-under-lamp",
                    "A sheet is under the lamp. Finish it or give it up, then change the darkroom.");
        }
        switchboard.stream()
                .findFirst()
                .orElseThrow(() -> new ConflictException("no-switch", "There is no other darkroom to go to here."))
                .open(toPractice);
    }

    public BenchView bench() {
        return database.inSnapshot(() -> {
            SlatePage first = shelf.slates(false, null);
            return new BenchView(
                    first.slates(),
                    first.moreSlates(),
                    shelves.baths(),
                    shelves.papers(),
                    Clocks.now(clock),
                    practice,
                    isEmpty(),
                    slates.count(true),
                    backups.problem());
        });
    }

    private boolean isEmpty() {
        return stores.enlargers().isEmpty()
                || stores.papers().isEmpty()
                || stores.lenses().isEmpty();
    }

    /** Sets a new bench up from three answers: generic things, every constant of which is a default. */
    public StoresView begin(FirstStart asked) {
        FieldErrors errors = new FieldErrors();
        require(errors, "/papers", asked.papers());
        require(errors, "/head", asked.head());
        require(errors, "/lamp", asked.lamp());
        require(errors, "/sheet", asked.sheet());
        if (asked.papers() != Papers.MONOCHROME && asked.head() != null && asked.head() != Head.COLOUR) {
            errors.add("/head", "E_INFEASIBLE", "Colour paper needs a head with dials for a pack: a colour head.");
        }
        errors.throwIfAny();
        database.inTransaction(() -> {
            if (!isEmpty()) {
                throw new ConflictException("not-empty", "This bench has an enlarger, a lens and paper already.");
            }
            stores.add(new Enlarger(
                    Ids.fresh(),
                    "My enlarger",
                    headWords(asked.head()),
                    asked.lamp().name(),
                    asked.head() == Head.COLOUR,
                    USUAL_STRENGTH,
                    USUAL_LAG_SECONDS,
                    DEFAULT,
                    USUAL_COLUMN_MM,
                    DEFAULT));
            stores.add(new Lens(Ids.fresh(), "50 mm lens", 50, 2.8, 16, 2, 43.5));
            stores.add(new Lens(Ids.fresh(), "80 mm lens", 80, 4, 22, 2, 80));
            stores.add(new Lens(Ids.fresh(), "150 mm lens", 150, 5.6, 32, 2, 160));
            if (asked.papers() != Papers.COLOUR) {
                stores.add(paper("Variable-contrast paper", Monochrome.ID, asked.sheet()));
            }
            if (asked.papers() != Papers.MONOCHROME) {
                stores.add(paper("Colour paper", Colour.ID, asked.sheet()));
            }
        });
        return shelves.stores();
    }

    private static void require(FieldErrors errors, String pointer, Object given) {
        if (given == null) {
            errors.add(pointer, "E_SHAPE", "Choose one of these.");
        }
    }

    private static String headWords(Head head) {
        return switch (head) {
            case CONDENSER -> "Condenser";
            case DIFFUSION -> "Diffusion head";
            case COLOUR -> "Dichroic head";
        };
    }

    private static Paper paper(String name, String kind, SheetSize size) {
        return new Paper(
                Ids.fresh(),
                name,
                kind,
                "RC",
                size.longMm(),
                size.shortMm(),
                "first box",
                USUAL_BOX,
                USUAL_BOX,
                0,
                false,
                null,
                "",
                "",
                null,
                null);
    }
}
