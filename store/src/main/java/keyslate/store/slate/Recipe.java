package keyslate.store.slate;

import java.util.List;
import java.util.Optional;
import keyslate.core.colour.Taste;
import keyslate.core.light.Light;
import keyslate.core.local.AreaShape;
import keyslate.core.local.LocalChange;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.LocalWork;
import keyslate.core.size.Placement;
import keyslate.core.size.Projection;
import keyslate.core.test.TestPlan;
import keyslate.core.tone.NamedTone;

/**
 * All that is set for the next sheet, section by section. Never changed: an edit makes a new recipe that follows it, which
 * is what undo walks back along and what an exposed sheet keeps.
 *
 * @param previousId the recipe it follows, null for the first
 * @param edit in words, for undo
 */
public record Recipe(
        String id,
        String slateId,
        String previousId,
        String madeAt,
        String edit,
        Naming naming,
        Setup setup,
        Base base,
        TestPlan test,
        Local local) {
    /**
     * What the print is to be.
     *
     * @param title 1 to 80 characters; {@code intent} up to 400
     * @param whiteWanted whether a true white must be in it; {@code blackWanted} a true black
     * @param tones that matter, the first one most; up to {@value #MOST_TONES}
     * @param taste how far off neutral a colour print is meant to be
     */
    public record Naming(
            String title, String intent, boolean whiteWanted, boolean blackWanted, List<NamedTone> tones, Taste taste) {
        public static final int MOST_TONES = 8;

        public Naming {
            tones = List.copyOf(tones);
        }

        /** Nothing marked in the picture yet. */
        public static Naming of(String title, String intent) {
            return new Naming(title, intent, true, true, List.of(), Taste.NEUTRAL);
        }
    }

    /**
     * What stands on the enlarger and the easel.
     *
     * @param apertureMark engraved number
     * @param sheetWidthMm one side of the sheet, 20 to 2000 mm; the other alike
     * @param placement how picture and sheet meet
     * @param contact how the light comes to a negative that lies on the paper; none = enlarged
     */
    public record Setup(
            String enlargerId,
            String lensId,
            double apertureMark,
            String paperId,
            double sheetWidthMm,
            double sheetHeightMm,
            Placement placement,
            Optional<Contact> contact) {}

    /**
     * A negative that lies on the paper.
     *
     * @param distanceMm of lens or lamp from the paper, {@value Projection.Contact#NEAREST_MM} to {@value Projection.Contact#FARTHEST_MM} mm
     * @param columnReading what the column's own scale shows, up to {@value #LONGEST_READING} characters; empty = not read
     */
    public record Contact(Projection.Source source, double distanceMm, String columnReading) {
        public static final int LONGEST_READING = 20;
    }

    /**
     * The base exposure.
     *
     * @param exposure lights and times as received, exact
     * @param source default, rescaled, read, judged or own; {@code because} says it in words
     */
    public record Base(BaseExposure exposure, String source, String because) {}

    /** The local plan. */
    public record Local(List<Area> areas, LocalWork.Way way) {
        public Local {
            areas = List.copyOf(areas);
        }

        /** The areas as a script is planned from them. */
        public LocalWork toWork() {
            return new LocalWork(
                    areas.stream()
                            .map(a -> new LocalWork.Area(a.key(), a.change(), a.light()))
                            .toList(),
                    way);
        }
    }

    /**
     * An area of the local plan.
     *
     * @param key stays the same from recipe to recipe
     * @param softEdge width of the soft edge, fraction of the frame's longer side, 0 to 1
     * @param light of a burn; none = the base's
     * @param tool what the hands use, up to 60 characters
     */
    public record Area(
            String key,
            String name,
            AreaShape shape,
            double softEdge,
            LocalChange change,
            Optional<Light> light,
            String tool) {}

    /** The next recipe with other sections. */
    public Recipe followedBy(
            String nextId, String at, String by, Naming named, Setup set, Base exposed, TestPlan tested, Local worked) {
        return new Recipe(nextId, slateId, id, at, by, named, set, exposed, tested, worked);
    }
}
