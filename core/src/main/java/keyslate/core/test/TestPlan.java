package keyslate.core.test;

import java.util.List;
import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;

/** The plan of a test; a new kind of test is one more of these, with its part in the store, its part in the server and its panel. */
public sealed interface TestPlan permits TestPlan.OfSeries, OpeningsPlan, WedgePlan, GuessPlan {
    /**
     * Its exposures about a base exposure, with what each patch is to receive.
     *
     * @throws keyslate.core.quantity.QuantityException when it cannot be given with this lamp or lens; the message names the way out
     */
    TestScript script(ExposureTime base, TestRig rig);

    /** The middle of what it tries, received. */
    ExposureTime middle(ExposureTime base);

    /** The time of another light that keeps the print as dark as the base exposure; of a base in two parts strips are about the first alone. */
    default ExposureTime asDark(ExposureTime base, Light other, TestRig rig) {
        return rig.carried().time(base, other);
    }

    /** How many pieces of picture there are on its paper: one, or one for each patch. */
    default int pieces() {
        return 1;
    }

    /** Whether its pieces are papers of their own. */
    default boolean isCutApart() {
        return false;
    }

    /** The same about whatever base exposure stands. */
    TestPlan followingBase();

    /** Its step in stops, where it has one. */
    default Optional<Stops> step() {
        return Optional.empty();
    }

    /** Its step in stops, where that is another one than in the plan before; none where it has none. */
    default Optional<Stops> stepUnlike(TestPlan before) {
        return step().filter(s -> !before.step().equals(Optional.of(s)));
    }

    /** The lights of further rows on the same paper; none = one row. */
    default List<Light> otherLights() {
        return List.of();
    }

    /** How the pieces lie in a picture of them all. */
    default PieceLayout layout() {
        return PieceLayout.SINGLE;
    }

    /**
     * A test whose patches follow each other.
     *
     * @see PatchSeries
     */
    sealed interface OfSeries extends TestPlan permits CoverStripPlan, SameSpotPlan, PiecesPlan {
        PatchSeries series();

        /** Length of a patch, a window or a piece. */
        Length patch();

        /** Whether all its patches get one light, so that it has a series at all. */
        default boolean isOfOneLight() {
            return true;
        }

        /** The same test of another series, its patches so long. */
        OfSeries of(PatchSeries other, Length patch);

        @Override
        default ExposureTime middle(ExposureTime base) {
            return series().middle(base);
        }

        @Override
        default Optional<Stops> step() {
            return series().inStops();
        }
    }
}
