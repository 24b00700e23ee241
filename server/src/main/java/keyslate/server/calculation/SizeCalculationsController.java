package keyslate.server.calculation;

import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.Reciprocity;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.size.CutPlan;
import keyslate.core.size.CutYield;
import keyslate.core.size.PrintFit;
import keyslate.core.size.SizeChange;
import keyslate.core.size.ThinLens;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Print sizes, head heights, what they cost in light, and how sheets are cut. */
@RestController
@RequestMapping("/api/calculations")
class SizeCalculationsController {
    /** A negative on the part of a sheet that takes the picture. */
    record PrintFitRequest(
            Length negativeWidthMm,
            Length negativeHeightMm,
            Length printWidthMm,
            Length printHeightMm,
            PrintFit.Way way) {}

    /** Crop = the part of the negative that prints. */
    record PrintFitAnswer(
            double magnification,
            double cropWidthMm,
            double cropHeightMm,
            double imageWidthMm,
            double imageHeightMm,
            double lostFraction,
            List<String> formulas) {}

    @Calculates("Magnification and crop of a negative on a sheet (SIZ-01)")
    @PostMapping("/print-fit")
    PrintFitAnswer printFit(@RequestBody PrintFitRequest asked) {
        Length nw = asked.negativeWidthMm();
        Length nh = asked.negativeHeightMm();
        Length pw = asked.printWidthMm();
        Length ph = asked.printHeightMm();
        PrintFit fit = PrintFit.of(nw, nh, pw, ph, asked.way());
        return new PrintFitAnswer(
                fit.magnification().inTimes(),
                fit.cropWidth().inMm(),
                fit.cropHeight().inMm(),
                fit.imageWidth().inMm(),
                fit.imageHeight().inMm(),
                fit.lostFraction(),
                List.of("SIZ-01"));
    }

    /**
     * A time at one size and opening, for another.
     *
     * @param pupilRatio exit / entrance pupil of the lens, 0.2 to 5, 1 when it is left out
     * @param addedDensity density put into the light, 0 or more
     * @param reciprocityExponent p of the paper, 0.7 to 1; no loss when it is left out
     * @param reciprocityFromSeconds where the loss begins, 1 s when it is left out
     */
    record SizeChangeRequest(
            ExposureTime seconds,
            Magnification fromMagnification,
            Magnification toMagnification,
            FNumber fromFNumber,
            FNumber toFNumber,
            @Nullable Double pupilRatio,
            @Nullable Double addedDensity,
            @Nullable Double reciprocityExponent,
            @Nullable Double reciprocityFromSeconds) {}

    /** {@code sizeStops}: what the size alone costs. */
    record SizeChangeAnswer(double seconds, double changeStops, double sizeStops, List<String> formulas) {}

    @Calculates("The time for another size, opening and density in the light (SIZ-02, SIZ-09, EXP-22)")
    @PostMapping("/size-change")
    SizeChangeAnswer sizeChange(@RequestBody SizeChangeRequest asked) {
        Given given = new Given();
        ExposureTime time = asked.seconds();
        Magnification from = asked.fromMagnification();
        Magnification to = asked.toMagnification();
        FNumber before = asked.fromFNumber();
        FNumber after = asked.toFNumber();
        Reciprocity paper = given.of(
                "/reciprocityExponent",
                () -> new Reciprocity(
                        or(asked.reciprocityExponent(), Reciprocity.NONE.exponent()),
                        or(asked.reciprocityFromSeconds(), Reciprocity.NONE.fromSeconds())));
        given.complete();
        double pupils = or(asked.pupilRatio(), 1);
        ExposureTime there =
                SizeChange.rescaled(time, before, from, after, to, pupils, or(asked.addedDensity(), 0), paper);
        return new SizeChangeAnswer(
                there.inSeconds(),
                there.stopsFrom(time).inStops(),
                SizeChange.stopsMoreTime(from, to, pupils).inStops(),
                List.of("SIZ-02", "SIZ-09", "EXP-22"));
    }

    private static double or(@Nullable Double given, double usual) {
        return given == null ? usual : given;
    }

