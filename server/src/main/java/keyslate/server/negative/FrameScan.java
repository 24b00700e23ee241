package keyslate.server.negative;

import java.nio.file.Path;
import java.util.List;
import keyslate.core.quantity.QuantityException;
import keyslate.core.reading.Corners;
import keyslate.server.Show;
import keyslate.server.picture.PictureFiles;
import keyslate.server.picture.Pictures;
import keyslate.server.picture.WorkingCopy;
import keyslate.server.web.RefusedException;
import keyslate.store.negative.Roll;
import org.jspecify.annotations.Nullable;

/** The picture of a frame, decoded and ready to be stored. */
public final class FrameScan {
    private final PictureFiles.Described described;
    private final Path file;
    private final WorkingCopy working;
    private final boolean stands;
    private final @Nullable List<Double> corners;

    private FrameScan(
            PictureFiles.Described described,
            Path file,
            WorkingCopy working,
            boolean stands,
            @Nullable List<Double> corners) {
        this.described = described;
        this.file = file;
        this.working = working;
        this.stands = stands;
        this.corners = corners;
    }

    /**
     * A picture as it was handed in.
     *
     * @param file that is not kept
     * @param negative whether it shows the negative; null = as it looks
     * @param corners of the picture in the file, eight numbers; null = the whole file
     * @param upright how the picture stands when corners are given
     */
    public record Given(
            Path file, @Nullable Boolean negative, @Nullable List<Double> corners, boolean upright) {}

    /** Decodes it for a frame of a roll; refuses what is damaged, too large, or has corners that go round nothing. */
    static FrameScan of(Given given, Roll roll) {
        boolean isColourFilm = RollService.isColour(roll);
        PictureFiles.Described described = PictureFiles.describe(given.file());
        Corners corners = corners(given.corners());
        double aspect = given.upright() ? roll.shortMm() / roll.longMm() : roll.longMm() / roll.shortMm();
        WorkingCopy working = WorkingCopy.ofScan(given.file(), isColourFilm, given.negative(), corners, aspect);
        boolean stands = corners == null ? described.heightPx() > described.widthPx() : given.upright();
        return new FrameScan(described, given.file(), working, stands, given.corners());
    }

    private static @Nullable Corners corners(@Nullable List<Double> asked) {
        try {
            return asked == null ? null : Corners.of(asked);
        } catch (QuantityException e) {
            throw RefusedException.of("/corners", e.kind().code(), Show.sentence(e.getMessage()));
        }
    }

    /** Whether the picture stands upright. */
    boolean stands() {
        return stands;
    }

    /** Stores it, inside a transaction; its id. */
    String store(Pictures pictures) {
        return pictures.store(described, file, working, corners);
    }
}
