package keyslate.server.calculation;

import java.util.List;
import keyslate.core.colour.CastCorrection;
import keyslate.core.colour.CastEvidence;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.CastWay;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.HeadDial;
import keyslate.core.colour.Hue;
import keyslate.core.colour.KitFactors;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.colour.RingAround;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;
import keyslate.server.calculation.CalculationViews.Points;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Filter packs, casts, rings of patches, dials. */
@RestController
@RequestMapping("/api/calculations")
class FilterCalculationsController {
    /** A pack in the making, signed; {@code withoutCyan} takes all of the cyan off, as most heads want it. */
    record NeutralRemovalRequest(FilterShift points, boolean withoutCyan) {}

    /** Factor of time under 1 when density was taken off. */
    record NeutralRemovalAnswer(
            Points pack, double neutralPoints, double timeFactor, double changeStops, List<String> formulas) {}

    @Calculates("A pack without neutral density (COL-01, COL-02)")
    @PostMapping("/neutral-removal")
    NeutralRemovalAnswer neutralRemoval(@RequestBody NeutralRemovalRequest asked) {
        FilterShift raw = asked.points();
        NeutralRemoval found = asked.withoutCyan() ? NeutralRemoval.withoutCyan(raw) : NeutralRemoval.of(raw);
        return new NeutralRemovalAnswer(
                Points.of(found.pack()),
                found.neutralPoints(),
                found.timeFactor(),
                found.stopsMoreTime().inStops(),
                List.of("COL-01", "COL-02"));
    }

    /** How the layers count: by the green-sensitive one, all alike, or as the eye weighs them. */
    enum Weighing {
        GREEN(FilterSet.Weights.GREEN),
        MEAN(FilterSet.Weights.MEAN),
        VISUAL(FilterSet.Weights.VISUAL);

        private final FilterSet.Weights weights;

        Weighing(FilterSet.Weights weights) {
            this.weights = weights;
        }

        static FilterSet.Weights of(@Nullable Weighing asked) {
            return asked == null ? VISUAL.weights : asked.weights;
        }
    }

    /** A time with one pack, for another; gels are counted, 0 to 20, and 0 when they are left out. */
    record PackTimeRequest(
            ExposureTime seconds,
            FilterPack from,
            FilterPack to,
            FilterSet filters,
            @Nullable Weighing weighing,
            @Nullable Integer gelsBefore,
            @Nullable Integer gelsAfter) {}

    record PackTimeAnswer(double seconds, double timeFactor, double changeStops, List<String> formulas) {}

    @Calculates("The time with another pack (COL-03, COL-04)")
    @PostMapping("/pack-time")
    PackTimeAnswer packTime(@RequestBody PackTimeRequest asked) {
        ExposureTime time = asked.seconds();
        FilterPack from = asked.from();
        FilterPack to = asked.to();
        double factor = asked.filters()
                .timeFactor(from, to, Weighing.of(asked.weighing()), or(asked.gelsBefore()), or(asked.gelsAfter()));
        return new PackTimeAnswer(
                time.times(factor).inSeconds(), factor, Stops.ofFactor(factor).inStops(), List.of("COL-03", "COL-04"));
    }

    private static int or(@Nullable Integer given) {
        return given == null ? 0 : given;
    }

    /** A cast and its strength. */
    record CastCorrectionRequest(Hue cast, double points, CastCorrection.Process process, CastCorrection.Way way) {}

    /** What to do to the pack. */
    record PackChangeAnswer(Points change, List<String> formulas) {}

    @Calculates("The change of the pack for a cast (COL-05)")
    @PostMapping("/cast-correction")
    PackChangeAnswer castCorrection(@RequestBody CastCorrectionRequest asked) {
        FilterShift change = CastCorrection.of(asked.cast(), asked.points(), asked.process(), asked.way());
        return new PackChangeAnswer(Points.of(change), List.of("COL-05"));
    }

    /** The viewing filter through which the print looks right; factor k 0.2 to 1. */
    record ViewingFilterRequest(Hue filter, double strengthPoints, double factor) {}

    @Calculates("The change of the pack by a viewing filter (COL-06)")
    @PostMapping("/viewing-filter")
    PackChangeAnswer viewingFilter(@RequestBody ViewingFilterRequest asked) {
        FilterShift change = CastCorrection.byViewingFilter(asked.filter(), asked.strengthPoints(), asked.factor());
        return new PackChangeAnswer(Points.of(change), List.of("COL-06"));
    }

    /** A patch as it was judged: casts in points of a viewing filter, negative = green and blue. */
    record JudgedPatch(FilterPack pack, double magentaPoints, double yellowPoints) {}

    /** Factor k 0.2 to 1, as it is believed. */
    record CastEvidenceRequest(List<JudgedPatch> patches, double factor) {}

    /** Uncertainty: one standard deviation of the filter that is known less well. */
    record CastEvidenceAnswer(Points pack, double uncertaintyPoints, boolean settled, List<String> formulas) {}

