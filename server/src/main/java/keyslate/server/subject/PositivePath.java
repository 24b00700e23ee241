package keyslate.server.subject;

import org.jspecify.annotations.Nullable;

/** Where the positive of a subject is asked for, without its size. */
public final class PositivePath {
    private PositivePath() {}

    /** None when nothing of it was ever scanned. */
    public static @Nullable String of(Subject subject) {
        if (!subject.hasPicture()) {
            return null;
        }
        return subject instanceof Subject.Single single
                ? "/api/frames/" + single.frame().id() + "/positive"
                : "/api/rolls/" + subject.roll().id() + "/positive";
    }
}
