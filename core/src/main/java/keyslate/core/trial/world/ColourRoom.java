package keyslate.core.trial.world;

import keyslate.core.colour.ColourFilm;
import keyslate.core.colour.ColourPaper;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.darkroom.ScannerLook;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;

/**
 * What stays in a colour darkroom from negative to negative, none of which the advice knows: layers of the paper 5 % apart, dials 10 % off in scale and 3 points at the zero, a lamp of 2700 to 3400 K, a kit of viewing filters, the eye's scale, a grey card, a scanner. A foreign one keeps to the advice's idea of a
 * paper even less: toe and shoulder a quarter longer or shorter, gradients 8 % apart, dials 8 points off, half to two percent of stray light, a lamp that falls by 5 % an hour.
 */
final class ColourRoom {
    private static final double MOST_LAG_SECONDS = 0.4;
    private static final double LAYERS_APART = 0.05;
    private static final double FOREIGN_LAYERS_APART = 0.08;
    private static final double SPEED = 0.06;
    private static final double DIAL_SCALE = 0.10;
    private static final double DIAL_OFFSET = 3;
    private static final double FOREIGN_DIAL_OFFSET = 8;
    private static final double COOLEST = 2700;
    private static final double HOTTEST = 3400;
    private static final double FOREIGN_SHAPE = 0.25;
    private static final double FOREIGN_MASK = 0.15;
    private static final double LEAST_FLARE = 0.005;
    private static final double MOST_FLARE = 0.02;
    /** 5 % an hour, ten minutes a piece. */
    private static final double FOREIGN_DRIFT_STOPS = 0.012;

    private static final double EYE_SCALE = 1.25;
    private static final double CARD_POINTS = 1;
    private static final double SCANNER_CAST = 0.1;
    private static final double SCANNER_GRADATION = 0.05;
    private static final double LEAST_EXPONENT = 0.3;

    final double lagSeconds;
    final double eyeScale;
    final double cardMagenta;
    final double cardYellow;
    final ViewingKit kit;
    final ScannerLook scanner;
    final double driftStops;
    private final double[] gradient = new double[3];
    private final double[] speed = new double[3];
    private final double kelvin;
    private final double magentaScale;
    private final double yellowScale;
    private final double magentaOffset;
    private final double yellowOffset;
    private final double toe;
    private final double shoulder;
    private final Layers mask;
    private final double flare;

    ColourRoom(Fate fate, Fate foreignFate, boolean foreign) {
        lagSeconds = fate.even(0, MOST_LAG_SECONDS);
        double common = fate.bell(SPEED);
        for (int l = 0; l < 3; l++) {
            gradient[l] = 1
                    + fate.bell(LAYERS_APART)
                    + (foreign ? foreignFate.even(-FOREIGN_LAYERS_APART, FOREIGN_LAYERS_APART) : 0);
            speed[l] = common + fate.bell(SPEED);
        }
        kelvin = fate.even(COOLEST, HOTTEST);
        magentaScale = 1 + fate.bell(DIAL_SCALE);
        yellowScale = 1 + fate.bell(DIAL_SCALE);
        double offset = foreign ? FOREIGN_DIAL_OFFSET : DIAL_OFFSET;
        magentaOffset = fate.bell(offset);
        yellowOffset = fate.bell(offset);
        kit = new ViewingKit(fate);
        eyeScale = Math.pow(EYE_SCALE, fate.even(-1, 1));
        cardMagenta = fate.bell(CARD_POINTS);
        cardYellow = fate.bell(CARD_POINTS);
        scanner = new ScannerLook(
                fate.even(1 - SCANNER_GRADATION, 1 + SCANNER_GRADATION),
                ScannerLook.USUAL.noiseCodes(),
                0,
                new Layers(
                        fate.even(1 - SCANNER_CAST, 1 + SCANNER_CAST),
                        1,
                        fate.even(1 - SCANNER_CAST, 1 + SCANNER_CAST)));
        toe = foreign ? exponent(foreignFate) : 1;
        shoulder = foreign ? exponent(foreignFate) : 1;
        mask = foreign
                ? new Layers(
                        0, foreignFate.even(-FOREIGN_MASK, FOREIGN_MASK), foreignFate.even(-FOREIGN_MASK, FOREIGN_MASK))
                : new Layers(0, 0, 0);
        flare = foreign ? foreignFate.even(LEAST_FLARE, MOST_FLARE) : 0;
        driftStops = foreign ? FOREIGN_DRIFT_STOPS : 0;
    }

    private static double exponent(Fate fate) {
        return Math.max(LEAST_EXPONENT, 1 + fate.even(-FOREIGN_SHAPE, FOREIGN_SHAPE));
    }

    private FilterPack inTheLight(FilterPack dialled) {
        return FilterPack.of(
                dialled.inCyan(),
                Math.max(0, magentaScale * dialled.inMagenta() + (dialled.inMagenta() > 0 ? magentaOffset : 0)),
                Math.max(0, yellowScale * dialled.inYellow() + (dialled.inYellow() > 0 ? yellowOffset : 0)));
    }

    /** A grey of the scene as this film has it. */
    Layers negative(Layers grey, Stops exposure) {
        Layers film = ColourFilm.printingDensity(grey, exposure);
        double[] seen = new double[3];
        for (int l = 0; l < 3; l++) {
            seen[l] = -Math.log10(Math.pow(10, -film.at(l) - mask.at(l)) + flare * Math.pow(10, -base(l)));
        }
        return Layers.of(seen);
    }

    /** Stray light comes through the clear film. */
    private double base(int layer) {
        return ColourFilm.printingDensity(new Layers(1e-4, 1e-4, 1e-4), Stops.ZERO)
                        .at(layer)
                + mask.at(layer);
    }

    /** What a tone of the negative becomes on this paper. */
    DyeImage print(Layers negative, FilterPack pack, double logSeconds) {
        Layers x = ColourPaper.logExposure(negative, inTheLight(pack), logSeconds, kelvin, FilterSet.DICHROIC);
        double[] dyes = new double[3];
        for (int l = 0; l < 3; l++) {
            dyes[l] = bent(ColourPaper.amount(gradient[l] * (x.at(l) + speed[l])));
        }
        return new DyeImage(Layers.of(dyes));
    }

    private double bent(double dye) {
        double q = (dye - ColourPaper.LEAST) / ColourPaper.RANGE;
        return ColourPaper.LEAST + ColourPaper.RANGE * Math.pow(1 - Math.pow(1 - q, shoulder), toe);
    }
}
