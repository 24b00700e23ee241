package keyslate.server.picture;

import java.util.Arrays;
import java.util.Optional;

/** Kinds of picture files that are taken in. */
enum PictureKind {
    JPEG("image/jpeg"),
    PNG("image/png"),
    TIFF("image/tiff");

    private final String mediaType;

    PictureKind(String mediaType) {
        this.mediaType = mediaType;
    }

    String mediaType() {
        return mediaType;
    }

    /** The kind that a reader's format is of, such as "jpeg" or "JPEG-LS". */
    static Optional<PictureKind> ofFormat(String format) {
        return Arrays.stream(values())
                .filter(k -> k.name().equalsIgnoreCase(format))
                .findFirst();
    }
}