    /**
     * One of magnification and film-to-paper distance; planes = distance between the principal planes of the lens, 0
     * when it is left out.
     */
    record HeadHeightRequest(
            ThinLens focalLengthMm,
            @Nullable Magnification magnification,
            @Nullable Length filmToPaperMm,
            @Nullable Double planesMm,
            @Nullable Double cornerRadiusMm) {}

    /** {@code cornerLossStops}: at the radius that was given, by the cosine law. */
    record HeadHeightAnswer(
            double magnification,
            double filmToLensMm,
            double lensToPaperMm,
            double filmToPaperMm,
            @Nullable Double cornerLossStops,
            List<String> formulas) {}

    @Calculates("Distances of an enlarger and the magnification they give (SIZ-03 to SIZ-06)")
    @PostMapping("/head-height")
    HeadHeightAnswer headHeight(@RequestBody HeadHeightRequest asked) {
        Given given = new Given();
        ThinLens lens = asked.focalLengthMm();
        Length planes = given.of("/planesMm", () -> Length.ofMm(or(asked.planesMm(), 0)));
        boolean bySize = asked.magnification() != null;
        if (!bySize) {
            given.required("/filmToPaperMm", asked.filmToPaperMm());
        }
        Length radius = asked.cornerRadiusMm() == null
                ? null
                : given.of("/cornerRadiusMm", () -> Length.ofMm(asked.cornerRadiusMm()));
        given.complete();
        Magnification m = bySize ? asked.magnification() : lens.magnificationAt(asked.filmToPaperMm(), planes);
        return new HeadHeightAnswer(
                m.inTimes(),
                lens.filmToLens(m).inMm(),
                lens.lensToPaper(m).inMm(),
                lens.filmToPaper(m, planes).inMm(),
                radius == null
                        ? null
                        : ThinLens.cornerLoss(radius, lens.lensToPaper(m)).inStops(),
                List.of("SIZ-03", "SIZ-04", "SIZ-05", "SIZ-06"));
    }

    /** Two readings of a meter on the baseboard, in any one unit. */
    record LightMeterRequest(ExposureTime seconds, double fromReading, double toReading) {}

    record TimeAnswer(double seconds, double changeStops, List<String> formulas) {
        static TimeAnswer of(ExposureTime now, ExposureTime before, String... formulas) {
            return new TimeAnswer(now.inSeconds(), now.stopsFrom(before).inStops(), List.of(formulas));
        }
    }

    @Calculates("The time after a change, from two meter readings (SIZ-07)")
    @PostMapping("/light-meter")
    TimeAnswer lightMeter(@RequestBody LightMeterRequest asked) {
        ExposureTime time = asked.seconds();
        return TimeAnswer.of(SizeChange.timeByMeter(time, asked.fromReading(), asked.toReading()), time, "SIZ-07");
    }

    /** Lamp (or exit pupil) to paper, twice. */
    record LightDistanceRequest(ExposureTime seconds, Length fromMm, Length toMm) {}

    @Calculates("The time at another distance of a bare light (SIZ-08)")
    @PostMapping("/light-distance")
    TimeAnswer lightDistance(@RequestBody LightDistanceRequest asked) {
        ExposureTime time = asked.seconds();
        Length from = asked.fromMm();
        Length to = asked.toMm();
        return TimeAnswer.of(SizeChange.timeByDistance(time, from, to), time, "SIZ-08");
    }

    /** What the usual shortcuts would give for a change of size. */
    record SizeShortcutsRequest(
            ThinLens focalLengthMm,
            Magnification fromMagnification,
            Magnification toMagnification,
            @Nullable Double pupilRatio,
            @Nullable Double planesMm) {}

    /** Errors in stops, positive = the shortcut exposes too long. */
    record SizeShortcutsAnswer(
            double bySizeStops, double byLensToPaperStops, double byFilmToPaperStops, List<String> formulas) {}

