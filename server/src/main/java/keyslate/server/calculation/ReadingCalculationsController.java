package keyslate.server.calculation;

import java.util.List;
import java.util.OptionalInt;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.Layers;
import keyslate.core.curve.StripCurve;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.reading.PatchTone;
import keyslate.core.reading.ScanColour;
import keyslate.core.reading.ScanDensity;
import keyslate.core.reading.StripMatch;
import keyslate.core.reading.StripSegments;
import keyslate.server.calculation.CalculationViews.Lab;
import keyslate.server.calculation.CalculationViews.Three;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** From scans to tones, densities, times and casts. */
@RestController
@RequestMapping("/api/calculations")
class ReadingCalculationsController {
    /** Values of a line or patch of a scan: enough for a 600 dpi scan of a sheet of 50 cm. */
    private static final int MOST_VALUES = 12_000;

    private static final double MOST_CODE = 255;
    private static final int MOST_PATCHES = 100;

    /** Codes or densities of the pixels of a patch, up to 12 000. */
    record PatchToneRequest(List<Double> values) {}

    /** {@code kept}: how many values were not outliers. */
    record PatchToneAnswer(double mean, double median, double sigma, int kept, List<String> formulas) {}

    @Calculates("The tone of a patch without its dust (REA-04)")
    @PostMapping("/patch-tone")
    PatchToneAnswer patchTone(@RequestBody PatchToneRequest asked) {
        Given given = new Given();
        double[] values = given.numbers("/values", asked.values(), MOST_VALUES);
        given.complete();
        PatchTone tone = PatchTone.of(values);
        return new PatchToneAnswer(tone.mean(), tone.median(), tone.sigma(), tone.kept(), List.of("REA-04"));
    }

    /** A patch of known density with its code, 0 to 255. */
    record ScanReference(double code, double density) {}

    /** One reference or several, and the codes whose densities are asked for. */
    record ScanDensityRequest(List<ScanReference> references, List<Double> codes) {}

    /** {@code slope} 1 is a faithful scanner; {@code rms} is what the line through the references leaves. */
    record ScanDensityAnswer(List<Double> densities, double slope, double rms, List<String> formulas) {}

    @Calculates("Densities from codes of a scan (REA-05, REA-06)")
    @PostMapping("/scan-density")
    ScanDensityAnswer scanDensity(@RequestBody ScanDensityRequest asked) {
        Given given = new Given();
        List<ScanReference> references = given.each(
                "/references",
                asked.references(),
                (at, r) -> new ScanReference(
                        Check.within("code", r.code(), 0, MOST_CODE, ""), Check.finite("density", r.density())));
        double[] codes = given.numbers("/codes", asked.codes(), MOST_VALUES);
        for (int i = 0; i < codes.length; i++) {
            given.within("/codes/" + i, codes[i], 0, MOST_CODE);
        }
        given.complete();
        if (references.size() == 1) {
            ScanReference one = references.get(0);
            return new ScanDensityAnswer(
                    boxed(codes, c -> ScanDensity.byReference(c, one.code(), one.density())), 1, 0, List.of("REA-05"));
        }
        ScanDensity fitted = ScanDensity.fitted(
                references.stream().mapToDouble(ScanReference::code).toArray(),
                references.stream().mapToDouble(ScanReference::density).toArray());
        return new ScanDensityAnswer(boxed(codes, fitted::at), fitted.slope(), fitted.rms(), List.of("REA-06"));
    }

    private static List<Double> boxed(double[] values, java.util.function.DoubleUnaryOperator of) {
        return java.util.Arrays.stream(values).map(of).boxed().toList();
    }

    /** A line of a scan across a strip, up to 12 000 values; the number of patches where it is known. */
    record StripSegmentsRequest(
            List<Double> values, @Nullable Integer patches) {}

    /** First value of every patch but the first, and the tone of each. */
    record StripSegmentsAnswer(List<Integer> edges, List<Double> means, List<String> formulas) {}

