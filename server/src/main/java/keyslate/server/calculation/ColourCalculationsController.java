package keyslate.server.calculation;

import java.util.List;
import keyslate.core.colour.ColourBalance;
import keyslate.core.colour.ColourDifference;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.ColourPaper;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.colour.ViewingLight;
import keyslate.core.colour.WetPrint;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;
import keyslate.server.calculation.CalculationViews.Lab;
import keyslate.server.calculation.CalculationViews.Points;
import keyslate.server.calculation.CalculationViews.Three;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The colour print: negative, balance, look, correction. */
@RestController
@RequestMapping("/api/calculations")
class ColourCalculationsController {
    private static final double USUAL_KELVIN = 3200;

    /** Linear scene light, 1 = a white diffuser, above 0; exposure off the normal one. */
    record ColourNegativeRequest(Three scene, Stops exposureStops) {}

    record ColourNegativeAnswer(Three printingDensities, List<String> formulas) {}

    @Calculates("Printing densities of a scene tone on colour negative film (COL-11)")
    @PostMapping("/colour-negative")
    ColourNegativeAnswer colourNegative(@RequestBody ColourNegativeRequest asked) {
        Stops exposure = asked.exposureStops();
        Layers density = ColourFilm.printingDensity(asked.scene().toLayers(), exposure);
        return new ColourNegativeAnswer(Three.of(density), List.of("COL-11"));
    }

    /**
     * A tone of the negative that is to print neutral at a visual density; lamp 2000 to 7000 K, 3200 when it is left
     * out.
     */
    record ColourBalanceRequest(
            Three printingDensities,
            double visualDensity,
            @Nullable Double lampKelvin,
            FilterSet filters) {}

    record ColourBalanceAnswer(Points pack, double seconds, List<String> formulas) {
        static ColourBalanceAnswer of(ColourBalance balance, String... formulas) {
            return new ColourBalanceAnswer(
                    Points.of(balance.pack()), balance.time().inSeconds(), List.of(formulas));
        }
    }

    @Calculates("The pack and time that print a tone neutral (COL-22)")
    @PostMapping("/colour-balance")
    ColourBalanceAnswer colourBalance(@RequestBody ColourBalanceRequest asked) {
        return ColourBalanceAnswer.of(
                ColourBalance.of(
                        asked.printingDensities().toLayers(),
                        asked.visualDensity(),
                        kelvin(asked.lampKelvin()),
                        asked.filters()),
                "COL-22");
    }

    private static double kelvin(@Nullable Double asked) {
        return asked == null ? USUAL_KELVIN : asked;
    }

    /** A tone, printed; viewing light 2000 to 12 000 K, 5000 when it is left out. */
    record ColourPrintRequest(
            Three printingDensities,
            FilterPack pack,
            ExposureTime seconds,
            @Nullable Double lampKelvin,
            FilterSet filters,
            @Nullable ViewingLight viewingKelvin) {}

    /** What the print looks like; the screen's values are sRGB, 0 to 1, clipped where they say so. */
    record ColourPrintAnswer(
            Three dyeAmounts,
            Three bandDensities,
            double visualDensity,
            Lab lab,
            Three screen,
            boolean clipped,
            List<String> formulas) {}

    @Calculates("What a tone of the negative prints as (COL-12, COL-15 to COL-20)")
    @PostMapping("/colour-print")
    ColourPrintAnswer colourPrint(@RequestBody ColourPrintRequest asked) {
        FilterPack pack = asked.pack();
        ExposureTime time = asked.seconds();
        ViewingLight light = asked.viewingKelvin() == null ? ViewingLight.USUAL : asked.viewingKelvin();
        Layers x = ColourPaper.logExposure(
                asked.printingDensities().toLayers(),
                pack,
                Math.log10(time.inSeconds()),
                kelvin(asked.lampKelvin()),
                asked.filters());
        DyeImage print = new DyeImage(
                new Layers(ColourPaper.amount(x.red()), ColourPaper.amount(x.green()), ColourPaper.amount(x.blue())));
        DyeImage.Appearance seen = print.in(light);
        DyeImage.Screen screen = print.onScreen(light);
        return new ColourPrintAnswer(
                Three.of(print.amounts()),
                Three.of(print.integralDensity()),
                seen.visualDensity(),
                Lab.of(seen),
                new Three(screen.red(), screen.green(), screen.blue()),
                screen.clipped(),
                List.of("COL-12", "COL-15", "COL-16", "COL-17", "COL-18", "COL-19", "COL-20"));
    }

