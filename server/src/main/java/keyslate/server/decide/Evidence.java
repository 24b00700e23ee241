package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import keyslate.core.exposure.PatchPick;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.SlateEvidence.Bound;
import keyslate.core.reading.SlateEvidence.Mark;
import keyslate.core.reading.SlateEvidence.Tone;
import keyslate.core.script.SheetPatches;
import keyslate.core.test.GuessPlan;
import keyslate.server.Show;
import keyslate.server.decide.DecisionViews.Marks;
import keyslate.server.rig.Rig;
import keyslate.server.rig.WayBetween;
import keyslate.server.sheet.Patches;
import keyslate.server.sheet.Patches.OnPaper;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.store.json.Look;
import keyslate.store.json.Pictured;
import keyslate.store.json.Seen;
import keyslate.store.slate.Decision;
import org.jspecify.annotations.Nullable;

/**
 * The readings of a slate as marks that can be weighed: the one that is being made, and the last one by eye and by picture of every test on the same paper, carried to
 * what stands now.
 *
 * @param own marks of the sheet that is being read
 * @param others marks of the other sheets, with what is said of each
 */
record Evidence(List<Mark> own, List<Other> others) {
    /** A mark of another sheet. */
    record Other(String label, Mark mark) {}

    /** What was seen on a sheet: places of marks, or how much more light it needs. */
    private record Looked(
            @Nullable Double whites,
            @Nullable Double middle,
            @Nullable Double blacks,
            @Nullable String blackBeyond,
            @Nullable Double more,
            boolean dry,
            @Nullable List<Look> looks,
            @Nullable Pictured pictured) {
        static Looked of(Marks marks) {
            return new Looked(
                    marks.whitesAt(),
                    marks.rightAt(),
                    marks.blacksAt(),
                    marks.blackBeyond(),
                    marks.moreStops(),
                    Boolean.TRUE.equals(marks.dry()),
                    marks.looks(),
                    marks.pictured());
        }

        static Looked of(Seen seen) {
            return new Looked(
                    seen.whitesAt(),
                    seen.rightAt(),
                    seen.blacksAt(),
                    seen.blackBeyond(),
                    seen.moreStops(),
                    Boolean.TRUE.equals(seen.dry()),
                    seen.looks(),
                    seen.pictured());
        }
    }

    Evidence {
        own = List.copyOf(own);
        others = List.copyOf(others);
    }

    /**
     * The evidence of a slate while one of its tests is being read.
     *
     * @param whole the tone that a remark about a whole sheet is about
     * @param blacks whether a black is asked for at all
     */
    static Evidence of(Hung strip, Marks marks, Tone whole, boolean blacks) {
        List<Other> others = new ArrayList<>();
        for (OnCord on : strip.cord()) {
            boolean counts = tells(on) && isComparable(new WayBetween(on.rig(), strip.before()));
            if (counts) {
                Hung other = strip.other(on);
                for (int row = 1; row <= other.rows(); row++) {
                    others.addAll(others(strip, marks, other, row, whole, blacks));
                }
            }
        }
        return new Evidence(marks(strip, Looked.of(marks), whole, blacks), others);
    }

    /** A test that hangs, in no doubt, each of whose patches got one light: both parts of a split together tell of neither filter. */
    private static boolean tells(OnCord on) {
        return on.patches().filter(p -> !p.isOfBothLights()).isPresent()
                && on.view().isHung()
                && on.view().doubt() == null;
    }

    /** What the last readings of all tests of a slate say, as it stands now; whites, middle and, where one is wanted, black. */
    static List<Mark> ofSlate(Rig now, List<OnCord> cord) {
        List<Mark> all = new ArrayList<>();
        for (OnCord on : cord) {
            boolean counts = tells(on) && isComparable(new WayBetween(on.rig(), now));
            if (counts) {
                Hung sheet = new Hung(on, now, cord);
                for (int row = 1; row <= sheet.rows(); row++) {
                    Hung ofRow = sheet.row(row);
                    for (boolean byPicture : new boolean[] {false, true}) {
                        last(sheet, row, byPicture)
                                .ifPresent(seen -> all.addAll(marks(ofRow, Looked.of(seen), Tone.WHITES, true)));
                    }
                }
            }
        }
        return all;
    }

