package keyslate.store.negative;

/**
 * A stored picture file; see {@link PictureRepository}.
 *
 * @param encoding of the working copy
 * @param profiled whether the file says what its colours mean
 * @param corners of the picture in the file, a JSON list of eight numbers, null when it is all of it
 * @param negative whether the file is the scan of a negative, whose working copy shows the scene
 */
public record Picture(
        String id,
        String mediaType,
        String encoding,
        int widthPx,
        int heightPx,
        long sizeBytes,
        boolean profiled,
        boolean negative,
        String corners) {
    /** 16 bit, code 16384 is a white diffuser in the main light. */
    public static final String LINEAR_16 = "linear16";
    /** 8 bit sRGB. */
    public static final String SRGB_8 = "srgb8";
}
