package keyslate.core.trial.world;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import keyslate.core.colour.ColourDifference;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.Hue;
import keyslate.core.colour.KitLook.Through;
import keyslate.core.colour.Layers;
import keyslate.core.colour.NamedCast;
import keyslate.core.colour.NamedCast.Picture;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.colour.RingAround.Exposed;
import keyslate.core.colour.ViewingLight;
import keyslate.core.darkroom.ColourPrint;
import keyslate.core.darkroom.Scanner;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.core.numeric.Bisection;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.quantity.Stops;
import keyslate.core.trial.printer.ColourDarkroom;
import keyslate.core.trial.printer.ColourStart;
import keyslate.core.trial.printer.StripOnPaper;

/**
 * A grey card in a colour darkroom as one finds it ({@link ColourRoom}), on a negative up to two stops thin or dense; seen by an eye that errs in a* and b* by 1 to 2 at each look and that by itself takes casts for up to a quarter more
 * or less than they are. Answers with looks and scans, and at the end with how far a setting is from the best.
 */
public final class TestedColour implements ColourDarkroom {
    private static final double GREY_CARD = 0.18;
    private static final double MOST_STOPS = 2;
    private static final double LIGHT_SPREAD = 0.06;
    private static final double MIXED_SPREAD = 0.15;
    private static final double LEAST_SECONDS = 0.01;
    private static final int HALVINGS = 40;
    /** Points of a viewing filter for one unit of dye: what the band densities of a neutral differ by (COL-19). */
    private static final double POINTS_PER_DYE = 108;
    /** A pack of 10 points moves the bands of the print by 17.4 (COL-13). */
    private static final double BANDS_PER_POINT = 1.74;
    /** In a* and b*, about the neutral (COL-26). */
    private static final double A_PER_POINT = 0.525;

    private static final double B_PER_POINT = 0.70;
    private static final double SURE_AB = 1;
    private static final double UNSURE_AB = 2;
    /** A piece that looks less than this many times as far from neutral as the nearest one is picked beside it. */
    private static final double NEARLY = 1.35;

    /** What a scene integrates to may be so far from grey, and a meter is good to so much, points. */
    private static final double SCENE_POINTS = 12;

    private static final double METER_POINTS = 2.5;
    private static final int MOST_PICKED = 3;
    private static final double NO_DYE = 0.04;
    private static final int PATCH_SIDE = 24;

    private final ColourRoom room;
    private final Layers negative;
    private final CastEye casts;
    private final Eye eye;
    private final long scanSeed;
    private int pieces;

    /** Which negatives come into it. */
    public enum Negatives {
        /** Up to two stops thin or dense, in light that is a little off. */
        USUAL,
        /** Two stops thin or two stops dense. */
        FAR,
        /** In the light of two kinds of lamp: the card gets more of one than the film is made for. */
        MIXED_LIGHT
    }

    /** What a darkroom is like. */
    public record Kind(double steady, boolean foreign, Negatives negatives) {
        /** Every look is a new one, and the paper is as the advice thinks. */
        public static final Kind USUAL = new Kind(0, false);

        public Kind(double steady, boolean foreign) {
            this(steady, foreign, Negatives.USUAL);
        }

        private double lightSpread() {
            return negatives == Negatives.MIXED_LIGHT ? MIXED_SPREAD : LIGHT_SPREAD;
        }

        private Stops off(Fate fate) {
            double stops = fate.even(-MOST_STOPS, MOST_STOPS);
            return Stops.of(negatives == Negatives.FAR ? Math.copySign(MOST_STOPS, stops) : stops);
        }
    }

    /**
     * A darkroom.
     *
     * @param kind with the share of the variance of cast judgements, 0 to 1, that is one and the same error all through a run
     */
    public TestedColour(long seed, Kind kind) {
        this(new ColourRoom(new Fate(seed), new Fate(~seed), kind.foreign()), new Fate(seed ^ 0x5DEECE66DL), kind);
    }

    private TestedColour(ColourRoom room, Fate fate, Kind kind) {
        this.room = room;
        Layers card = new Layers(
                GREY_CARD * Math.pow(10, fate.bell(kind.lightSpread())),
                GREY_CARD,
                GREY_CARD * Math.pow(10, fate.bell(kind.lightSpread())));
        negative = room.negative(card, kind.off(fate));
        casts = new CastEye(fate.seed(), fate.even(SURE_AB, UNSURE_AB), kind.steady());
        eye = new Eye(fate.seed());
        scanSeed = fate.seed();
    }

    /** Another negative of the same film in the same darkroom, looked at by the same eye on another evening. */
    public TestedColour sister(long seed) {
        return new TestedColour(room, new Fate(seed), Kind.USUAL);
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

        Bands alone() {
            return new Bands(
                    (steadyA + loose * random.nextGaussian()) / A_PER_POINT,
                    (steadyB + loose * random.nextGaussian()) / B_PER_POINT);
        }

        /** Beside another grey: what is steady stands in both. */
        Bands beside() {
            return new Bands(
                    Math.sqrt(2) * loose * random.nextGaussian() / A_PER_POINT,
                    Math.sqrt(2) * loose * random.nextGaussian() / B_PER_POINT);
        }
    }