    /** The last readings of one row of a sheet, but for the one that is being made. */
    private static List<Other> others(Hung strip, Marks marks, Hung other, int row, Tone whole, boolean blacks) {
        boolean own = other.id().equals(strip.id()) && row == rowOf(marks.row());
        List<Other> others = new ArrayList<>();
        for (boolean byPicture : new boolean[] {false, true}) {
            if (!own || byPicture != (marks.pictured() != null)) {
                String label = label(other, row, own, byPicture);
                last(other, row, byPicture)
                        .ifPresent(seen -> marks(other.row(row), Looked.of(seen), whole, blacks)
                                .forEach(m -> others.add(new Other(label, m))));
            }
        }
        return others;
    }

    /** The last reading of a row in one of the two ways: by eye, or from its picture. */
    private static Optional<Seen> last(Hung sheet, int row, boolean byPicture) {
        return sheet.sheet().exposed().decisions().stream()
                .filter(d -> Decision.READING.equals(d.kind()))
                .map(Decision::seen)
                .filter(s -> s.beyond() == null && byPicture == (s.pictured() != null) && rowOf(s.row()) == row)
                .reduce((first, last) -> last);
    }

    private static int rowOf(@Nullable Integer row) {
        return row == null ? 1 : row;
    }

    private static String label(Hung sheet, int row, boolean own, boolean byPicture) {
        if (own) {
            return byPicture ? "The picture" : "Your eye";
        }
        return sheet.view().label()
                + (sheet.rows() > 1 ? ", row " + row + "," : "")
                + (byPicture ? ", by its picture," : "");
    }

    /** The same paper under the same lamp, both enlarged or both in contact: else nothing tells how far one stands for the other. */
    private static boolean isComparable(WayBetween way) {
        return way.isSamePaper()
                && way.isSameEnlarger()
                && way.before().inContact() == way.now().inContact();
    }

    List<Mark> all() {
        List<Mark> all = new ArrayList<>(own);
        others.forEach(o -> all.add(o.mark()));
        return all;
    }

    /** One's own mark of a tone. */
    Optional<Mark> own(Tone tone) {
        return own.stream().filter(m -> m.tone() == tone).findFirst();
    }

    /** What other tests say of a tone, in a line each. */
    List<String> saysOf(Tone tone) {
        return others.stream()
                .filter(o -> o.mark().tone() == tone)
                .map(o -> o.label() + " said " + Show.seconds(o.mark().time().inSeconds()) + " at "
                        + o.mark().light().notation() + ", ± "
                        + Show.stopsApart(o.mark().limit()) + "; it counts too.")
                .toList();
    }

    private static List<Mark> marks(Hung sheet, Looked looked, Tone whole, boolean blacks) {
        List<Mark> marks = new ArrayList<>();
        boolean one = sheet.view().patches().size() == 1;
        if (one && FromPicture.ofOneSheet(looked.pictured(), "whitesAt").isPresent()) {
            addOneSheet(marks, sheet, looked, Tone.WHITES, "whitesAt");
            addOneSheet(marks, sheet, looked, Tone.MIDDLE, "moreStops");
        } else if (looked.more() != null && one) {
            OnPaper only = sheet.sheet().patches().orElseThrow().all().get(0);
            ExposureTime time =
                    ExposureTime.ofSeconds(only.patch().receivedSeconds()).plus(Stops.of(looked.more()));
            marks.add(mark(
                    sheet,
                    looked,
                    whole,
                    only.patch().step().light(),
                    time,
                    FromPicture.limit(looked.pictured(), "moreStops")
                            .map(Stops::of)
                            .orElse(GuessPlan.JUDGED_TO),
                    lagShare(sheet, only.patch())));
        }
        if (one && blacks && FromPicture.tellsBlack(looked.pictured())) {
            addOneSheet(marks, sheet, looked, Tone.BLACKS, "blacksAt");
        }
        add(marks, sheet, looked, Tone.WHITES, "whitesAt", Look::whitesAt, looked.whites());
        add(marks, sheet, looked, Tone.MIDDLE, "rightAt", Look::rightAt, looked.middle());
        if (blacks) {
            add(marks, sheet, looked, Tone.BLACKS, "blacksAt", Look::blacksAt, looked.blacks());
            addBound(marks, sheet, looked);
        }
        return marks;
    }

