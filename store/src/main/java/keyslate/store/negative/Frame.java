package keyslate.store.negative;

/**
 * One negative.
 *
 * @param title its subject, empty when nobody has named it
 * @param pictureId its positive, null when it was never scanned
 * @param rating PRINT, MAYBE or NO, null when nobody has decided
 */
public record Frame(
        String id,
        String rollId,
        String number,
        String title,
        String caption,
        boolean upright,
        String pictureId,
        String rating) {
    public static final String PRINT = "PRINT";
    public static final String MAYBE = "MAYBE";
    public static final String NO = "NO";

    /** The frame with another picture, which stands as it does. */
    public Frame shown(String picture, boolean stands) {
        return new Frame(id, rollId, number, title, caption, stands, picture, rating);
    }
}
