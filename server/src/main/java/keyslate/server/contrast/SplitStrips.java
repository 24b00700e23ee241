package keyslate.server.contrast;

import java.util.Optional;
import keyslate.core.contrast.SplitByStrips;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.script.BaseExposure;
import keyslate.core.test.CoverStripPlan;
import keyslate.server.recipe.RecipeEditor;
import keyslate.server.rig.Rig;
import keyslate.server.test.Strips;
import keyslate.store.slate.Recipe;

/** One strip in two rows for a split: the soft one about its whites, the hard one about its black. */
final class SplitStrips {
    private static final Stops FINEST = Stops.ofFraction(1, 12);
    private static final int FEWEST = 9;

    private SplitStrips() {}

    /**
     * The recipe with that strip planned, its base through the soft filter.
     *
     * @param open what the readings so far leave open; none before there are any
     */
    static Recipe planned(
            RecipeEditor editor, Rig rig, SplitByStrips.Marks soft, SplitByStrips.Marks hard, Optional<Stops> open) {
        Light light = Light.filter(soft.filter());
        BaseExposure.Part one = rig.one();
        ExposureTime time = soft.whites()
                .orElseGet(() -> one.time().times(rig.medium().core().timeFactor(one.light(), light)));
        ExposureTime hardMiddle = hard.blacks().orElseGet(() -> time.times(SplitByStrips.FIRST_HARD_TIMES));
        CheckStrip strip = open.map(
                        o -> CheckStrip.after(time, o).orElseGet(() -> new CheckStrip(time, FINEST, FEWEST)))
                .orElseGet(() -> CheckStrip.first(time));
        CoverStripPlan now = rig.recipe().test() instanceof CoverStripPlan cover ? cover : Strips.usual(rig);
        CoverStripPlan plan = now.as(strip, Strips.room(rig, now.direction()))
                .inRows(Optional.of(Light.filter(hard.filter())), Optional.of(hardMiddle));
        return editor.plan(
                rig.recipe(),
                rig.exposure().with(light, time),
                plan,
                "The soft part of a split, to be read on a strip of two rows.");
    }
}