    /** A print as it was measured. */
    record MeasuredPrint(Lab lab, FilterPack pack, ExposureTime seconds) {}

    /** The print before this one lets the correction learn; it may be left out. */
    record ColourCorrectionRequest(
            MeasuredPrint print, @Nullable MeasuredPrint before, double wantedVisualDensity, FilterSet filters) {}

    @Calculates("The next pack and time from what a neutral looks like (COL-21, COL-23, COL-25)")
    @PostMapping("/colour-correction")
    ColourBalanceAnswer colourCorrection(@RequestBody ColourCorrectionRequest asked) {
        Given given = new Given();
        ColourBalance.Printed print = printed(given, "/print", asked.print());
        ColourBalance.Printed before = asked.before() == null ? null : printed(given, "/before", asked.before());
        DyeImage wanted = given.of(
                "/wantedVisualDensity",
                () -> DyeImage.looking(
                        ColourBalance.lightnessOf(asked.wantedVisualDensity()), 0, 0, ViewingLight.USUAL));
        given.complete();
        ColourBalance next = before == null
                ? ColourBalance.corrected(print.look(), wanted, print.pack(), print.time(), asked.filters())
                : ColourBalance.correctedBySecant(before, print, wanted, asked.filters())
                        .balance();
        return ColourBalanceAnswer.of(next, "COL-21", "COL-23", "COL-25");
    }

    private static ColourBalance.Printed printed(Given given, String pointer, MeasuredPrint asked) {
        Lab lab = asked.lab();
        DyeImage look = given.of(
                pointer + "/lab", () -> DyeImage.looking(lab.lightness(), lab.a(), lab.b(), ViewingLight.USUAL));
        return new ColourBalance.Printed(look, asked.pack(), asked.seconds());
    }

    /** Two colours. */
    record ColourDifferenceRequest(Lab one, Lab other) {}

    record ColourDifferenceAnswer(double deltaE00, List<String> formulas) {}

    @Calculates("ΔE00 of two colours (COL-27)")
    @PostMapping("/colour-difference")
    ColourDifferenceAnswer colourDifference(@RequestBody ColourDifferenceRequest asked) {
        Given given = new Given();
        Lab one = lab(given, "/one", asked.one());
        Lab other = lab(given, "/other", asked.other());
        given.complete();
        double difference =
                ColourDifference.of(one.lightness(), one.a(), one.b(), other.lightness(), other.a(), other.b());
        return new ColourDifferenceAnswer(difference, List.of("COL-27"));
    }

    private static Lab lab(Given given, String pointer, Lab asked) {
        given.number(pointer + "/lightness", asked.lightness());
        given.number(pointer + "/a", asked.a());
        given.number(pointer + "/b", asked.b());
        return asked;
    }

    /** Band densities, with the paper's own gain and offsets; usual ones where they are left out. */
    record WetPrintRequest(
            Three bandDensities,
            boolean isWet,
            @Nullable Three offsets,
            @Nullable Double gain) {}

    record WetPrintAnswer(Three wet, Three dry, List<String> formulas) {}

    @Calculates("Densities of a print wet and dry (COL-24)")
    @PostMapping("/wet-print")
    WetPrintAnswer wetPrint(@RequestBody WetPrintRequest asked) {
        Given given = new Given();
        WetPrint shift = given.of(
                "/gain",
                () -> new WetPrint(
                        asked.offsets() == null
                                ? WetPrint.USUAL.offset()
                                : asked.offsets().toLayers(),
                        asked.gain() == null ? WetPrint.USUAL.gain() : asked.gain()));
        given.complete();
        Layers told = asked.bandDensities().toLayers();
        Layers wet = asked.isWet() ? told : shift.wetFromDry(told);
        Layers dry = asked.isWet() ? shift.dryFromWet(told) : told;
        return new WetPrintAnswer(Three.of(wet), Three.of(dry), List.of("COL-24"));
    }
}
