package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.contrast.SplitByStrips;
import keyslate.core.contrast.SplitByStrips.Lights;
import keyslate.core.contrast.SplitExposure.Pair;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.CheckStrip;
import keyslate.core.exposure.PatchPick;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.SheetPatches;
import keyslate.core.test.CoverStripPlan;
import keyslate.core.test.CoverStripPlan.SecondLies;
import keyslate.core.test.GuessPlan;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.decide.DecisionViews.SecondView;
import keyslate.server.decide.DecisionViews.VerdictView;
import keyslate.server.rig.Grades;
import keyslate.server.rig.LightView;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.Patches.OnPaper;
import keyslate.server.test.CheckPlan;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.RefusedException;
import keyslate.store.json.Look;

/**
 * A strip that got both parts of a split on the same patches: where its whites hold and where it is black says the pair, whatever both filters are off by together (CON-27). One sheet of both parts says how much more of both.
 */
final class BySum {
    private static final double ON_TIME_STOPS = 1.0 / 12;

    private final Hung strip;
    private final Marks marks;
    private final List<SheetPatches.Patch> patches;
    private final List<ExposureTime> totals;
    private final DriesDown dries;
    private final Light first;
    private final Light second;

    private BySum(Hung strip, Marks marks) {
        this.strip = strip;
        this.marks = marks;
        this.patches = strip.sheet().patches().orElseThrow().all().stream()
                .map(OnPaper::patch)
                .toList();
        this.totals = Readings.totals(strip);
        this.dries = DriesDown.of(strip, marks);
        List<SheetPatches.Received> parts = patches.get(patches.size() - 1).parts();
        if (patches.stream().flatMap(p -> p.parts().stream()).anyMatch(r -> r.seconds() <= 0)) {
            throw new ConflictException(
                    "not-both", "This sheet did not get both its parts: it tells nothing of the pair.");
        }
        this.first = parts.get(0).light();
        this.second = parts.get(1).light();
    }

    /** The verdict; none where every patch got but one light. */
    static Optional<VerdictView> verdict(Hung strip, Marks marks) {
        return of(strip, marks).map(sum -> marks.beyond() == null ? sum.read() : sum.beyond());
    }

    /** The strip that settles what is left open. */
    static Optional<CheckPlan> check(Hung strip, Marks marks) {
        return of(strip, marks).flatMap(sum -> marks.beyond() == null ? sum.next() : Beyond.of(strip, marks));
    }

    static boolean reads(Hung strip) {
        return strip.sheet().patches().map(p -> p.isOfBothLights()).orElse(false);
    }

    private static Optional<BySum> of(Hung strip, Marks marks) {
        return reads(strip) ? Optional.of(new BySum(strip, marks)) : Optional.empty();
    }

    private boolean isOneSheet() {
        return patches.size() == 1;
    }

    private boolean isOnWhole() {
        return strip.before().recipe().test() instanceof CoverStripPlan plan && plan.lies() == SecondLies.ON_WHOLE;
    }

    /** What both parts were where a mark lies. */
    private Pair at(PatchPick pick) {
        return new Pair(part(pick, 0), part(pick, 1));
    }

    /** What one sheet got of both. */
    private Pair got() {
        List<SheetPatches.Received> parts = patches.get(0).parts();
        return new Pair(parts.get(0).seconds(), parts.get(1).seconds());
    }

    private double part(PatchPick pick, int part) {
        List<ExposureTime> times = patches.stream()
                .map(p -> ExposureTime.ofSeconds(p.parts().get(part).seconds()))
                .toList();
        return pick.timeOn(times).inSeconds();
    }

    private PatchPick marked(FieldErrors errors, String field, Double at, String missing) {
        if (at == null) {
            errors.add("/marks/" + field, "E_SHAPE", missing);
        }
        return Readings.mark(errors, "/marks/" + field, at, totals).orElseGet(() -> PatchPick.ofPosition(0));
    }

    /** The pair that is found, with what it rests on. */
    private record Found(Pair pair, Stops limit, Optional<Stops> late) {}

    private Found found() {
        if (isOneSheet()) {
            return ofOneSheet();
        }
        boolean black = strip.now().recipe().naming().blackWanted();
        FieldErrors errors = new FieldErrors();
        boolean scaled = !black && !isOnWhole();
        PatchPick whites =
                marked(errors, "whitesAt", marks.whitesAt(), "Mark the patch where the whites just hold first.");
        PatchPick blacks = scaled
                ? whites
                : marked(
                        errors, "blacksAt", marks.blacksAt(), "Mark the first true black too: it tells the hard part.");
        errors.throwIfAny();
        Stops limit = Readings.limit(whites, SeveralLooks.of(marks.looks(), Look::whitesAt), totals);
        if (scaled) {
            return new Found(at(whites), limit, Optional.empty());
        }
        Stops late = blacks.timeOn(totals).stopsFrom(whites.timeOn(totals));
        try {
            Pair soft = ordered(at(whites));
            Pair pair = SplitByStrips.bySum(paper(), lights(), soft, ordered(at(blacks)));
            return new Found(ordered(pair), limit, Optional.of(late));
        } catch (QuantityException e) {
            throw RefusedException.of("/marks/blacksAt", "E_INFEASIBLE", Show.sentence(e.getMessage()));
        }
    }

    private Found ofOneSheet() {
        FieldErrors errors = new FieldErrors();
        if (marks.moreStops() == null) {
            errors.add("/marks/moreStops", "E_SHAPE", Readings.HOW_MUCH_MORE);
        }
        double more = Readings.stops(errors, "/marks/moreStops", marks.moreStops());
        errors.throwIfAny();
        Pair got = got();
        double times = Stops.of(more).toFactor();
        return new Found(
                new Pair(got.softSeconds() * times, got.hardSeconds() * times), GuessPlan.JUDGED_TO, Optional.empty());
    }