    @Calculates("The pack that several judgements of a cast speak for (COL-28)")
    @PostMapping("/cast-evidence")
    CastEvidenceAnswer castEvidence(@RequestBody CastEvidenceRequest asked) {
        Given given = new Given();
        List<CastLook> looks = given.each(
                "/patches",
                asked.patches(),
                (at, p) -> CastLook.of(p.pack(), p.magentaPoints(), p.yellowPoints(), CastWay.VIEWING_FILTER));
        double factor = given.within("/factor", asked.factor(), 0.2, 1);
        given.complete();
        CastEvidence.Estimate found =
                CastEvidence.weighed(looks, List.of(KitFactors.believed(CastWay.VIEWING_FILTER, 1 / factor)));
        return new CastEvidenceAnswer(
                Points.of(found.pack()), found.uncertaintyPoints(), found.isSettled(), List.of("COL-28"));
    }

    /**
     * Patches about a standing pack: 1 to 4 rings {@code step} points apart, and density patches each some stops
     * lighter and darker.
     */
    record RingAroundRequest(
            FilterPack pack,
            ExposureTime seconds,
            double step,
            int rings,
            boolean mixtures,
            @Nullable List<Stops> densityStops,
            FilterSet filters,
            @Nullable Weighing weighing) {}

    /** Labelled by the filtration added; looks like the complement. */
    record RingPatch(String label, String looks, Points pack, double seconds) {}

    record RingAroundAnswer(List<RingPatch> patches, List<String> formulas) {}

    @Calculates("The patches of a ring-around (COL-07)")
    @PostMapping("/ring-around")
    RingAroundAnswer ringAround(@RequestBody RingAroundRequest asked) {
        Given given = new Given();
        FilterPack pack = asked.pack();
        ExposureTime time = asked.seconds();
        List<Stops> density = given.eachOrNone("/densityStops", asked.densityStops(), (at, s) -> s);
        given.complete();
        List<RingPatch> patches = RingAround.plan(
                        pack,
                        time,
                        asked.step(),
                        asked.rings(),
                        asked.mixtures(),
                        density,
                        asked.filters(),
                        Weighing.of(asked.weighing()))
                .stream()
                .map(p -> new RingPatch(
                        p.label(), p.looks(), Points.of(p.pack()), p.time().inSeconds()))
                .toList();
        return new RingAroundAnswer(patches, List.of("COL-07"));
    }

    /** Magenta (rows) by yellow (columns), changes in points. */
    record PackGridRequest(
            FilterPack pack,
            ExposureTime seconds,
            List<Double> magentaPoints,
            List<Double> yellowPoints,
            FilterSet filters,
            @Nullable Weighing weighing) {}

    record GridCell(Points pack, double seconds) {}

    record PackGridAnswer(List<List<GridCell>> rows, List<String> formulas) {}

    @Calculates("A grid of magenta by yellow (COL-08)")
    @PostMapping("/pack-grid")
    PackGridAnswer packGrid(@RequestBody PackGridRequest asked) {
        Given given = new Given();
        FilterPack pack = asked.pack();
        ExposureTime time = asked.seconds();
        List<FilterShift> magenta =
                given.each("/magentaPoints", asked.magentaPoints(), (at, m) -> FilterShift.of(0, m, 0));
        List<FilterShift> yellow =
                given.each("/yellowPoints", asked.yellowPoints(), (at, y) -> FilterShift.of(0, 0, y));
        given.complete();
        List<List<GridCell>> rows = RingAround.grid(
                        pack,
                        time,
                        magenta.stream().map(FilterShift::inMagenta).toList(),
                        yellow.stream().map(FilterShift::inYellow).toList(),
                        asked.filters(),
                        Weighing.of(asked.weighing()))
                .stream()
                .map(row -> row.stream()
                        .map(c -> new GridCell(Points.of(c.pack()), c.time().inSeconds()))
                        .toList())
                .toList();
        return new PackGridAnswer(rows, List.of("COL-08"));
    }

    /** One row of a dial's table. */
    record DialRow(double dial, double points) {}

    /** One of dial and points. */
    record HeadDialRequest(
            List<DialRow> table,
            @Nullable Double dial,
            @Nullable Double points) {}

    record HeadDialAnswer(double dial, double points, List<String> formulas) {}

    @Calculates("A head's dial and the true points of a filter (COL-09)")
    @PostMapping("/head-dial")
    HeadDialAnswer headDial(@RequestBody HeadDialRequest asked) {
        Given given = new Given();
        List<double[]> rows = given.each("/table", asked.table(), (at, r) -> new double[] {r.dial(), r.points()});
        if (asked.dial() == null) {
            given.required("/points", asked.points());
        }
        given.complete();
        HeadDial dial = HeadDial.of(rows.toArray(double[][]::new));
        double points = asked.dial() != null ? dial.pointsAt(asked.dial()) : asked.points();
        double at = asked.dial() != null ? asked.dial() : dial.dialFor(asked.points());
        return new HeadDialAnswer(at, points, List.of("COL-09"));
    }
}
