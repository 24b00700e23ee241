package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleSupplier;
import java.util.stream.DoubleStream;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.SplitByStrips;
import keyslate.core.contrast.SplitExposure.Pair;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.PatchPick;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.GradedLights;
import keyslate.core.reading.Looks;
import keyslate.core.reading.SlateEvidence;
import keyslate.core.reading.SlateEvidence.Bound;
import keyslate.core.reading.SlateEvidence.Mark;
import keyslate.core.reading.SlateEvidence.Tone;
import keyslate.core.rescale.Links;
import keyslate.core.script.LampWay;
import keyslate.core.script.Settings;
import keyslate.core.script.SheetPatches;
import keyslate.core.script.StripDirection;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.CoverStripPlan.SecondLies;
import keyslate.core.test.PatchSeries;
import keyslate.core.test.TestRig;
import keyslate.core.test.TestScript;
import keyslate.core.trial.printer.MonoByTests.Bench;
import keyslate.core.trial.printer.MonoByTests.Print;
import keyslate.core.trial.printer.MonoByTests.Slate;

/**
 * A split, as the application leads to it: a strip in two rows, soft and hard; then a strip of both parts on the same patches, about the pair that the rows gave, which checks the sum.
 */
final class MonoBySplit {
    private static final Light SOFT = Light.filter(GradeFilter.G00);
    private static final Light HARD = Light.filter(GradeFilter.G5);
    private static final ExposureTime GUESS = ExposureTime.ofSeconds(10);
    private static final Length SIZE = Length.ofMm(20);
    private static final double SHORTEST = 1.5;
    private static final double LONGEST_SECONDS = 600;
    private static final int LOOKS = 2;

    private final TestTable table;
    private final Bench bench;
    private final VariableContrastPaper paper;
    private final SlateEvidence.LightModel lights;
    private final List<SeenMark> seen = new ArrayList<>();
    private final List<Print> stood = new ArrayList<>();
    private LensOfTests lens = LensOfTests.atReference();
    private ExposureTime base = GUESS;
    private Optional<ExposureTime> hardCentre = Optional.empty();
    private Optional<Stops> guessOff = Optional.empty();
    /** The pair as it was read from both parts together. */
    private Optional<Pair> summed = Optional.empty();

    private MonoBySplit(TestTable table, Bench bench) {
        this.table = table;
        this.bench = bench;
        this.paper = bench.told().filters().isEmpty()
                ? new VariableContrastPaper()
                : new VariableContrastPaper(bench.told().filters());
        this.lights = GradedLights.usual(paper);
    }

    static Slate slate(TestTable table, Bench bench) {
        MonoBySplit printer = new MonoBySplit(table, bench);
        Optional<CoverStripPlan> next =
                Optional.of(cover(CheckStrip.first(GUESS, bench.guesses())).inRows(Optional.of(HARD)));
        while (next.isPresent() && printer.stood.size() < Printers.MOST_PIECES) {
            next = printer.strip(next.get());
            printer.stood.add(printer.print());
        }
        return new Slate(printer.stood, printer.marks(), printer.guessOff);
    }

