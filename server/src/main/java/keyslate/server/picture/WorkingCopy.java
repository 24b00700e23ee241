package keyslate.server.picture;

import java.nio.file.Path;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.NegativeScan;
import keyslate.core.reading.Corners;
import keyslate.store.negative.Picture;
import org.jspecify.annotations.Nullable;

/**
 * The copy of a picture that is looked at and computed with, upright and small.
 *
 * @param encoding how its codes stand for light, see {@link Picture}
 * @param isNegative whether the picture was taken for a scan of a negative and turned
 */
public record WorkingCopy(String mediaType, byte[] bytes, String encoding, boolean isNegative) {
    private static final double WHITE_CODE_16 = 16384;

    /** Of a picture as it is, in sRGB. */
    static WorkingCopy ofPositive(ColourRaster light) {
        byte[] jpeg = PictureFiles.jpeg(PictureFiles.look(light), PictureFiles.WORKING_QUALITY);
        return new WorkingCopy("image/jpeg", jpeg, Picture.SRGB_8, false);
    }

    /**
     * Of the scan of a frame: as it is when it shows the positive, turned when it shows the negative (DRK-09).
     *
     * @param isColourFilm whether the film has a mask to be taken out
     * @param isNegative what its owner says it is; null = as it looks
     * @param corners of the picture in the file, squared to {@code aspect}, width over height; null = the whole file
     * @throws keyslate.server.web.RefusedException when the file is damaged
     */
    public static WorkingCopy ofScan(
            Path file, boolean isColourFilm, @Nullable Boolean isNegative, @Nullable Corners corners, double aspect) {
        ColourRaster light = corners == null
                ? PictureFiles.light(file).reducedTo(PictureFiles.WORKING_COPY_SIDE)
                : SquaredPicture.of(file, corners, aspect);
        boolean negative = isNegative == null ? NegativeScan.looksNegative(light, isColourFilm) : isNegative;
        return negative ? ofScene(NegativeScan.toScene(light, isColourFilm)) : ofPositive(light);
    }

    /** Of the whole of a picture, as it is. */
    public static WorkingCopy of(Path file) {
        return ofPositive(PictureFiles.light(file).reducedTo(PictureFiles.WORKING_COPY_SIDE));
    }

    /** Of the paper in a picture of it; see {@link SquaredPicture}. */
    public static WorkingCopy ofPaper(Path file, Corners corners, double aspect) {
        return ofPositive(SquaredPicture.of(file, corners, aspect));
    }

    /** A scene has more tones than 8 bit hold. */
    private static WorkingCopy ofScene(ColourRaster scene) {
        byte[] png = DeepPng.of(scene, light ->
                (int) Math.round(Math.max(0, Math.min(DeepPng.LARGEST_CODE, light * WHITE_CODE_16))));
        return new WorkingCopy("image/png", png, Picture.LINEAR_16, true);
    }
}
