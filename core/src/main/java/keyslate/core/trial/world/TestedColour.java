package keyslate.core.trial.world;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import keyslate.core.colour.ColourDifference;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.ColourPaper;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.colour.ViewingLight;
import keyslate.core.darkroom.ColourPrint;
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
 * A grey card in a colour darkroom as one finds it, none of whose constants the advice knows: layers of the paper 5 % apart, dials 10 % off in scale and 3 points at the zero, a lamp of 2700 to 3400 K, a negative up to two
 * stops thin or dense; viewing filters whose factor is 0.4 to 1 and differs by 15 % between magenta and yellow, each absorbing 5 to 20 % of the other's colour; an eye that errs in a* and b* by 1 to 2 at each look, and that by itself takes casts for up to a quarter more
 * or less than they are. Answers with looks and scans, and at the end with how far a setting is from the best.
 */
public final class TestedColour implements ColourDarkroom {
    private static final double MOST_LAG_SECONDS = 0.4;
    private static final double GREY_CARD = 0.18;
    private static final double LAYERS_APART = 0.05;
    private static final double SPEED = 0.06;
    private static final double DIAL_SCALE = 0.10;
    private static final double DIAL_OFFSET = 3;
    private static final double COOLEST = 2700;
    private static final double HOTTEST = 3400;
    private static final double MOST_STOPS = 2;
    private static final double LIGHT_SPREAD = 0.06;
    private static final double LEAST_SECONDS = 0.01;
    private static final int HALVINGS = 40;
    /** Points of a viewing filter for one unit of dye: what the band densities of a neutral differ by (COL-19). */
    private static final double POINTS_PER_DYE = 108;
    /** A pack of 10 points moves the bands of the print by 17.4 (COL-13). */
    private static final double BANDS_PER_POINT = 1.74;
    /** In a* and b*, about the neutral (COL-26). */
    private static final double A_PER_POINT = 0.525;

    private static final double B_PER_POINT = 0.70;
    /** "Between 5 and 10": half a step of a kit of 5, 10 and 20. */
    private static final double KIT_STEP = 2.5;

    private static final double MOST_OF_KIT = 60;
    private static final double LEAST_FACTOR = 0.4;
    private static final double MOST_FACTOR = 1;
    private static final double FACTORS_APART = 0.15;
    private static final double LEAST_SIDE = 0.05;
    private static final double MOST_SIDE = 0.2;
    private static final double SURE_AB = 1;
    private static final double UNSURE_AB = 2;
    private static final double EYE_SCALE = 1.25;
    private static final double SCANNER_CAST = 0.1;
    private static final double SCANNER_GRADATION = 0.05;
    private static final double NO_DYE = 0.04;
    private static final int PATCH_SIDE = 24;

    private final Layers negative;
    private final double kelvin;
    private final double lagSeconds;
    private final double[] gradient = new double[3];
    private final double[] speed = new double[3];
    private final double magentaScale;
    private final double yellowScale;
    private final double magentaOffset;
    private final double yellowOffset;
    private final double magentaFactor;
    private final double yellowFactor;
    private final double magentaSide;
    private final double yellowSide;
    private final double eyeScale;
    private final CastEye casts;
    private final Eye eye;
    private final ScannerLook scanner;
    private final long scanSeed;

    /**
     * A darkroom.
     *
     * @param steady share of the variance of cast judgements, 0 to 1, that is one and the same error all through a run
     */
    public TestedColour(long seed, double steady) {
        Fate fate = new Fate(seed);
        lagSeconds = fate.even(0, MOST_LAG_SECONDS);
        double common = fate.bell(SPEED);
        for (int l = 0; l < 3; l++) {
            gradient[l] = 1 + fate.bell(LAYERS_APART);
            speed[l] = common + fate.bell(SPEED);
        }
        kelvin = fate.even(COOLEST, HOTTEST);
        Layers card = new Layers(
                GREY_CARD * Math.pow(10, fate.bell(LIGHT_SPREAD)),
                GREY_CARD,
                GREY_CARD * Math.pow(10, fate.bell(LIGHT_SPREAD)));
        negative = ColourFilm.printingDensity(card, Stops.of(fate.even(-MOST_STOPS, MOST_STOPS)));
        magentaScale = 1 + fate.bell(DIAL_SCALE);
        yellowScale = 1 + fate.bell(DIAL_SCALE);
        magentaOffset = fate.bell(DIAL_OFFSET);
        yellowOffset = fate.bell(DIAL_OFFSET);
        double factor = fate.even(LEAST_FACTOR, MOST_FACTOR);
        double apart = fate.bell(FACTORS_APART) / 2;
        magentaFactor = factor * (1 + apart);
        yellowFactor = factor * (1 - apart);
        magentaSide = fate.even(LEAST_SIDE, MOST_SIDE);
        yellowSide = fate.even(LEAST_SIDE, MOST_SIDE);
        eyeScale = Math.pow(EYE_SCALE, fate.even(-1, 1));
        casts = new CastEye(fate.seed(), fate.even(SURE_AB, UNSURE_AB), steady);
        eye = new Eye(fate.seed());
        scanner = new ScannerLook(
                fate.even(1 - SCANNER_GRADATION, 1 + SCANNER_GRADATION),
                ScannerLook.USUAL.noiseCodes(),
                0,
                new Layers(
                        fate.even(1 - SCANNER_CAST, 1 + SCANNER_CAST),
                        1,
                        fate.even(1 - SCANNER_CAST, 1 + SCANNER_CAST)));
        scanSeed = fate.seed();
    }

