package keyslate.core.test;

import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TestSeries;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import keyslate.core.script.LampWay;
import keyslate.core.script.Settings;
import keyslate.core.script.StripDirection;

/** What the tests of the kinds of test are made with. */
final class TestPlans {
    static final Light LIGHT = Light.filter(GradeFilter.G2_5);
    static final Light HARD = Light.filter(GradeFilter.G4);
    static final LampLag LAG = LampLag.ofSeconds(0.1);

    private TestPlans() {}

    static ExposureTime seconds(double seconds) {
        return ExposureTime.ofSeconds(seconds);
    }

    static List<ExposureTime> totals(int patches, double step, double centre) {
        return TestSeries.equalStopsAbout(seconds(centre), Stops.of(step), patches);
    }

    static CoverStripPlan strip(int patches, double step) {
        return new CoverStripPlan(
                PatchSeries.stops(Stops.of(step), 2, patches),
                StripDirection.DARK_RIGHT,
                Length.ofMm(24),
                Length.ofMm(60),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    static TestRig rig(LampWay way) {
        return rig(way, LAG, 8);
    }

    /** A lens from f/4 to f/22 that clicks in half stops, grade 4 taking twice the time. */
    static TestRig rig(LampWay way, LampLag lag, double opening) {
        return new TestRig(
                LIGHT,
                ApertureMark.ofEngraved(opening, 2),
                ApertureMark.ring(4, 22, 2),
                way,
                TimerSteps.tenths(),
                lag,
                new Settings(false, false, way == LampWay.MY_TIMER),
                (base, to) -> to.equals(HARD) ? base.times(2) : base);
    }
}
