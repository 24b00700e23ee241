package keyslate.server.decide;

import java.util.Optional;
import java.util.OptionalInt;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.script.BaseExposure;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Answer;
import keyslate.server.decide.DecisionViews.PressesView;
import keyslate.server.decide.DecisionViews.Taking;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.rig.Rig;
import keyslate.server.test.CheckPlan;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.RefusedException;

/**
 * What becomes of a verdict.
 *
 * @param time as received
 * @param presses that the base is given in; none = as it stands
 * @param overruled whether something else than the verdict is set
 * @param check the strip to plan; none where nothing is left open
 * @param second the second part of a split that is taken as a whole
 */
record Taken(
        Light light,
        ExposureTime time,
        OptionalInt presses,
        boolean overruled,
        Optional<CheckPlan> check,
        Optional<BaseExposure.Part> second) {
    private static Taken of(Light light, ExposureTime time, boolean overruled) {
        return new Taken(light, time, OptionalInt.empty(), overruled, Optional.empty(), Optional.empty());
    }

    private Taken with(Optional<BaseExposure.Part> other) {
        return new Taken(light, time, presses, overruled, check, other);
    }

    /** The base exposure of a split that is taken as a whole. */
    Optional<BaseExposure> split(BaseExposure stood) {
        return second.map(other -> stood.split(new BaseExposure.Part(light, time), other));
    }

    /**
     * By the answer to a verdict.
     *
     * @throws RefusedException at the field that does not fit the verdict
     */
    static Taken by(Taking taking, VerdictView verdict, Hung sheet, Optional<CheckPlan> check) {
        Light proposed = Light.of(verdict.light().notation());
        ExposureTime time = ExposureTime.ofSeconds(verdict.seconds());
        Light stood = sheet.light();
        refuseForeign(sheet.now(), taking, taking.answer() == Answer.KEEP_LIGHT ? stood : proposed);
        return switch (taking.answer()) {
            case PROPOSED -> of(proposed, time, false).with(BySum.second(sheet.now(), verdict));
            case CHECK ->
                new Taken(
                        proposed,
                        time,
                        OptionalInt.empty(),
                        false,
                        Optional.of(check.orElseThrow(
                                () -> refused("This reading is sure enough; a check strip would tell nothing new."))),
                        BySum.second(sheet.now(), verdict));
            case KEEP_LIGHT -> of(stood, ExposureTime.ofSeconds(verdict.keepSeconds()), !proposed.equals(stood));
            case AS_PATCH -> asPatch(verdict, proposed);
            case OWN -> own(sheet.now(), taking);
        };
    }

    /** A sheet on another paper may speak for a light that the paper in hand is not printed with. */
    private static void refuseForeign(Rig now, Taking taking, Light light) {
        if (taking.answer() == Answer.OWN) {
            return;
        }
        try {
            now.medium().core().read(light.notation());
        } catch (QuantityException e) {
            throw refused("This sheet is on other paper than the one that stands: take that box at Set up first. "
                    + Show.sentence(e.getMessage()));
        }
    }

    private static Taken asPatch(VerdictView verdict, Light light) {
        PressesView presses = verdict.asPatch();
        if (presses == null) {
            throw refused("This patch was not given in equal exposures that could be given again.");
        }
        return new Taken(
                light,
                ExposureTime.ofSeconds(presses.seconds()),
                OptionalInt.of(presses.count()),
                false,
                Optional.empty(),
                Optional.empty());
    }

    private static Taken own(Rig now, Taking taking) {
        FieldErrors errors = new FieldErrors();
        Light light = errors.check(
                "/taking/light",
                now.light(),
                () -> now.medium().core().read(taking.light() == null ? "" : taking.light()));
        ExposureTime time = errors.check(
                "/taking/seconds",
                now.base(),
                () -> ExposureTime.ofSeconds(taking.seconds() == null ? Double.NaN : taking.seconds()));
        errors.throwIfAny();
        return of(light, time, true);
    }

    private static RefusedException refused(String why) {
        return RefusedException.of("/taking/answer", "E_SHAPE", why);
    }

    /** What it adds to the words of the verdict; empty as a rule. */
    String says() {
        return presses.isPresent() ? " Given as the patch, in " + presses.getAsInt() + " exposures." : "";
    }
}
