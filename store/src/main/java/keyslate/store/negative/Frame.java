package keyslate.store.negative;

/** One negative. {@code pictureId} is its positive, null when it was never scanned. */
public record Frame(
        String id, String rollId, String number, String title, String caption, boolean upright, String pictureId) {}
