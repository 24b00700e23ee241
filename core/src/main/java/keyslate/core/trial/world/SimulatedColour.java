package keyslate.core.trial.world;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import keyslate.core.colour.ColourDifference;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.Layers;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.colour.ViewingLight;
import keyslate.core.darkroom.ColourPrint;
import keyslate.core.darkroom.ColourTruth;
import keyslate.core.darkroom.Scanner;
import keyslate.core.darkroom.ScannerLook;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.core.numeric.Bisection;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;
import keyslate.core.trial.printer.ColourDarkroom;
import keyslate.core.trial.printer.ColourStart;
import keyslate.core.trial.printer.StripOnPaper;

/**
 * A grey card on an unknown colour negative and unknown paper, printed with an unknown lamp and a dial that is off.
 * Answers with looks and scans, and at the end with how far a setting is from the best.
 */
public final class SimulatedColour implements ColourDarkroom {
    private static final double LAG_SPREAD_SECONDS = 0.02;
    private static final double GREY_CARD = 0.18;
    private static final double LIGHT_SPREAD = 0.06;
    private static final double FILM_SPREAD_STOPS = 0.7;
    private static final double COOLEST_LAMP = 2900;
    private static final double HOTTEST_LAMP = 3400;
    private static final double SCANNER_CAST = 0.1;
    private static final double SCANNER_GRADATION = 0.05;
    /** Points of a viewing filter for one unit of dye: what the band densities of a neutral differ by (COL-19). */
    private static final double POINTS_PER_DYE = 108;

    private static final double NO_DYE = 0.04;
    private static final double LEAST_SECONDS = 0.01;
    private static final int PATCH_SIDE = 24;
    private static final int HALVINGS = 40;

    private final ColourTruth truth;
    private final Layers negative;
    private final double kelvin;
    private final ScannerLook scanner;
    private final Eye eye;
    private final long scanSeed;

    /** See {@link Eye#Eye} for {@code steady}. */
    public SimulatedColour(long seed, double steady) {
        Fate fate = new Fate(seed);
        double lag = StripOnPaper.KNOWN_LAG.inSeconds() + fate.even(-LAG_SPREAD_SECONDS, LAG_SPREAD_SECONDS);
        truth = ColourTruth.ofBatch(fate.seed(), lag);
        Layers card = new Layers(
                GREY_CARD * Math.pow(10, fate.bell(LIGHT_SPREAD)),
                GREY_CARD,
                GREY_CARD * Math.pow(10, fate.bell(LIGHT_SPREAD)));
        negative = ColourFilm.printingDensity(card, Stops.of(fate.bell(FILM_SPREAD_STOPS)));
        kelvin = fate.even(COOLEST_LAMP, HOTTEST_LAMP);
        scanner = new ScannerLook(
                fate.even(1 - SCANNER_GRADATION, 1 + SCANNER_GRADATION),
                ScannerLook.USUAL.noiseCodes(),
                0,
                new Layers(
                        fate.even(1 - SCANNER_CAST, 1 + SCANNER_CAST),
                        1,
                        fate.even(1 - SCANNER_CAST, 1 + SCANNER_CAST)));
        eye = new Eye(fate.seed(), steady);
        scanSeed = fate.seed();
    }

    private DyeImage card(FilterPack pack, double receivedSeconds) {
        return ColourPrint.patch(negative, pack, Math.max(LEAST_SECONDS, receivedSeconds), kelvin, truth);
    }

    private DyeImage card(Exposed print) {
        return card(print.pack(), print.time().inSeconds() - truth.lagSeconds());
    }

    /** The seconds received with which the card has the right density. */
    private double rightSeconds(FilterPack pack) {
        double log = Bisection.solve(
                t -> card(pack, Math.pow(10, t)).in(ViewingLight.USUAL).visualDensity(),
                ColourStart.WANTED_DENSITY,
                -2,
                4,
                HALVINGS);
        return Math.pow(10, log);
    }

    private double stopsTooDark(Exposed print) {
        double received = Math.max(LEAST_SECONDS, print.time().inSeconds() - truth.lagSeconds());
        return Stops.ofFactor(received / rightSeconds(print.pack())).inStops();
    }

    @Override
    public double density(FilterPack pack, StripOnPaper strip) {
        List<Double> given = strip.receivedSeconds(truth.lagSeconds()).stream()
                .map(Math::log10)
                .toList();
        return eye.place(given, Math.log10(rightSeconds(pack)));
    }

    @Override
    public Cast castWithKit(Exposed patch) {
        Cast cast = castByEye(patch);
        return new Cast(Eye.inKit(cast.magenta()), Eye.inKit(cast.yellow()));
    }

    @Override
    public Cast castByEye(Exposed patch) {
        Layers dyes = card(patch).amounts();
        return new Cast(
                eye.magenta(POINTS_PER_DYE * (dyes.green() - dyes.red())),
                eye.yellow(POINTS_PER_DYE * (dyes.blue() - dyes.red())));
    }

    @Override
    public double tooDark(Exposed print) {
        return eye.tooDark(stopsTooDark(print));
    }

    @Override
    public Scanned scan(Exposed print) {
        return new Scanned(scanned(card(print), print.hashCode()), scanned(bare(), 1));
    }

    private static DyeImage bare() {
        return new DyeImage(new Layers(NO_DYE, NO_DYE, NO_DYE));
    }

    private Layers scanned(DyeImage patch, long which) {
        DyeImage.Screen shown = patch.onScreen(ViewingLight.USUAL);
        int rgb = code(shown.red()) << 16 | code(shown.green()) << 8 | code(shown.blue());
        int[] flat = new int[PATCH_SIDE * PATCH_SIDE];
        Arrays.fill(flat, rgb);
        int[] codes = Scanner.colour(new ColourPrint.Picture(PATCH_SIDE, PATCH_SIDE, flat), scanner, scanSeed ^ which);
        double[] linear = new double[3];
        for (int code : codes) {
            for (int l = 0; l < 3; l++) {
                linear[l] += ToneEncoding.decode(code >> 16 - 8 * l & 0xff) / codes.length;
            }
        }
        return Layers.of(linear);
    }

    private static int code(double shown) {
        return (int) Math.round(255 * shown);
    }

    /**
     * How far a setting's print is from the best: stops by which the card's density is off, and ΔE00 of its cast once
     * the density is right, because the density has a figure of its own.
     */
    public PrintError errorOf(Exposed set) {
        DyeImage.Appearance seen = card(set.pack(), rightSeconds(set.pack())).in(ViewingLight.USUAL);
        double cast = ColourDifference.of(seen.lightness(), seen.a(), seen.b(), seen.lightness(), 0, 0);
        return new PrintError(Math.abs(stopsTooDark(set)), OptionalDouble.empty(), OptionalDouble.of(cast));
    }
}
