package keyslate.core.trial.printer;

import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.LampLag;
import keyslate.core.quantity.Stops;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.SheetPatches;
import keyslate.core.script.WedgeDisc;
import keyslate.core.test.TestScript;
import keyslate.core.trial.printer.TestTable.Given;

/**
 * The lens of a printer who makes tests: which mark stands, and what the patches of a test got through it.
 *
 * @param mark that stands
 */
record LensOfTests(ApertureMark mark) {
    static final List<ApertureMark> RING = ApertureMark.ring(2.8, 45, 2);
    private static final ApertureMark REFERENCE = ApertureMark.ofEngraved(8, 2);
    private static final int PER_STOP = 2;

    /** As every slate begins. */
    static LensOfTests atReference() {
        return new LensOfTests(REFERENCE);
    }

    /** Opened by whole stops, or closed; none where the ring ends. */
    Optional<LensOfTests> moved(int stops) {
        int at = RING.indexOf(mark) + PER_STOP * stops;
        return at < 0 || at >= RING.size() ? Optional.empty() : Optional.of(new LensOfTests(RING.get(at)));
    }

    /** Stops more time that this needs than the other. */
    Stops moreThan(LensOfTests other) {
        return mark.trueNumber().lightChangeTo(other.mark.trueNumber());
    }

    /** Stops closed from the reference, to a half. */
    double closed() {
        return closed(mark);
    }

    private static double closed(ApertureMark mark) {
        return Math.rint(PER_STOP
                        * REFERENCE
                                .trueNumber()
                                .lightChangeTo(mark.trueNumber())
                                .inStops())
                / -PER_STOP;
    }

    private double factor(double opening) {
        return mark.trueNumber()
                .lightChangeTo(ApertureMark.ofEngraved(opening, PER_STOP).trueNumber())
                .toFactor();
    }

    /** The patches of a test. */
    List<SheetPatches.Patch> patches(TestScript script, LampLag lag) {
        return SheetPatches.of(script.steps(), lag, new SheetPatches.StepLight() {
                    @Override
                    public double received(ExposureStep step) {
                        return step.receivedSeconds(lag);
                    }

                    @Override
                    public double openingFactor(ExposureStep step) {
                        return factor(step.opening());
                    }
                })
                .patches();
    }

    /** What a patch was given, as the table is told of it. */
    Given given(SheetPatches.Patch patch, LampLag lag) {
        double share = patch.sector().isPresent()
                ? WedgeDisc.USUAL.share(patch.sector().getAsInt())
                : 1;
        double opening = patch.step().opening();
        double lamp = patch.receivedSeconds() / factor(opening) / share;
        return new Given(
                lamp + patch.lampOns() * lag.inSeconds(),
                patch.lampOns(),
                closed(ApertureMark.ofEngraved(opening, PER_STOP)),
                share);
    }
}