    private static CoverStripPlan cover(CheckStrip strip) {
        return new CoverStripPlan(
                PatchSeries.stops(strip.step(), 2, strip.patches()),
                StripDirection.DARK_RIGHT,
                SIZE,
                SIZE,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static LampLag lag() {
        return LampLag.ofSeconds(Links.LAG.figure());
    }

    private Optional<CoverStripPlan> strip(CoverStripPlan plan) {
        Optional<TestScript> script = workable(plan);
        if (script.isEmpty()) {
            return Optional.empty();
        }
        List<SheetPatches.Patch> patches = lens.patches(script.get(), lag());
        return plan.isOfBothLights() ? sum(patches) : rows(patches);
    }

    /** The soft row for its whites, the hard one for its black; what else they show counts too. */
    private Optional<CoverStripPlan> rows(List<SheetPatches.Patch> patches) {
        List<SheetPatches.Patch> soft = row(patches, SOFT);
        List<SheetPatches.Patch> hard = row(patches, HARD);
        Optional<CheckStrip> softBeyond = mark(Tone.WHITES, SOFT, soft);
        Optional<CheckStrip> hardBeyond = mark(Tone.BLACKS, HARD, hard);
        mark(Tone.BLACKS, SOFT, soft);
        mark(Tone.WHITES, HARD, hard);
        softBeyond.ifPresent(b -> base = b.centre());
        hardBeyond.ifPresent(b -> hardCentre = Optional.of(b.centre()));
        if (softBeyond.isPresent() || hardBeyond.isPresent()) {
            return Optional.of(
                    cover(softBeyond.or(() -> hardBeyond).orElseThrow()).inRows(Optional.of(HARD)));
        }
        SlateEvidence.Estimate whites = weighed(SOFT).time(Tone.WHITES, SOFT).orElseThrow();
        SlateEvidence.Estimate blacks = weighed(HARD).time(Tone.BLACKS, HARD).orElseThrow();
        Stops open = whites.toSettle().compareTo(blacks.toSettle()) > 0 ? whites.toSettle() : blacks.toSettle();
        Pair pair = byRows().orElse(
                        new Pair(whites.time().inSeconds(), blacks.time().inSeconds()));
        return ofBoth(pair, open);
    }

    /** The strip that checks the sum. */
    private Optional<CoverStripPlan> ofBoth(Pair pair, Stops open) {
        if (pair.softSeconds() <= 0 || pair.hardSeconds() <= 0) {
            return Optional.empty();
        }
        base = ExposureTime.ofSeconds(pair.softSeconds());
        hardCentre = Optional.of(ExposureTime.ofSeconds(pair.hardSeconds()));
        return CheckStrip.after(base, open).map(s -> cover(s).onTop(HARD, hardCentre.orElseThrow(), SecondLies.ON_TOP));
    }

    /** Whites and black of the sum itself. */
    private Optional<CoverStripPlan> sum(List<SheetPatches.Patch> patches) {
        List<List<TestTable.Part>> given = patches.stream().map(this::parts).toList();
        List<ExposureTime> totals = SeenMark.totals(patches);
        Looks whites = looks(() -> table.whitesOfBoth(given));
        Looks blacks = looks(() -> table.blacksOfBoth(given));
        boolean far = Marks.beyond(whites.place(), totals.size()) || Marks.beyond(blacks.place(), totals.size());
        Pair atWhites = at(whites.place(), totals);
        Pair atBlacks = at(blacks.place(), totals);
        summed = pair(atWhites, atBlacks);
        Pair found = summed.orElse(atWhites);
        PatchPick pick = Marks.at(whites.place(), totals.size());
        Stops open =
                far ? totals.get(totals.size() - 1).stopsFrom(totals.get(0)) : whites.limit(pick.uncertaintyOn(totals));
        return far || !CheckStrip.isSettled(open) ? ofBoth(found, open) : Optional.empty();
    }

    /** What the strip's pair was where a mark lies. */
    private Pair at(double place, List<ExposureTime> totals) {
        double middle = base.inSeconds() + hardCentre.orElseThrow().inSeconds();
        double times = Marks.at(place, totals.size()).timeOn(totals).inSeconds() / middle;
        return new Pair(base.inSeconds() * times, hardCentre.orElseThrow().inSeconds() * times);
    }

    private Optional<Pair> pair(Pair whites, Pair blacks) {
        SplitByStrips.Lights known = strips().map(SplitByStrips::lights)
                .orElseGet(() -> SplitByStrips.Lights.of(paper, SOFT.toFilter(), HARD.toFilter()));
        try {
            return Optional.of(SplitByStrips.bySum(paper, known, whites, blacks));
        } catch (QuantityException e) {
            return Optional.empty();
        }
    }

    private List<TestTable.Part> parts(SheetPatches.Patch patch) {
        int ons = patch.lampOns() / patch.parts().size();
        return patch.parts().stream()
                .map(p -> new TestTable.Part(
                        p.light().toFilter(),
                        new TestTable.Given(p.seconds() + ons * lag().inSeconds(), ons, lens.closed(), 1)))
                .toList();
    }

    private static List<SheetPatches.Patch> row(List<SheetPatches.Patch> patches, Light light) {
        return patches.stream().filter(p -> p.step().light().equals(light)).toList();
    }

    private static Looks looks(DoubleSupplier eye) {
        return new Looks(DoubleStream.generate(eye).limit(LOOKS).boxed().toList());
    }

    /** Marks a tone on a row; where it lies off it, the strip that would show it. */
    private Optional<CheckStrip> mark(Tone tone, Light row, List<SheetPatches.Patch> patches) {
        List<TestTable.Given> given =
                patches.stream().map(p -> lens.given(p, lag())).toList();
        List<ExposureTime> totals = SeenMark.totals(patches);
        Looks looks = looks(
                () -> tone == Tone.WHITES ? table.whites(row.toFilter(), given) : table.blacks(row.toFilter(), given));
        if (Marks.beyond(looks.place(), totals.size())) {
            return Optional.of(CheckStrip.beyond(totals, looks.place() > 0));
        }
        SeenMark mark = SeenMark.on(tone, row, looks, Bound.AT, patches, lens);
        if (tone == Tone.WHITES && guessOff.isEmpty() && row.equals(SOFT)) {
            guessOff = Optional.of(mark.time().stopsFrom(base));
        }
        seen.add(mark);
        return Optional.empty();
    }

    /** The pair that puts both tones right; the soft part alone as long as nothing of the hard one is known. */
    private Print print() {
        return summed.or(this::byRows)
                .map(pair ->
                        part(SOFT, pair.softSeconds(), Optional.of(part(HARD, pair.hardSeconds(), Optional.empty()))))
                .orElseGet(() -> part(SOFT, base.inSeconds(), Optional.empty()));
    }

    private Optional<SplitByStrips> strips() {
        Optional<ExposureTime> whites = time(Tone.WHITES, SOFT);
        Optional<ExposureTime> blacks = time(Tone.BLACKS, HARD);
        return whites.isEmpty() || blacks.isEmpty()
                ? Optional.empty()
                : Optional.of(new SplitByStrips(
                        paper,
                        new SplitByStrips.Marks(SOFT.toFilter(), whites, time(Tone.BLACKS, SOFT)),
                        new SplitByStrips.Marks(HARD.toFilter(), time(Tone.WHITES, HARD), blacks)));
    }

    private Optional<Pair> byRows() {
        return strips().map(s -> {
            try {
                return s.pair(SplitByStrips.School.EXACT);
            } catch (QuantityException e) {
                return s.pair(SplitByStrips.School.OVERLAID);
            }
        });
    }

    /** By the marks on that filter's own strips; what was never marked there follows nominally from the others. */
    private Optional<ExposureTime> time(Tone tone, Light through) {
        boolean marked =
                seen.stream().anyMatch(s -> s.tone() == tone && s.light().equals(through));
        return marked ? weighed(through).time(tone, through).map(SlateEvidence.Estimate::time) : Optional.empty();
    }

    private Print part(Light through, double receivedSeconds, Optional<Print> hard) {
        double set = receivedSeconds > 0 ? receivedSeconds + lag().inSeconds() : 0;
        return new Print(through.toFilter(), Printers.tenth(set), set > 0 ? 1 : 0, lens.closed(), hard);
    }

    private TestRig rig() {
        return new TestRig(
                SOFT,
                lens.mark(),
                LensOfTests.RING,
                LampWay.SWITCHED,
                TimerSteps.tenths(),
                lag(),
                Settings.SEEN,
                (time, to) -> hardCentre.orElse(time.times(SplitByStrips.FIRST_HARD_TIMES)));
    }

    /** Closes the lens by whole stops until no burst is too short to repeat, or opens it when it would take ten minutes. */
    private Optional<TestScript> workable(CoverStripPlan plan) {
        while (longest(plan) > LONGEST_SECONDS && moved(-1)) {
            // Opened once more.
        }
        Optional<TestScript> script = scripted(plan);
        for (int i = 0; i < 6 && isTooShort(script) && longest(plan) < LONGEST_SECONDS / 2 && moved(1); i++) {
            script = scripted(plan);
        }
        return script;
    }

    private static boolean isTooShort(Optional<TestScript> script) {
        return script.map(s -> s.patches().stream().anyMatch(p -> p.set() < SHORTEST))
                .orElse(true);
    }

    /** None where a part is so short that its steps cannot be set. */
    private Optional<TestScript> scripted(CoverStripPlan plan) {
        try {
            return Optional.of(planned(plan).script(base, rig()));
        } catch (QuantityException e) {
            return Optional.empty();
        }
    }

    /** Seconds under the lamp for the darkest patches. */
    private double longest(CoverStripPlan plan) {
        double far =
                plan.series().step().times((plan.series().patches() - 1) / 2.0).toFactor();
        double hard = hardCentre.map(ExposureTime::inSeconds).orElse(base.inSeconds() * SplitByStrips.FIRST_HARD_TIMES);
        return far * (base.inSeconds() + hard);
    }

    /** A strip of both parts about the pair that stands at this opening. */
    private CoverStripPlan planned(CoverStripPlan plan) {
        return plan.isOfBothLights() ? plan.onTop(HARD, hardCentre.orElseThrow(), plan.lies()) : plan;
    }

    private boolean moved(int stops) {
        Optional<LensOfTests> next = lens.moved(stops);
        next.ifPresent(to -> {
            Stops more = to.moreThan(lens);
            base = base.plus(more);
            hardCentre = hardCentre.map(t -> t.plus(more));
            lens = to;
        });
        return next.isPresent();
    }

    private List<Mark> marks() {
        return seen.stream().map(s -> s.at(lens)).toList();
    }

    private SlateEvidence weighed(Light standing) {
        return SlateEvidence.of(marks(), lights, bench.told().lag(), standing);
    }
}