    private VariableContrastPaper paper() {
        return Grades.paper(strip.before());
    }

    private boolean isSoftFirst() {
        return first.toFilter().compareTo(second.toFilter()) < 0;
    }

    /** Soft before hard, or back. */
    private Pair ordered(Pair pair) {
        return isSoftFirst() ? pair : new Pair(pair.hardSeconds(), pair.softSeconds());
    }

    /** The lights as strips through each filter showed them, where they did, else as they are known. */
    private Lights lights() {
        Light soft = isSoftFirst() ? first : second;
        Light hard = isSoftFirst() ? second : first;
        SplitByStrips.Marks softMarks = StripTimes.through(soft.toFilter(), strip.before(), strip.cord());
        SplitByStrips.Marks hardMarks = StripTimes.through(hard.toFilter(), strip.before(), strip.cord());
        return softMarks.whites().isPresent() && hardMarks.blacks().isPresent()
                ? new SplitByStrips(paper(), softMarks, hardMarks).lights()
                : Lights.of(paper(), soft.toFilter(), hard.toFilter());
    }

    private VerdictView read() {
        Found found = found();
        BaseExposure.Part one = part(first, found.pair().softSeconds());
        BaseExposure.Part other = part(second, found.pair().hardSeconds());
        List<String> rests = new ArrayList<>();
        rests.add(
                isOneSheet()
                        ? "It got both parts, on record: " + inWords(got()) + "."
                        : "Every patch got both parts, on record; both filters are off alike in whites and black, so that it cancels (CON-27).");
        Readings.needs(rests, strip, marks);
        dries.say(strip.carried(all(found.pair()))).ifPresent(rests::add);
        Readings.said(
                rests, "Whites hold at ", marks.whitesAt(), SeveralLooks.of(marks.looks(), Look::whitesAt), totals);
        if (marks.blacksAt() != null) {
            Readings.said(
                    rests,
                    "First true black at ",
                    marks.blacksAt(),
                    SeveralLooks.of(marks.looks(), Look::blacksAt),
                    totals);
        }
        return new VerdictView(
                headline(found, one, other),
                why(found),
                rests,
                LightView.of(first),
                one.time().inSeconds(),
                one.time().inSeconds(),
                dries.with(found.limit()).inStops(),
                next().map(Readings::check).orElse(null),
                null,
                false,
                new SecondView(LightView.of(second), other.time().inSeconds()));
    }

    private BaseExposure.Part part(Light light, double seconds) {
        return new BaseExposure.Part(light, dries.allowed(strip.carried(ExposureTime.ofSeconds(seconds))));
    }

    private static String headline(Found found, BaseExposure.Part one, BaseExposure.Part other) {
        return found.late()
                        .map(late -> Math.abs(late.inStops()) < ON_TIME_STOPS
                                ? "Whites and black come together. "
                                : String.format(
                                        Locale.ROOT,
                                        "Black comes %.2f stop %s. ",
                                        Math.abs(late.inStops()),
                                        late.inStops() > 0 ? "late" : "early"))
                        .orElse("")
                + "Give " + said(one) + ", then " + said(other) + ".";
    }

    private String inWords(Pair pair) {
        return said(new BaseExposure.Part(first, ExposureTime.ofSeconds(pair.softSeconds()))) + ", then "
                + said(new BaseExposure.Part(second, ExposureTime.ofSeconds(pair.hardSeconds())));
    }

    private static ExposureTime all(Pair pair) {
        return ExposureTime.ofSeconds(pair.softSeconds() + pair.hardSeconds());
    }

    private static String said(BaseExposure.Part part) {
        return Show.seconds(part.time().inSeconds()) + " through grade "
                + part.light().toFilter().label();
    }

    private String why(Found found) {
        if (isOneSheet()) {
            return "Both parts alike, as you judged the sheet; their share stays. Nothing of it tells the contrast.";
        }
        return found.late().isEmpty()
                ? "Both parts alike, as the whites want them. No true black is wanted, so their share stays."
                : "The pair that puts the whites and the black on one patch.";
    }

    private Optional<CheckPlan> next() {
        Found found = found();
        return CheckStrip.after(all(found.pair()), found.limit()).map(CheckPlan::inOneRow);
    }

    /** The answer lies off the strip: both parts move on alike. */
    private VerdictView beyond() {
        VerdictView plain = Beyond.verdict(strip, marks).orElseThrow();
        PatchPick middle = PatchPick.ofPosition((patches.size() - 1) / 2.0);
        double times = plain.seconds() / strip.carried(middle.timeOn(totals)).inSeconds();
        Pair pair = at(middle);
        BaseExposure.Part one = part(first, pair.softSeconds() * (isOnWhole() ? 1 : times));
        BaseExposure.Part other = part(second, pair.hardSeconds() * times);
        return new VerdictView(
                plain.headline(),
                plain.why(),
                plain.restsOn(),
                LightView.of(first),
                one.time().inSeconds(),
                one.time().inSeconds(),
                plain.uncertaintyStops(),
                plain.check(),
                null,
                true,
                new SecondView(LightView.of(second), other.time().inSeconds()));
    }

    /** The pair of a verdict of two parts. */
    static Optional<BaseExposure.Part> second(Rig now, VerdictView verdict) {
        SecondView second = verdict.second();
        return second == null
                ? Optional.empty()
                : Optional.of(new BaseExposure.Part(
                        now.medium().core().read(second.light().notation()), ExposureTime.ofSeconds(second.seconds())));
    }
}