    /** What an eye adds to a cast: an error of each look, and a steady one of the run. */
    private static final class CastEye {
        private final SplittableRandom random;
        private final double steadyA;
        private final double steadyB;
        private final double loose;

        CastEye(long seed, double spread, double steady) {
            random = new SplittableRandom(seed);
            steadyA = spread * Math.sqrt(steady) * random.nextGaussian();
            steadyB = spread * Math.sqrt(steady) * random.nextGaussian();
            loose = spread * Math.sqrt(1 - steady);
        }

        double a() {
            return steadyA + loose * random.nextGaussian();
        }

        double b() {
            return steadyB + loose * random.nextGaussian();
        }
    }

    private FilterPack inTheLight(FilterPack dialled) {
        return FilterPack.of(
                dialled.inCyan(),
                Math.max(0, magentaScale * dialled.inMagenta() + (dialled.inMagenta() > 0 ? magentaOffset : 0)),
                Math.max(0, yellowScale * dialled.inYellow() + (dialled.inYellow() > 0 ? yellowOffset : 0)));
    }

    private DyeImage card(FilterPack pack, double receivedSeconds) {
        Layers x = ColourPaper.logExposure(
                negative,
                inTheLight(pack),
                Math.log10(Math.max(LEAST_SECONDS, receivedSeconds)),
                kelvin,
                FilterSet.DICHROIC);
        double[] dyes = new double[3];
        for (int l = 0; l < 3; l++) {
            dyes[l] = ColourPaper.amount(gradient[l] * (x.at(l) + speed[l]));
        }
        return new DyeImage(Layers.of(dyes));
    }

    private DyeImage card(Exposed print) {
        return card(print.pack(), print.time().inSeconds() - lagSeconds);
    }

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
        double received = Math.max(LEAST_SECONDS, print.time().inSeconds() - lagSeconds);
        return Stops.ofFactor(received / rightSeconds(print.pack())).inStops();
    }

    @Override
    public double density(FilterPack pack, StripOnPaper strip) {
        List<Double> given = strip.receivedSeconds(lagSeconds).stream()
                .map(s -> Math.log10(Math.max(LEAST_SECONDS, s)))
                .toList();
        return eye.place(given, Math.log10(rightSeconds(pack)));
    }

    /** The cast of the bands in points, with the error of one look. */
    private Cast seen(Exposed patch) {
        Layers dyes = card(patch).amounts();
        return new Cast(
                POINTS_PER_DYE * (dyes.green() - dyes.red()) + casts.a() / A_PER_POINT,
                POINTS_PER_DYE * (dyes.blue() - dyes.red()) + casts.b() / B_PER_POINT);
    }

    /** The filters that clear it, to half a step of the kit: both are known by what change they call for, times a factor of their own, and each takes a little of the other. */
    @Override
    public Cast castWithKit(Exposed patch) {
        Cast cast = seen(patch);
        double magenta = cast.magenta() / BANDS_PER_POINT;
        double yellow = cast.yellow() / BANDS_PER_POINT;
        // change = factor * (own + side of the other).
        double det = 1 - magentaSide * yellowSide;
        double m = (magenta / magentaFactor - yellowSide * yellow / yellowFactor) / det;
        double y = (yellow / yellowFactor - magentaSide * magenta / magentaFactor) / det;
        return new Cast(kit(m), kit(y));
    }

    private static double kit(double points) {
        return KIT_STEP * Math.round(Math.max(-MOST_OF_KIT, Math.min(MOST_OF_KIT, points)) / KIT_STEP);
    }

    @Override
    public Cast castByEye(Exposed patch) {
        Cast seen = seen(patch);
        return new Cast(eyeScale * seen.magenta(), eyeScale * seen.yellow());
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
