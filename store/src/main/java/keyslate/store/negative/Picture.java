package keyslate.store.negative;

/** A stored picture file; see {@link PictureRepository}. */
public record Picture(String id, String mediaType, String encoding, int widthPx, int heightPx, long sizeBytes) {
    /** 16 bit, code 16384 is a white diffuser in the main light. */
    public static final String LINEAR_16 = "linear16";
    /** 8 bit sRGB. */
    public static final String SRGB_8 = "srgb8";
}