    @Calculates("How far the usual shortcuts for a change of size are off (SIZ-10)")
    @PostMapping("/size-shortcuts")
    SizeShortcutsAnswer sizeShortcuts(@RequestBody SizeShortcutsRequest asked) {
        Given given = new Given();
        ThinLens lens = asked.focalLengthMm();
        Magnification from = asked.fromMagnification();
        Magnification to = asked.toMagnification();
        Length planes = given.of("/planesMm", () -> Length.ofMm(or(asked.planesMm(), 0)));
        given.complete();
        SizeChange.ShortcutErrors errors = SizeChange.shortcutErrors(lens, from, to, or(asked.pupilRatio(), 1), planes);
        return new SizeShortcutsAnswer(
                errors.bySize().inStops(),
                errors.byLensToPaper().inStops(),
                errors.byFilmToPaper().inStops(),
                List.of("SIZ-10"));
    }

    /** So many pieces of one size, 1 to 6. */
    record CutPiece(@Nullable String name, double widthMm, double heightMm, int count) {}

    /** At most 6 pieces of at most 4 sizes. */
    record CutPlanRequest(Length sheetWidthMm, Length sheetHeightMm, List<CutPiece> pieces) {}

    /** One cut of what lies on the board; the fence measures along the width or the height. */
    record CutStep(
            double widthMm,
            double heightMm,
            boolean acrossWidth,
            @Nullable String leaves,
            @Nullable String rest) {}

    /** All cuts made while the fence stands at one distance. */
    record CutRun(double fenceMm, List<CutStep> cuts) {}

    record CutPlanAnswer(
            boolean fits, int fences, int cuts, long largestOffcutSquareMm, List<CutRun> runs, List<String> formulas) {}

    @Calculates("How to cut a sheet with the fewest moves of the fence (SIZ-13)")
    @PostMapping("/cut-plan")
    CutPlanAnswer cutPlan(@RequestBody CutPlanRequest asked) {
        Given given = new Given();
        Length width = asked.sheetWidthMm();
        Length height = asked.sheetHeightMm();
        List<CutPlan.Piece> pieces = given.each(
                "/pieces",
                asked.pieces(),
                (at, p) -> new CutPlan.Piece(
                        p.name() == null ? "piece" : p.name(),
                        Length.ofPositiveMm("piece width", p.widthMm()),
                        Length.ofPositiveMm("piece height", p.heightMm()),
                        p.count()));
        given.complete();
        Optional<CutPlan> plan = CutPlan.of(width, height, pieces);
        return plan.map(SizeCalculationsController::answer)
                .orElseGet(() -> new CutPlanAnswer(false, 0, 0, 0, List.of(), List.of("SIZ-13")));
    }

    private static CutPlanAnswer answer(CutPlan plan) {
        List<CutRun> runs = plan.runs().stream()
                .map(run -> new CutRun(
                        run.fence().inMm(),
                        run.cuts().stream()
                                .map(c -> new CutStep(
                                        c.width().inMm(),
                                        c.height().inMm(),
                                        c.acrossWidth(),
                                        c.leaves().orElse(null),
                                        c.rest().orElse(null)))
                                .toList()))
                .toList();
        return new CutPlanAnswer(
                true, plan.fences().size(), plan.cuts(), plan.largestOffcutSquareMm(), runs, List.of("SIZ-13"));
    }

    /** A sheet for pieces of one size. */
    record CutYieldRequest(
            Length sheetWidthMm, Length sheetHeightMm, Length widthMm, Length heightMm, boolean mayTurn) {}

    record CutYieldAnswer(int pieces, List<String> formulas) {}

    @Calculates("How many pieces of one size a sheet gives (SIZ-11)")
    @PostMapping("/cut-yield")
    CutYieldAnswer cutYield(@RequestBody CutYieldRequest asked) {
        Length sheetWidth = asked.sheetWidthMm();
        Length sheetHeight = asked.sheetHeightMm();
        Length width = asked.widthMm();
        Length height = asked.heightMm();
        return new CutYieldAnswer(
                CutYield.of(sheetWidth, sheetHeight, width, height, asked.mayTurn()), List.of("SIZ-11"));
    }
}
