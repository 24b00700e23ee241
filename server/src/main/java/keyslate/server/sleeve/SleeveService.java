package keyslate.server.sleeve;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import keyslate.core.film.FilmSheet;
import keyslate.core.quantity.Check;
import keyslate.core.reading.Corners;
import keyslate.core.reading.FrameGrid;
import keyslate.server.negative.FrameScan;
import keyslate.server.negative.RollService;
import keyslate.server.negative.RollViews.FrameView;
import keyslate.server.picture.PictureFiles;
import keyslate.server.picture.Pictures;
import keyslate.server.picture.SquaredPicture;
import keyslate.server.picture.WorkingCopy;
import keyslate.server.sleeve.SleeveViews.CutAsked;
import keyslate.server.sleeve.SleeveViews.GridAsked;
import keyslate.server.sleeve.SleeveViews.GridFrame;
import keyslate.server.sleeve.SleeveViews.SleeveView;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.TemporaryFiles;
import keyslate.store.Database;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Picture;
import keyslate.store.negative.PictureRepository;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The scan of a whole sheet is stored once; every frame that is cut from it is a picture of its own. */
@Service
class SleeveService {
    private static final String NONE = "No scan of the whole sheet was handed in for this roll.";

    private final Database database;
    private final RollRepository rolls;
    private final RollService frames;
    private final Pictures pictures;
    private final PictureRepository files;
    private final TemporaryFiles temporary;

    SleeveService(
            Database database,
            RollRepository rolls,
            RollService frames,
            Pictures pictures,
            PictureRepository files,
            TemporaryFiles temporary) {
        this.database = database;
        this.rolls = rolls;
        this.frames = frames;
        this.pictures = pictures;
        this.files = files;
        this.temporary = temporary;
    }

    SleeveView sleeve(String rollId) {
        return database.inSnapshot(() -> view(picture(roll(rollId).id())));
    }

    SleeveView hand(String rollId, Path file) {
        roll(rollId);
        PictureFiles.Described described = PictureFiles.describe(file);
        WorkingCopy working = WorkingCopy.of(file);
        return database.inTransaction(() -> {
            List<String> before =
                    rolls.sleevePicture(roll(rollId).id()).stream().toList();
            String id = pictures.store(described, file, working);
            rolls.setSleevePicture(rollId, id);
            files.deleteUnused(before);
            return view(files.find(id).orElseThrow());
        });
    }

    void forget(String rollId) {
        database.inTransaction(() -> {
            List<String> before =
                    rolls.sleevePicture(roll(rollId).id()).stream().toList();
            rolls.setSleevePicture(rollId, null);
            files.deleteUnused(before);
        });
    }

    List<GridFrame> grid(String rollId, GridAsked asked) {
        Roll roll = roll(rollId);
        List<Frame> there = rolls.framesOf(rollId);
        FieldErrors errors = new FieldErrors();
        Corners corners = corners(errors, asked.corners());
        double along = gap(errors, "/gapAlong", asked.gapAlong());
        double across = gap(errors, "/gapAcross", asked.gapAcross());
        errors.throwIfAny();
        FilmSheet cut = FilmSheet.cut(there.size(), roll.stripFrames(), roll.oddFirst());
        List<List<Corners.Place>> places = new FrameGrid(corners, cut, along, across).frames();
        List<GridFrame> grid = new ArrayList<>();
        for (Frame frame : there) {
            grid.add(new GridFrame(
                    frame.id(),
                    frame.number(),
                    frame.pictureId() != null,
                    frame.upright(),
                    flat(places.get(grid.size()))));
        }
        return grid;
    }

    FrameView cut(String frameId, CutAsked asked) {
        Frame frame = frames.frame(frameId);
        FieldErrors errors = new FieldErrors();
        Corners corners = corners(errors, asked.corners());
        errors.throwIfAny();
        Roll roll = roll(frame.rollId());
        Path sheet = pictures.file(picture(roll.id()).id());
        Path own = temporary.empty();
        try {
            double aspect = roll.longMm() / roll.shortMm();
            Files.write(
                    own,
                    frame.upright()
                            ? SquaredPicture.cutOut(sheet, upright(corners, asked.headsRight()), 1 / aspect)
                            : SquaredPicture.cutOut(sheet, corners, aspect));
            return frames.view(frames.scan(frameId, new FrameScan.Given(own, asked.negative(), null, false)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            TemporaryFiles.delete(sheet);
            TemporaryFiles.delete(own);
        }
    }

    private static Corners upright(Corners lying, @Nullable Boolean headsRight) {
        return Boolean.TRUE.equals(headsRight) ? lying.turned().turned().turned() : lying.turned();
    }

    private static Corners corners(FieldErrors errors, @Nullable List<Double> asked) {
        return errors.check("/corners", Corners.whole(), () -> Corners.of(asked == null ? List.of() : asked));
    }

    private static double gap(FieldErrors errors, String pointer, @Nullable Double asked) {
        return errors.check(
                pointer, 0.0, () -> Check.within("gap", asked == null ? 0 : asked, 0, FrameGrid.MOST_GAP, ""));
    }

    private static List<Double> flat(List<Corners.Place> places) {
        // The last of them may lie a rounding error beyond the edge.
        return places.stream()
                .flatMap(p -> Stream.of(p.x(), p.y()))
                .map(c -> Math.max(0, Math.min(1, c)))
                .toList();
    }

    private Roll roll(String id) {
        return rolls.roll(id).orElseThrow(NotFoundException.of("roll"));
    }

    private Picture picture(String rollId) {
        return rolls.sleevePicture(rollId).flatMap(files::find).orElseThrow(() -> new NotFoundException(NONE));
    }

    private static SleeveView view(Picture p) {
        return new SleeveView(p.id(), p.widthPx(), p.heightPx(), p.profiled());
    }
}
