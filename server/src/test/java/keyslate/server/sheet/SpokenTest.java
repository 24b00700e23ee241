package keyslate.server.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.local.AreaShape;
import keyslate.core.local.LocalChange;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.LampWay;
import keyslate.core.script.LocalWork;
import keyslate.core.script.Part;
import keyslate.core.script.Phase;
import keyslate.core.script.Settings;
import keyslate.core.script.StripDirection;
import keyslate.core.script.WedgeDisc;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.GuessPlan;
import keyslate.core.test.OpeningsPlan;
import keyslate.core.test.PatchSeries;
import keyslate.core.test.PieceMarks;
import keyslate.core.test.PiecesPlan;
import keyslate.core.test.SameSpotPlan;
import keyslate.core.test.TestPlan;
import keyslate.core.test.TestRig;
import keyslate.core.test.WedgePlan;
import keyslate.server.Spoken;
import keyslate.server.sheet.SheetViews.StepView;
import keyslate.store.slate.Recipe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said in the dark, and that every word of it was recorded. */
class SpokenTest {
    private static final Length SIZE = Length.ofMm(40);
    private static final TestPlan ANY = new GuessPlan(Optional.empty(), 1, Optional.empty(), Optional.empty());
    private static final Recipe.Local NO_WORK = new Recipe.Local(List.of(), LocalWork.Way.ONE_EXPOSURE);
    private static final Path VOICE = Path.of("../web");

    @ParameterizedTest
    @CsvSource({
        "0, n0",
        "7, n7",
        "20, n20",
        "21, n20 n1",
        "40, n40",
        "99, n90 n9",
        "100, n1 hundred",
        "115, n1 hundred n15",
        "342, n3 hundred n40 n2",
        "1200, n12 hundred"
    })
    void numbersAreMadeOfFewClips(int number, String clips) {
        assertThat(String.join(" ", new Spoken().number(number).clips())).isEqualTo(clips);
    }

    @ParameterizedTest
    @CsvSource({"10, n10 seconds", "10.4, n10 point n4 seconds", "0.5, n0 point n5 seconds", "9.96, n10 seconds"})
    void timesAreSaidToATenth(double seconds, String clips) {
        assertThat(String.join(" ", new Spoken().seconds(seconds).clips())).isEqualTo(clips);
    }

    @Test
    void aCoveredStripSaysHowFarTheCardGoes() {
        List<ExposureStep> steps = List.of(covered(1), covered(2), covered(3), covered(4));
        assertThat(said(steps, ANY, 0)).containsExactly("whole-strip");
        assertThat(said(steps, ANY, 1)).containsExactly("cover-patch", "n1");
        assertThat(said(steps, ANY, 3)).containsExactly("cover-patches-one-to", "n3");
    }

    @Test
    void oneTimeThroughOpeningsSaysTheClicksFromOpen() {
        OpeningsPlan plan = new OpeningsPlan(
                Optional.of(ExposureTime.ofSeconds(10)),
                Optional.of(8.0),
                1,
                3,
                StripDirection.DARK_RIGHT,
                SIZE,
                SIZE,
                Optional.empty(),
                Optional.empty());
        assertThat(said(plan, 0)).containsExactly("patch", "n1", "alone");
        assertThat(said(plan, 1)).containsExactly("the-lens", "n3", "clicks-from-open", "patch", "n2", "alone");
        assertThat(said(plan, 2)).containsExactly("the-lens", "n2", "clicks-from-open", "patch", "n3", "alone");
        assertThat(words(plan).get(1).before())
                .isEqualTo("Lens to f/6.7, 3 clicks from open. Patch 2 alone free of the card");
    }

    /** The first patch of each row is alone too: a row that lay open whole would be spoilt. */
    @Test
    void openingsInTwoRowsSayTheRowAndThePatchThatIsAlone() {
        OpeningsPlan plan = new OpeningsPlan(
                Optional.of(ExposureTime.ofSeconds(10)),
                Optional.of(8.0),
                1,
                3,
                StripDirection.DARK_RIGHT,
                SIZE,
                SIZE,
                Optional.empty(),
                Optional.of(Light.filter(GradeFilter.G3)));
        assertThat(said(plan, 0)).containsExactly("first-half", "patch", "n1", "alone");
        assertThat(said(plan, 1)).containsExactly("the-lens", "n3", "clicks-from-open", "patch", "n2", "alone");
        assertThat(said(plan, 3))
                .containsExactly(
                        "set-grade", "n3", "the-lens", "n4", "clicks-from-open", "other-half", "patch", "n1", "alone");
        assertThat(words(plan).get(0).words()).isEqualTo("Upper row, patch 1 alone free of the card");
        assertThat(words(plan).get(3).before())
                .isEqualTo("Set grade 3. Card off the lower row, over the upper row. Lens to f/8, 4 clicks from open."
                        + " Lower row, patch 1 alone free of the card");
        assertThat(words(plan).get(4).words()).isEqualTo("Lower row, patch 2 alone free of the card");
    }

