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

/** Strips for a split: one in two rows, the soft one about its whites and the hard one about its black; or one that gets both parts on the same patches. */
final class SplitStrips {
    private static final Stops FINEST = Stops.ofFraction(1, 12);
    private static final int FEWEST = 9;
    /** What a print that was not guessed may be off by. */
    private static final Stops KNOWN = Stops.ofFraction(1, 3);

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
        CoverStripPlan now = standing(rig);
        ExposureTime time = soft.whites()
                .orElseGet(() -> one.time().times(rig.medium().core().timeFactor(one.light(), light)));
        ExposureTime hardMiddle = hard.blacks().orElseGet(() -> time.times(SplitByStrips.FIRST_HARD_TIMES));
        CoverStripPlan plan = now.as(about(time, open), Strips.room(rig, now.direction()))
                .inRows(Optional.of(Light.filter(hard.filter())), Optional.of(hardMiddle));
        return editor.plan(
                rig.recipe(),
                rig.exposure().with(light, time),
                plan,
                "The soft part of a split, to be read on a strip of two rows.");
    }

    /** The recipe with a strip planned that gets both parts of a split. */
    static Recipe ofBoth(
            RecipeEditor editor, Rig rig, BaseExposure split, CoverStripPlan.SecondLies lies, Optional<Stops> open) {
        BaseExposure.Part second = split.parts().get(1);
        CoverStripPlan now = standing(rig);
        boolean guessed = "default".equals(rig.recipe().base().source());
        Optional<Stops> known = open.or(() -> guessed ? Optional.empty() : Optional.of(KNOWN));
        CoverStripPlan plan = now.as(about(split.main().time(), known), Strips.room(rig, now.direction()))
                .onTop(second.light(), second.time(), lies);
        return editor.plan(rig.recipe(), split, plan, "Both parts of a split, to be read on one strip that gets both.");
    }

    private static CoverStripPlan standing(Rig rig) {
        return rig.recipe().test() instanceof CoverStripPlan cover ? cover : Strips.usual(rig);
    }

    private static CheckStrip about(ExposureTime time, Optional<Stops> open) {
        return open.map(o -> CheckStrip.after(time, o).orElseGet(() -> new CheckStrip(time, FINEST, FEWEST)))
                .orElseGet(() -> CheckStrip.first(time));
    }
}
