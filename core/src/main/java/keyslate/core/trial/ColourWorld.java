package keyslate.core.trial;

import java.util.List;
import keyslate.core.colour.ColourBalance;
import keyslate.core.colour.ColourDifference;
import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.colour.ViewingLight;
import keyslate.core.darkroom.ColourPrint;
import keyslate.core.darkroom.ColourTruth;
import keyslate.core.darkroom.Scanner;
import keyslate.core.darkroom.ScannerLook;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.core.numeric.Bisection;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;

/** A grey card on an unknown colour negative and unknown paper, printed by a head whose dial is off. Answers with looks, scans and final errors only. */
final class ColourWorld {
    /** Density the grey card should have. */
    static final double WANTED_DENSITY = 0.75;

    private static final double LAG_SECONDS = 0.1;
    private static final double LAG_SPREAD = 0.02;
    private static final double LIGHT_SPREAD = 0.06;
    private static final double FILM_SPREAD_STOPS = 0.7;
    private static final double POINTS_PER_DYE = 108;
    private static final int PATCH_SIDE = 24;
    private static final int HALVINGS = 50;

    private final ColourTruth truth;
    private final Layers negative;
    private final ScannerLook scanner;
    private final long seed;

    ColourWorld(long seed) {
        this.seed = seed;
        Eye fate = new Eye(seed * 31 + 11);
        truth = ColourTruth.ofBatch(seed, LAG_SECONDS + fate.even(-LAG_SPREAD, LAG_SPREAD));
        Layers card = new Layers(
                0.18 * Math.pow(10, fate.bell(LIGHT_SPREAD)), 0.18, 0.18 * Math.pow(10, fate.bell(LIGHT_SPREAD)));
        negative = ColourFilm.printingDensity(card, Stops.of(fate.bell(FILM_SPREAD_STOPS)));
        scanner = new ScannerLook(
                fate.even(0.95, 1.05),
                ScannerLook.USUAL.noiseCodes(),
                0,
                new Layers(fate.even(0.9, 1.1), 1, fate.even(0.9, 1.1)));
    }

    /** What the printer starts from: the pack and time of a normal negative on paper as labelled. */
    static Exposed firstGuess() {
        Layers normal = ColourFilm.printingDensity(new Layers(0.18, 0.18, 0.18), Stops.ZERO);
        ColourBalance usual = ColourBalance.of(normal, WANTED_DENSITY, 3200, FilterSet.DICHROIC);
        return new Exposed(usual.pack(), usual.time());
    }

    private DyeImage card(FilterPack pack, double setSeconds) {
        return ColourPrint.patch(negative, pack, Math.max(0.01, setSeconds - truth.lagSeconds()), truth);
    }

    /** Cast of the card in points of a viewing filter: magenta and yellow over cyan, as densities of the print. */
    double magentaCast(Exposed print) {
        Layers dyes = card(print.pack(), print.time().inSeconds()).amounts();
        return POINTS_PER_DYE * (dyes.green() - dyes.red());
    }

    /** As {@link #magentaCast}, of yellow. */
    double yellowCast(Exposed print) {
        Layers dyes = card(print.pack(), print.time().inSeconds()).amounts();
        return POINTS_PER_DYE * (dyes.blue() - dyes.red());
    }

    /** Where on a strip the card has the wanted density. */
    double densityPlace(FilterPack pack, StripOnPaper strip) {
        List<ExposureTime> bursts = strip.bursts();
        double received = 0;
        double wanted = Math.log10(rightSetSeconds(pack) - truth.lagSeconds())
                + strip.closed().toLogExposure();
        double before = 0;
        for (int i = 0; i < bursts.size(); i++) {
            received += Math.max(0.01, bursts.get(i).inSeconds() - truth.lagSeconds());
            double here = Math.log10(received);
            if (i > 0 && (here >= wanted || i == bursts.size() - 1)) {
                return i - 1 + (wanted - before) / (here - before);
            }
            before = here;
        }
        throw new IllegalArgumentException("a strip has at least two patches");
    }

    /** Stops by which the card is too dark. */
    double stopsTooDark(Exposed print) {
        double received = Math.max(0.01, print.time().inSeconds() - truth.lagSeconds());
        return Stops.ofFactor(received / (rightSetSeconds(print.pack()) - truth.lagSeconds()))
                .inStops();
    }

    private double rightSetSeconds(FilterPack pack) {
        double log = Bisection.solve(
                t -> card(pack, Math.pow(10, t) + truth.lagSeconds())
                        .in(ViewingLight.USUAL)
                        .visualDensity(),
                WANTED_DENSITY,
                -2,
                4,
                HALVINGS);
        return Math.pow(10, log) + truth.lagSeconds();
    }

    /** ΔE00 from neutral grey of the same density, once the density is right: the cast alone, because the density has a figure of its own. */
    double castDeltaE(FilterPack pack) {
        DyeImage.Appearance seen = card(pack, rightSetSeconds(pack)).in(ViewingLight.USUAL);
        return ColourDifference.of(seen.lightness(), seen.a(), seen.b(), seen.lightness(), 0, 0);
    }

    /** Linear red, green and blue of the card in a scan of the print. */
    Layers scanned(Exposed print) {
        return scan(card(print.pack(), print.time().inSeconds()), print.hashCode());
    }

    /** The same of unexposed paper beside it. */
    Layers scannedWhite() {
        return scan(new DyeImage(new Layers(0.04, 0.04, 0.04)), 1);
    }

    private Layers scan(DyeImage patch, long which) {
        DyeImage.Screen shown = patch.onScreen(ViewingLight.USUAL);
        int rgb = code(shown.red()) << 16 | code(shown.green()) << 8 | code(shown.blue());
        int[] flat = new int[PATCH_SIDE * PATCH_SIDE];
        java.util.Arrays.fill(flat, rgb);
        int[] codes = Scanner.colour(new ColourPrint.Picture(PATCH_SIDE, PATCH_SIDE, flat), scanner, seed ^ which);
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
}
