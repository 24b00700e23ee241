package keyslate.core.tone;

import java.util.List;
import java.util.Optional;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintModel;
import keyslate.core.darkroom.SheetLight;
import keyslate.core.local.AreaMask;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Part;

/**
 * What a print makes of a named tone, and how much more light would make it what is wanted.
 *
 * <p>REA-14: the tone's density on the film is laid through a step wedge of {@value #STEPS_PER_STOP} steps a stop into the
 * model of the paper, with the local work that reaches its place; the density wanted is found between two steps.
 *
 * @param net density over the paper's white, to about 0.01 in a light tone and 0.03 in a black
 * @param change light that the whole sheet would need more, stops; none when {@value #REACH_STOPS} stops either way do not reach it
 */
public record ToneInPrint(double net, Optional<Stops> change) {
    static final int STEPS_PER_STOP = 12;
    static final int REACH_STOPS = 3;

    private static final double LOG_PER_STOP = Math.log10(2);
    private static final double NO_LIGHT = 8;
    private static final double A_POINT = 1e-6;

    /**
     * The tone in the print of this light.
     *
     * @param negative the whole frame
     * @param aspect of the frame, width over height
     * @param offsets what the paper was found to be faster than labelled, as {@link PrintModel#match} tells
     */
    public static ToneInPrint of(
            NamedTone tone,
            PrintModel model,
            Negative negative,
            double aspect,
            SheetLight light,
            List<Double> offsets) {
        Part part = tone.part();
        Negative spot = negative.cropped(part.left(), part.top(), part.width(), part.height())
                .reducedTo(1);
        AreaMask.View place = new AreaMask.View(tone.x(), tone.y(), A_POINT, A_POINT, aspect);
        int middle = REACH_STOPS * STEPS_PER_STOP;
        double[] wedge = new double[2 * middle + 2];
        // The light is raised by as much as the wedge takes away in its middle, so that no film is ever thinner than it
        // is.
        for (int i = 0; i <= 2 * middle; i++) {
            wedge[i] = (2 * middle - i) * LOG_PER_STOP / STEPS_PER_STOP;
        }
        wedge[2 * middle + 1] = NO_LIGHT;
        SheetLight raised =
                new SheetLight(light.logPerSecond() + REACH_STOPS * LOG_PER_STOP, light.bursts(), light.evenness());
        Look look = model.look(spot.through(wedge), place, raised, offsets);
        double white = look.visualDensity(2 * middle + 1);
        double[] net = new double[2 * middle + 1];
        for (int i = 0; i < net.length; i++) {
            net[i] = look.visualDensity(i) - white;
        }
        return new ToneInPrint(net[middle], change(tone, net, middle));
    }

    private static Optional<Stops> change(NamedTone tone, double[] net, int middle) {
        if (tone.wish() == ToneWish.TRUE_BLACK && net[middle] >= tone.wantedNet()) {
            return Optional.of(Stops.ZERO);
        }
        for (int i = 1; i < net.length; i++) {
            if (net[i] >= tone.wantedNet() && net[i - 1] < tone.wantedNet()) {
                double at = i - 1 + (tone.wantedNet() - net[i - 1]) / (net[i] - net[i - 1]);
                return Optional.of(Stops.of((at - middle) / STEPS_PER_STOP));
            }
        }
        return Optional.empty();
    }
}
