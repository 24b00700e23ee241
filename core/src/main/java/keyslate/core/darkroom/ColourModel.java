package keyslate.core.darkroom;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Layers;
import keyslate.core.colour.Primary;
import keyslate.core.colour.Viewing;
import keyslate.core.light.Light;
import keyslate.core.local.AreaMask;
import keyslate.core.numeric.Bisection;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.PaperMatch;

/** Colour paper as labelled, under the usual lamp with dichroic filters. */
public final class ColourModel implements PrintModel {
    /** log10 light of the enlarger that the speeds of COL-16 are meant for: DRK-02 with strength 3.2 at f/8 and 6.4 ×. */
    static final double REFERENCE_LOG = 3.2 - 2 * Math.log10(8 * 7.4);

    private static final int SWEEPS = 3;
    private static final int HALVINGS = 14;
    /** The truth of a batch is never farther off; see {@link ColourTruth}. */
    private static final double FARTHEST_LOG = 0.5;

    private final ColourPrint print;
    private final Viewing viewing;

    /** Dry, in the usual light. */
    public ColourModel() {
        this(new ColourPrint(), Viewing.USUAL);
    }

    private ColourModel(ColourPrint print, Viewing viewing) {
        this.print = print;
        this.viewing = viewing;
    }

    @Override
    public PrintModel seen(Viewing other) {
        return new ColourModel(print, other);
    }

    @Override
    public Look look(Negative negative, AreaMask.View view, SheetLight light, List<Double> offsets) {
        return look(((Negative.Colour) negative).density(), view, sheet(light), offsets);
    }

    private Look look(ColourRaster film, AreaMask.View view, ColourSheet sheet, List<Double> offsets) {
        double common = offsets.get(0);
        Layers speed =
                offsets.size() < 3 ? layers(common, common, common) : layers(common, offsets.get(1), offsets.get(2));
        ColourPrint.Picture made = print.print(film, view, sheet, ColourTruth.withSpeeds(speed), viewing);
        return Look.ofCodes(made.width(), made.height(), made.rgb());
    }

    private static Layers layers(double red, double green, double blue) {
        return new Layers(log(red), log(green), log(blue));
    }

    private static double log(double stops) {
        return Math.max(-FARTHEST_LOG, Math.min(FARTHEST_LOG, Stops.of(stops).toLogExposure()));
    }

    /** Layer by layer, the other two standing, a few times round: each dye lies mostly in one band. */
    @Override
    public List<Double> match(Negative negative, AreaMask.View view, SheetLight light, Look scan) {
        ColourRaster film = ((Negative.Colour) negative).density();
        ColourSheet sheet = sheet(light);
        List<Double> stops = new ArrayList<>(List.of(0.0, 0.0, 0.0));
        double reach = Math.min(
                PaperMatch.FARTHEST_STOPS, Stops.ofLogExposure(FARTHEST_LOG).inStops());
        for (int sweep = 0; sweep < SWEEPS; sweep++) {
            for (int layer = 0; layer < 3; layer++) {
                int plane = layer;
                double wanted = scan.density(plane);
                double found = Bisection.solve(
                        s -> {
                            List<Double> tried = new ArrayList<>(stops);
                            tried.set(plane, s);
                            return look(film, view, sheet, tried).density(plane);
                        },
                        wanted,
                        -reach,
                        reach,
                        HALVINGS);
                stops.set(layer, found);
            }
        }
        return List.copyOf(stops);
    }

    /** With the shares that the head of three lights is taken to have. */
    private static ColourSheet sheet(SheetLight light) {
        return sheet(light, (primary, known) -> known);
    }

    /** With the shares that it has. */
    static ColourSheet sheet(SheetLight light, AdditiveHead head) {
        return sheet(light, (primary, known) -> head.share(primary));
    }

    /** The share of a light, from what it is taken to be. */
    private interface Shares {
        double of(Primary primary, double known);
    }

    private static ColourSheet sheet(SheetLight light, Shares shares) {
        return new ColourSheet(
                light.logPerSecond() - REFERENCE_LOG,
                ColourSheet.USUAL_KELVIN,
                FilterSet.DICHROIC,
                light.bursts().stream().map(b -> burst(b, shares)).toList(),
                light.evenness());
    }

    private static ColourSheet.Burst burst(SheetLight.Burst b, Shares shares) {
        return b.light() instanceof Light.Third third
                ? ColourSheet.Burst.of(
                        third.primary(), shares.of(third.primary(), third.share()), b.receivedSeconds(), b.reach())
                : new ColourSheet.Burst(b.light().toPack(), b.receivedSeconds(), b.reach());
    }
}