    @Calculates("The patches in a line across a scanned strip (REA-10)")
    @PostMapping("/strip-segments")
    StripSegmentsAnswer stripSegments(@RequestBody StripSegmentsRequest asked) {
        Given given = new Given();
        double[] values = given.numbers("/values", asked.values(), MOST_VALUES);
        if (asked.patches() != null) {
            given.within("/patches", asked.patches(), 1, MOST_PATCHES);
        }
        given.complete();
        OptionalInt patches = asked.patches() == null ? OptionalInt.empty() : OptionalInt.of(asked.patches());
        StripSegments found = StripSegments.in(values, patches);
        return new StripSegmentsAnswer(found.edges(), found.means(), List.of("REA-10"));
    }

    /** Rising totals with the density of each patch; PCHIP reads more exactly than LINEAR. */
    record StripMatchRequest(
            List<ExposureTime> totalsSeconds,
            List<Double> densities,
            double wantedDensity,
            StripMatch.@Nullable Between between) {}

    /** {@code nearestPatch} counts from 0. */
    record StripMatchAnswer(double seconds, int nearestPatch, List<String> formulas) {}

    @Calculates("The time for a density, from the densities of a strip (REA-07)")
    @PostMapping("/strip-match")
    StripMatchAnswer stripMatch(@RequestBody StripMatchRequest asked) {
        Given given = new Given();
        List<ExposureTime> totals = given.list("/totalsSeconds", asked.totalsSeconds());
        double[] densities = given.numbers("/densities", asked.densities(), MOST_PATCHES);
        given.complete();
        StripMatch.Between between = asked.between() == null ? StripMatch.Between.PCHIP : asked.between();
        StripMatch match = StripMatch.at(totals, densities, asked.wantedDensity(), between);
        return new StripMatchAnswer(match.time().inSeconds(), match.nearest(), List.of("REA-07"));
    }

    /** Rising totals with densities, and the paper's white and black. */
    record StripRangeRequest(
            List<ExposureTime> totalsSeconds, List<Double> densities, double whiteDensity, double blackDensity) {}

    /** The logistic is for fixed-grade paper; it overstates the range of variable-contrast paper. */
    record StripRangeAnswer(
            double isoRange,
            double highlightSeconds,
            double shadowSeconds,
            double logisticIsoRange,
            double logisticMidGradient,
            List<String> formulas) {}

    @Calculates("ISO range of a paper from a strip (REA-08, REA-09)")
    @PostMapping("/strip-range")
    StripRangeAnswer stripRange(@RequestBody StripRangeRequest asked) {
        Given given = new Given();
        List<ExposureTime> totals = given.list("/totalsSeconds", asked.totalsSeconds());
        double[] densities = given.numbers("/densities", asked.densities(), MOST_PATCHES);
        given.complete();
        StripMatch.Range range = StripMatch.isoRange(totals, densities, asked.whiteDensity(), asked.blackDensity());
        StripCurve curve = StripCurve.of(totals, densities, asked.whiteDensity(), asked.blackDensity());
        return new StripRangeAnswer(
                range.isoRange(),
                range.high().inSeconds(),
                range.shadow().inSeconds(),
                curve.isoRange(),
                curve.midGradient(),
                List.of("REA-08", "REA-09"));
    }

    /** Linear red, green and blue of a patch and of unexposed paper beside it, above 0. */
    record ScanColourRequest(Three patch, Three paperWhite) {}

    record ScanColourAnswer(Lab lab, double visualDensity, List<String> formulas) {}

    @Calculates("What a patch looks like, from a scan with its paper white (REA-11)")
    @PostMapping("/scan-colour")
    ScanColourAnswer scanColour(@RequestBody ScanColourRequest asked) {
        Given given = new Given();
        Layers patch = light(given, "/patch", asked.patch());
        Layers white = light(given, "/paperWhite", asked.paperWhite());
        given.complete();
        DyeImage.Appearance seen = ScanColour.of(patch, white);
        return new ScanColourAnswer(Lab.of(seen), seen.visualDensity(), List.of("REA-11"));
    }

    private static Layers light(Given given, String pointer, Three asked) {
        return given.of(pointer, () -> {
            Check.positive("red", asked.red(), "");
            Check.positive("green", asked.green(), "");
            Check.positive("blue", asked.blue(), "");
            return asked.toLayers();
        });
    }
}