    @Test
    void ofThreeRowsAllButOneLieUnderCards() {
        CoverStripPlan plan = new CoverStripPlan(
                        PatchSeries.stops(Stops.of(1), 2, 3),
                        StripDirection.DARK_BOTTOM,
                        SIZE,
                        SIZE,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty())
                .inRows(List.of(Light.filter(GradeFilter.G3), Light.filter(GradeFilter.G1)));
        assertThat(said(plan, 0)).containsExactly("all-but-row", "n1");
        assertThat(said(plan, 3)).containsExactly("set-grade", "n3", "all-but-row", "n2");
        assertThat(words(plan).get(3).before()).isEqualTo("Set grade 3. Cards over all but the middle third");
        assertThat(words(plan).get(6).words()).isEqualTo("Right third");
    }

    @Test
    void aStripInItsHolderIsMovedOn() {
        SameSpotPlan plan = new SameSpotPlan(
                PatchSeries.stops(Stops.of(1), 2, 3), StripDirection.DARK_RIGHT, SIZE, SIZE, Optional.empty());
        assertThat(said(plan, 0)).containsExactly("patch", "n1");
        assertThat(said(plan, 2)).containsExactly("move-on", "patch", "n3");
        assertThat(words(plan).get(2).before()).isEqualTo("Move the paper on to patch 3");
    }

    @Test
    void piecesAreTakenMarkedAndPutAway() {
        assertThat(said(pieces(PieceMarks.Way.CORNERS), 1))
                .containsExactly(
                        "piece", "n1", "into-the-drum", "piece", "n2", "emulsion-up", "clip", "upper-right", "corner");
        assertThat(said(pieces(PieceMarks.Way.NIPS), 0)).containsExactly("piece", "n1", "emulsion-up", "n1", "nip");
        assertThat(said(pieces(PieceMarks.Way.ORDER), 2))
                .containsExactly("piece", "n2", "into-the-drum", "piece", "n3", "emulsion-up");
        assertThat(words(pieces(PieceMarks.Way.CORNERS)).get(1).before())
                .isEqualTo(
                        "Piece 1 into the drum, lid on. Piece 2 to its place, emulsion up, upper right corner clipped");
    }

    @Test
    void aWedgeIsLaidOnThePaper() {
        WedgePlan plan = new WedgePlan(WedgeDisc.USUAL, Optional.empty(), SIZE, Optional.empty());
        assertThat(said(plan, 0)).containsExactly("disc-on");
        assertThat(words(plan).get(0).words()).isEqualTo("Through the disc");
    }

    private static PiecesPlan pieces(PieceMarks.Way marks) {
        return new PiecesPlan(PatchSeries.stops(Stops.of(1), 2, 3), List.of(), marks, SIZE, SIZE, Optional.empty());
    }

    private static List<String> said(TestPlan plan, int step) {
        return words(plan).get(step).said();
    }

    private static List<StepView> words(TestPlan plan) {
        List<ApertureMark> ring = ApertureMark.ring(4, 22, 2);
        TestRig rig = new TestRig(
                Light.filter(GradeFilter.G2),
                ring.get(4),
                ring,
                LampWay.SWITCHED,
                TimerSteps.tenths(),
                LampLag.NONE,
                Settings.SEEN,
                (base, to) -> base);
        return StepWords.of(
                plan.script(ExposureTime.ofSeconds(10), rig).steps(),
                new StepWords.Around(
                        NO_WORK,
                        LampLag.NONE,
                        false,
                        false,
                        false,
                        true,
                        ring.stream().map(ApertureMark::engraved).toList(),
                        plan,
                        Light::notation));
    }

    @Test
    void areasAreSaidByTheirNumberOnTheList() {
        ExposureStep base = step(
                1,
                List.of(Phase.holding(2, List.of()), Phase.holding(3, List.of("door")), Phase.holding(5, List.of())),
                10,
                1,
                List.of());
        assertThat(said(base)).containsExactly("base", "hold-back", "area", "n2");
        ExposureStep burn =
                step(2, List.of(Phase.covered(2), Phase.burning(4, "sky")), 6, 1, List.of(Cue.SET_TIMER, Cue.BURN));
        assertThat(said(burn)).containsExactly("set-timer-to", "n6", "seconds", "burn", "area", "n1");
    }

