package keyslate.server.scan;

import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import keyslate.core.darkroom.LaidPieces;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.PracticePhone;
import keyslate.core.light.Light;
import keyslate.core.quantity.FilterPack;
import keyslate.core.test.PieceMarks;
import keyslate.core.test.PiecesPlan;
import keyslate.core.test.TestPlan;
import keyslate.server.picture.PictureFiles;
import keyslate.server.print.PaperProcess;
import keyslate.server.print.PaperProcess.Dry;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.scan.ScanViews.MeteredView;
import keyslate.server.sheet.Patches;
import keyslate.server.web.ConflictException;
import keyslate.server.web.NotFoundException;
import keyslate.store.Database;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.SheetRepository;
import org.springframework.stereotype.Service;

/** Pictures of sheets as they were taken, and the practice darkroom's phone and colour meter. */
@Service
public class SheetPictures {
    private final Database database;
    private final SheetRepository sheets;
    private final RecipeRepository recipes;
    private final Rigs rigs;
    private final PaperProcess process;
    private final ScanPictures pictures;
    private final AtomicLong metered = new AtomicLong();

    SheetPictures(
            Database database,
            SheetRepository sheets,
            RecipeRepository recipes,
            Rigs rigs,
            PaperProcess process,
            ScanPictures pictures) {
        this.database = database;
        this.sheets = sheets;
        this.recipes = recipes;
        this.rigs = rigs;
        this.process = process;
        this.pictures = pictures;
    }

    byte[] picture(String sheetId, int scan) {
        ExposedSheet sheet = sheets.exposed(sheetId).orElseThrow(NotFoundException.of("sheet"));
        if (scan < 1 || scan > sheet.scans().size()) {
            throw NotFoundException.of("picture").get();
        }
        return pictures.jpeg(sheet.scans().get(scan - 1).pictureId());
    }

    /** @throws ConflictException outside the practice darkroom, or where the sheet does not hang */
    byte[] practicePhoto(String sheetId) {
        return database.inSnapshot(() -> {
            ExposedSheet sheet = sheets.exposed(sheetId).orElseThrow(NotFoundException.of("sheet"));
            if (!sheet.sheet().isHung()) {
                throw new ConflictException("not-hung", "Only a sheet that hangs has a picture.");
            }
            Recipe recipe = recipes.get(sheet.sheet().recipeId());
            Rig rig = rigs.of(sheet.sheet(), recipe, rigs.of(recipe));
            List<Dry> dry = process.dry(sheet, rig);
            if (dry.isEmpty()) {
                throw new ConflictException("no-phone", "Only the practice darkroom has a phone of its own.");
            }
            return PictureFiles.jpeg(photo(dry, rig, sheet));
        });
    }

    /** @throws ConflictException outside the practice darkroom, on other than colour paper, or where nothing was scanned */
    MeteredView practiceMeter(String sheetId) {
        return database.inSnapshot(() -> {
            ExposedSheet sheet = sheets.exposed(sheetId).orElseThrow(NotFoundException.of("sheet"));
            Recipe recipe = recipes.get(sheet.sheet().recipeId());
            Rig rig = rigs.of(sheet.sheet(), recipe, rigs.of(recipe));
            FilterPack asked = process.metered(rig, metered.incrementAndGet())
                    .orElseThrow(
                            () -> new ConflictException(
                                    "no-meter",
                                    "The practice darkroom's colour meter reads scanned colour negatives there. Type what yours shows."));
            return new MeteredView(Light.dials(asked).notation());
        });
    }

    private static Look photo(List<Dry> dry, Rig rig, ExposedSheet sheet) {
        TestPlan plan = rig.recipe().test();
        long seed = sheet.sheet().id().hashCode() * 31L + sheet.scans().size();
        if (dry.size() > 1 && plan.isCutApart()) {
            boolean corners = plan instanceof PiecesPlan pieces && pieces.marks() == PieceMarks.Way.CORNERS;
            List<PracticePhone.Sheet> pieces = dry.stream()
                    .map(d -> new PracticePhone.Sheet(
                            d.look(), Set.copyOf(corners ? PieceMarks.corners(d.piece()) : List.of())))
                    .toList();
            return PracticePhone.picture(pieces, plan.layout().columns(), seed);
        }
        return PracticePhone.picture(
                List.of(new PracticePhone.Sheet(
                        LaidPieces.picture(dry.stream().map(Dry::look).toList(), Patches.layout(rig, dry.size())),
                        Set.of())),
                1,
                seed);
    }
}
