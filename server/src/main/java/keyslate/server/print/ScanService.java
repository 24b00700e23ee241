package keyslate.server.print;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import keyslate.core.quantity.QuantityException;
import keyslate.core.reading.Corners;
import keyslate.core.script.Part;
import keyslate.server.Clocks;
import keyslate.server.Show;
import keyslate.server.picture.PictureFiles;
import keyslate.server.picture.Pictures;
import keyslate.server.picture.WorkingCopy;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.Patches;
import keyslate.server.slate.SlateService;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.web.ConflictException;
import keyslate.server.web.RefusedException;
import keyslate.store.Database;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.Scan;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Pictures of hung sheets that the user hands in, from a scanner or a phone. The file is kept as it is; what is looked at is
 * the paper in it, squared. It tells nothing of the paper's speed: no camera here is calibrated.
 */
@Service
public class ScanService {
    /** As many as a slate file takes. */
    private static final int MOST_SCANS = 100;

    private final Database database;
    private final SlateService slates;
    private final SheetRepository sheets;
    private final Pictures pictures;
    private final RunAssembler runs;
    private final Clock clock;

    ScanService(
            Database database,
            SlateService slates,
            SheetRepository sheets,
            Pictures pictures,
            RunAssembler runs,
            Clock clock) {
        this.database = database;
        this.slates = slates;
        this.sheets = sheets;
        this.pictures = pictures;
        this.runs = runs;
        this.clock = clock;
    }

    /**
     * Takes in the picture of a sheet that hangs; it is the one that counts from then on, earlier ones stay.
     *
     * @param corners x and y of the paper's corners in fractions of the upright picture, clockwise from the paper's upper left;
     *     none = the picture is the paper
     * @throws RefusedException at {@code /file} for what is no JPEG, PNG or TIFF or has too many pixels, at {@code /corners} for
     *     corners that go round no paper (REA-13)
     * @throws ConflictException when the sheet does not hang, or has as many pictures as a slate file takes
     */
    public SlateView hand(String sheetId, Path file, @Nullable List<Double> corners) {
        RunAssembler.Run run = runs.run(sheetId);
        Sheet sheet = run.exposed().sheet();
        refuseUnlessHung(sheet);
        Corners found = corners(corners);
        PictureFiles.Described described = PictureFiles.describe(file);
        WorkingCopy working = WorkingCopy.ofPaper(file, found, aspect(run.exposed(), run.rig()));
        database.inTransaction(() -> {
            ExposedSheet now = sheets.exposed(sheetId).orElseThrow();
            if (now.scans().size() >= MOST_SCANS) {
                throw new ConflictException(
                        "too-many", "This sheet has " + MOST_SCANS + " pictures; no more are kept.");
            }
            String pictureId = pictures.store(described, file, working, corners);
            sheets.add(
                    new Scan(sheetId, now.scans().size() + 1, pictureId, Clocks.now(clock), List.of(), Scan.HANDED_IN));
            slates.touch(sheet.slateId());
        });
        return slates.view(sheet.slateId());
    }

    private static void refuseUnlessHung(Sheet sheet) {
        if (!Sheet.HUNG.equals(sheet.state())) {
            throw new ConflictException("not-hung", "Only a sheet that hangs has a picture.");
        }
    }

    private static Corners corners(@Nullable List<Double> asked) {
        try {
            return asked == null ? Corners.whole() : Corners.of(asked);
        } catch (QuantityException e) {
            throw RefusedException.of("/corners", e.kind().code(), Show.sentence(e.getMessage()));
        }
    }

    private static double aspect(ExposedSheet sheet, Rig rig) {
        Part view = sheet.piece().view();
        return Patches.layout(rig, sheet.pieces().size()).aspect(rig.frameAspect() * view.width() / view.height());
    }
}