    /** A tone of one sheet whose picture was measured: the paper's curve says at which time it would be right. */
    private static void addOneSheet(List<Mark> marks, Hung sheet, Looked looked, Tone tone, String field) {
        SheetPatches.Patch only =
                sheet.sheet().patches().orElseThrow().all().get(0).patch();
        FromPicture.ofOneSheet(looked.pictured(), field)
                .ifPresent(t -> marks.add(mark(
                        sheet,
                        looked,
                        tone,
                        only.step().light(),
                        ExposureTime.ofSeconds(t.seconds()),
                        Stops.of(t.limitStops()),
                        lagShare(sheet, only))));
    }

    private static void add(
            List<Mark> marks,
            Hung sheet,
            Looked looked,
            Tone tone,
            String field,
            Function<Look, Double> ofLook,
            @Nullable Double at) {
        List<OnPaper> patches = sheet.sheet().patches().orElseThrow().all();
        if (at == null
                || patches.size() < 2
                || sheet.sheet().patches().orElseThrow().differInLight()) {
            return;
        }
        List<ExposureTime> totals = Readings.totals(sheet);
        PatchPick pick = PatchPick.ofPosition(at);
        SheetPatches.Patch low = patches.get(pick.index()).patch();
        SheetPatches.Patch high =
                patches.get(Math.min(patches.size() - 1, pick.index() + 1)).patch();
        double lag = (1 - pick.weight()) * lagShare(sheet, low) + pick.weight() * lagShare(sheet, high);
        Stops limit = FromPicture.limit(looked.pictured(), field)
                .map(Stops::of)
                .orElseGet(() -> Readings.limit(pick, SeveralLooks.of(looked.looks(), ofLook), totals));
        marks.add(mark(sheet, looked, tone, low.step().light(), pick.timeOn(totals), limit, lag));
    }

    /** A black that lies off the test: its last patch, or its first, is the least that is known. */
    private static void addBound(List<Mark> marks, Hung sheet, Looked looked) {
        Patches patches = sheet.sheet().patches().orElseThrow();
        if (looked.blackBeyond() == null
                || looked.blacks() != null
                || patches.all().size() < 2
                || patches.differInLight()) {
            return;
        }
        List<ExposureTime> totals = Readings.totals(sheet);
        boolean later = "DARKER".equals(looked.blackBeyond());
        int at = later ? totals.size() - 1 : 0;
        SheetPatches.Patch end = patches.all().get(at).patch();
        Mark mark = mark(
                sheet,
                looked,
                Tone.BLACKS,
                end.step().light(),
                totals.get(at),
                Readings.limit(PatchPick.ofPosition(at), Optional.empty(), totals),
                lagShare(sheet, end));
        marks.add(new Mark(
                mark.tone(),
                mark.light(),
                mark.time(),
                mark.limit(),
                mark.lagShare(),
                later ? Bound.AT_LEAST : Bound.AT_MOST));
    }

    /** How many times the lag went into a patch, for each second of its lamp. */
    private static double lagShare(Hung sheet, SheetPatches.Patch patch) {
        double lampSeconds = patch.receivedSeconds()
                / sheet.before().openingFactor(patch.step().opening());
        return lampSeconds > 0 ? patch.lampOns() / lampSeconds : 0;
    }

    /** What the way from the sheet's set-up to the one that stands leaves open, stops. */
    private static double carried(Hung sheet) {
        WayBetween way = new WayBetween(sheet.before(), sheet.now());
        return Math.hypot(way.size().limit().inStops(), way.opening().limit().inStops());
    }

    private static Mark mark(
            Hung sheet, Looked looked, Tone tone, Light light, ExposureTime time, Stops limit, double lagShare) {
        DriesDown dries =
                new DriesDown(looked.dry() ? Optional.empty() : sheet.now().dryDown());
        Stops open = Stops.of(Math.hypot(dries.with(limit).inStops(), carried(sheet)));
        return new Mark(tone, light, dries.allowed(sheet.carried(time)), open, lagShare);
    }
}