    /** A cast of the print's bands, points. */
    private record Bands(double magenta, double yellow) {
        Bands plus(Bands other) {
            return new Bands(magenta + other.magenta, yellow + other.yellow);
        }

        Bands times(double factor) {
            return new Bands(factor * magenta, factor * yellow);
        }

        /** As far as an eye sees it from neutral, in a* and b*. */
        double far() {
            return Math.hypot(A_PER_POINT * magenta, B_PER_POINT * yellow);
        }
    }

    private DyeImage card(FilterPack pack, double receivedSeconds) {
        double drifted = -Stops.of(room.driftStops * pieces).toLogExposure();
        return room.print(negative, pack, Math.log10(Math.max(LEAST_SECONDS, receivedSeconds)) + drifted);
    }

    private DyeImage card(Exposed print) {
        return card(print.pack(), print.time().inSeconds() - room.lagSeconds);
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
        double received = Math.max(LEAST_SECONDS, print.time().inSeconds() - room.lagSeconds);
        return Stops.ofFactor(received / rightSeconds(print.pack())).inStops();
    }

    @Override
    public double density(FilterPack pack, StripOnPaper strip) {
        pieces++;
        List<Double> given = strip.receivedSeconds(room.lagSeconds).stream()
                .map(s -> Math.log10(Math.max(LEAST_SECONDS, s)))
                .toList();
        return eye.place(given, Math.log10(rightSeconds(pack)));
    }

    private Bands truly(Exposed patch) {
        Layers dyes = card(patch).amounts();
        return new Bands(POINTS_PER_DYE * (dyes.green() - dyes.red()), POINTS_PER_DYE * (dyes.blue() - dyes.red()));
    }

    @Override
    public List<Through> throughKit(Exposed patch) {
        return clearing(truly(patch).plus(casts.alone()));
    }

    @Override
    public List<Through> throughKitBesideCard(Exposed patch) {
        return clearing(truly(patch).plus(casts.beside()).plus(new Bands(room.cardMagenta, room.cardYellow)));
    }

    private List<Through> clearing(Bands cast) {
        return room.kit.clearing(cast.magenta() / BANDS_PER_POINT, cast.yellow() / BANDS_PER_POINT);
    }

    @Override
    public List<Picture> named(Exposed patch, double scale) {
        Bands seen = truly(patch).plus(casts.alone()).times(room.eyeScale);
        List<Picture> pictures = new ArrayList<>(List.of(Picture.NEUTRAL));
        for (NamedCast strength : List.of(NamedCast.SLIGHT, NamedCast.CLEAR, NamedCast.STRONG)) {
            for (Hue hue : Hue.values()) {
                pictures.add(new Picture(hue, strength));
            }
        }
        List<Double> far = pictures.stream()
                .map(p -> p.shift(scale).times(BANDS_PER_POINT))
                .map(s -> seen.plus(new Bands(s.inMagenta(), s.inYellow())).far())
                .toList();
        return nearest(far, 2).stream().map(pictures::get).toList();
    }

    @Override
    public List<Integer> neutralOf(List<Exposed> sheet) {
        return nearest(
                sheet.stream()
                        .map(piece -> truly(piece).plus(casts.alone()).far())
                        .toList(),
                MOST_PICKED);
    }

    /** The nearest, and those that are hardly farther. */
    private static List<Integer> nearest(List<Double> far, int most) {
        List<Integer> nearest = new ArrayList<>();
        for (int i = 0; i < far.size(); i++) {
            nearest.add(i);
        }
        nearest.sort(Comparator.comparing(far::get));
        double limit = NEARLY * far.get(nearest.get(0));
        return nearest.stream().filter(i -> far.get(i) <= limit).limit(most).toList();
    }

    @Override
    public double tooDark(Exposed print) {
        return eye.tooDark(stopsTooDark(print));
    }

    /** What prints the card neutral, off by what the scene's own colours add up to, and by the meter's own error. */
    @Override
    public FilterPack metered() {
        SplittableRandom random = new SplittableRandom(~scanSeed);
        FilterShift off = FilterShift.of(
                0,
                random.nextDouble(-SCENE_POINTS, SCENE_POINTS) + random.nextDouble(-METER_POINTS, METER_POINTS),
                random.nextDouble(-SCENE_POINTS, SCENE_POINTS) + random.nextDouble(-METER_POINTS, METER_POINTS));
        return NeutralRemoval.of(neutral().toShift().plus(off)).pack();
    }

    /** The pack that prints the card neutral. */
    private FilterPack neutral() {
        FilterPack pack = FilterPack.of(0, 50, 50);
        for (int i = 0; i < HALVINGS; i++) {
            Layers dyes = card(pack, rightSeconds(pack)).amounts();
            FilterShift cast = FilterShift.of(0, dyes.green() - dyes.red(), dyes.blue() - dyes.red())
                    .times(POINTS_PER_DYE / BANDS_PER_POINT);
            pack = NeutralRemoval.of(pack.toShift().plus(cast)).pack();
        }
        return pack;
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
        int[] codes =
                Scanner.colour(new ColourPrint.Picture(PATCH_SIDE, PATCH_SIDE, flat), room.scanner, scanSeed ^ which);
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
