package keyslate.core.test;

import static keyslate.core.test.TestPlans.HARD;
import static keyslate.core.test.TestPlans.LAG;
import static keyslate.core.test.TestPlans.LIGHT;
import static keyslate.core.test.TestPlans.rig;
import static keyslate.core.test.TestPlans.seconds;
import static keyslate.core.test.TestPlans.strip;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import keyslate.core.quantity.QuantityException;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.SheetPatches;
import keyslate.core.test.CoverStripPlan.SecondLies;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Both parts of a split on the same patches (EXP-45). */
class OnTopTest {
    private static List<SheetPatches.Patch> patches(TestScript script) {
        return SheetPatches.of(script.steps(), LAG, s -> s.receivedSeconds(LAG)).patches();
    }

    /** 10 s and 6 s in five half stops: every patch is that pair, longer or shorter. */
    @Test
    void everyPatchIsThatSplitWithMoreOrLessOfBoth() {
        TestScript script =
                strip(5, 0.5).onTop(HARD, seconds(6), SecondLies.ON_TOP).script(seconds(10), rig(LampWay.SWITCHED));
        List<SheetPatches.Patch> patches = patches(script);
        assertThat(patches).hasSize(5);
        assertThat(script.patches()).hasSize(5);
        for (int i = 0; i < 5; i++) {
            SheetPatches.Patch patch = patches.get(i);
            assertThat(patch.isOfSeveralLights()).isTrue();
            assertThat(patch.parts().get(0).light()).isEqualTo(LIGHT);
            assertThat(patch.parts().get(1).light()).isEqualTo(HARD);
            double factor = Math.pow(2, (i - 2) * 0.5);
            assertThat(patch.parts().get(0).seconds()).isCloseTo(10 * factor, within(0.15));
            assertThat(patch.parts().get(1).seconds()).isCloseTo(6 * factor, within(0.15));
            assertThat(patch.place().height()).isCloseTo(1, within(1e-9));
            assertThat(script.patches().get(i).total().inSeconds()).isCloseTo(patch.plannedSeconds(), within(1e-6));
        }
        ExposureStep again = script.steps().get(5);
        assertThat(again.light()).isEqualTo(HARD);
        assertThat(again.cues()).contains(Cue.CHANGE_LIGHT, Cue.MOVE_CARD);
        assertThat(again.phases().get(0).uncovered())
                .isEqualTo(script.steps().get(0).phases().get(0).uncovered());
    }

    @Test
    void theSecondPartLiesInStepsOnTheWholeFirstOne() {
        TestScript script =
                strip(5, 0.5).onTop(HARD, seconds(6), SecondLies.ON_WHOLE).script(seconds(10), rig(LampWay.SWITCHED));
        assertThat(script.steps()).hasSize(6);
        List<SheetPatches.Patch> patches = patches(script);
        assertThat(patches).hasSize(5);
        for (int i = 0; i < 5; i++) {
            assertThat(patches.get(i).parts().get(0).seconds()).isCloseTo(10, within(0.06));
            assertThat(patches.get(i).parts().get(1).seconds()).isCloseTo(6 * Math.pow(2, (i - 2) * 0.5), within(0.15));
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = SecondLies.class,
            names = {"ON_TOP", "ON_WHOLE"})
    void whatCannotBeGivenIsRefusedWithTheWayOut(SecondLies lies) {
        CoverStripPlan plan = strip(5, 0.5).onTop(HARD, seconds(6), lies);
        assertThatThrownBy(() -> plan.script(seconds(10), rig(LampWay.BURNS)))
                .isInstanceOf(QuantityException.class)
                .hasMessageContaining("let the lamp be switched");
        assertThatThrownBy(
                        () -> strip(5, 0.5).onTop(LIGHT, seconds(6), lies).script(seconds(10), rig(LampWay.SWITCHED)))
                .hasMessageContaining("the same light");
        assertThat(plan.isOfBothLights()).isTrue();
        assertThat(plan.followingBase().lies()).isEqualTo(lies);
        assertThat(strip(5, 0.5).isOfBothLights()).isFalse();
    }

    /** By a timer of one's own the same presses come again through the other filter. */
    @Test
    void ownTimersGivePressesOfBoth() {
        TestScript script =
                strip(3, 1).onTop(HARD, seconds(10), SecondLies.ON_TOP).script(seconds(10), rig(LampWay.MY_TIMER));
        List<SheetPatches.Patch> patches = patches(script);
        assertThat(patches).hasSize(3);
        assertThat(patches.get(2).parts().get(1).seconds())
                .isCloseTo(4 * patches.get(0).parts().get(1).seconds(), within(1.5));
    }
}
