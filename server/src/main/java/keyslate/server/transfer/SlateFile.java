package keyslate.server.transfer;

import java.util.List;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Picture;
import keyslate.store.negative.Roll;
import keyslate.store.slate.Burst;
import keyslate.store.slate.Decision;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.Slate;

/** A whole slate as one JSON file, with all it needs to stand elsewhere; docs/formats/slate.md describes it. */
public record SlateFile(
        String format,
        int formatVersion,
        Roll roll,
        Frame frame,
        List<Enlarger> enlargers,
        List<Lens> lenses,
        List<Paper> papers,
        Slate slate,
        List<Recipe> recipes,
        List<ExposedSheet> sheets,
        List<Decision> decisions,
        List<StoredPicture> pictures) {
    /** The word in {@code format}. */
    public static final String FORMAT = "key-slate";
    /** The version that is written. */
    public static final int VERSION = 1;

    /** A sheet with its script and what the lamp did. */
    public record ExposedSheet(Sheet sheet, List<Burst> script, List<LampRecord> lamp) {}

    /** A picture with its file, in base 64. */
    public record StoredPicture(Picture picture, byte[] file) {}
}