    @Test
    void theStackOfAContactPrintIsSaidFirst() {
        ExposureStep first =
                step(1, List.of(Phase.holding(4, List.of())), 4, 1, List.of()).after(Cue.LAY_STACK);
        assertThat(inContact(first, true, false))
                .containsExactly("red-in", "paper-up", "film-down", "glass-on", "red-out", "base-nothing-held");
        assertThat(inContact(first, true, true)).contains("red-starts").doesNotContain("red-out");
        assertThat(inContact(first, false, false))
                .containsExactly("paper-up", "film-down", "glass-on", "base-nothing-held");
    }

    private static List<String> inContact(ExposureStep step, boolean redFilter, boolean burns) {
        Recipe.Local none = new Recipe.Local(List.of(), LocalWork.Way.values()[0]);
        return StepWords.of(
                        List.of(step),
                        new StepWords.Around(
                                none, LampLag.NONE, true, redFilter, burns, false, List.of(), ANY, Light::notation))
                .get(0)
                .said();
    }

    @Test
    void pressesAndLightsAreSaid() {
        ExposureStep pressed = step(1, List.of(Phase.holding(4, List.of())), 4, 3, List.of());
        assertThat(said(pressed)).containsExactly("base-nothing-held", "press", "n3", "times");
        assertThat(clips(Light.filter(GradeFilter.G00))).containsExactly("set-grade", "double-zero");
        assertThat(clips(Light.filter(GradeFilter.G2_5))).containsExactly("set-grade", "n2", "and-a-half");
        assertThat(clips(Light.dials(FilterPack.of(0, 50, 40)))).containsExactly("set-light");
    }

    @Test
    void everyClipIsOnTheListAndRecorded() throws IOException {
        Set<String> listed = Files.readAllLines(VOICE.resolve("voice/words.tsv")).stream()
                .map(line -> line.split("\t")[0])
                .collect(Collectors.toSet());
        for (int n = 0; n < 1000; n++) {
            assertThat(listed).containsAll(new Spoken().number(n).clips());
        }
        for (GradeFilter grade : GradeFilter.values()) {
            assertThat(listed).containsAll(clips(Light.filter(grade)));
        }
        assertThat(listed)
                .containsAll(said(List.of(covered(1), covered(2), covered(3)), ANY, 2))
                .containsAll(clips(Light.dials(FilterPack.of(0, 1, 2))))
                .contains("base", "base-hands-out", "base-nothing-held", "hold-back", "burn", "area", "and")
                .contains("piece", "patch", "alone", "into-the-drum", "aside", "emulsion-up", "clip", "corner")
                .contains("upper-left", "upper-right", "lower-right", "lower-left", "nip", "nips", "move-on")
                .contains("the-lens", "wide-open", "click-from-open", "clicks-from-open", "disc-on")
                .contains("red-in", "paper-up", "film-down", "glass-on", "red-out", "red-starts")
                .contains("press", "times", "set-timer-to", "point", "seconds", "whole-strip", "cover-patch");
        for (String clip : listed) {
            assertThat(VOICE.resolve("public/voice/" + clip + ".mp3")).isNotEmptyFile();
        }
    }

    private static List<String> clips(Light light) {
        return new Spoken().light(light).clips();
    }

    private static List<String> said(ExposureStep step) {
        Recipe.Local local = new Recipe.Local(List.of(area("sky"), area("door")), LocalWork.Way.values()[0]);
        return StepWords.of(
                        List.of(step),
                        new StepWords.Around(
                                local, LampLag.NONE, false, false, false, false, List.of(), ANY, Light::notation))
                .get(0)
                .said();
    }

    private static List<String> said(List<ExposureStep> steps, TestPlan plan, int step) {
        return StepWords.of(
                        steps,
                        new StepWords.Around(
                                NO_WORK, LampLag.NONE, false, false, false, false, List.of(), plan, Light::notation))
                .get(step)
                .said();
    }

    private static Recipe.Area area(String key) {
        return new Recipe.Area(
                key,
                key + " as it is called",
                new AreaShape.Edge(new AreaShape.Point(0, 0.5), new AreaShape.Point(1, 0.5)),
                0.1,
                LocalChange.ofStops(0.5),
                Optional.empty(),
                "card");
    }

    private static ExposureStep covered(int place) {
        return step(
                place,
                List.of(Phase.uncovering(4, new Part(0.1 * place, 0, 1 - 0.1 * place, 1))),
                4,
                1,
                place == 1 ? List.of() : List.of(Cue.MOVE_CARD));
    }

    private static ExposureStep step(int place, List<Phase> phases, double set, int presses, List<Cue> cues) {
        return new ExposureStep(
                place, 1, Light.filter(GradeFilter.G2), 8, ExposureTime.ofSeconds(set), presses, phases, cues);
    }
}
