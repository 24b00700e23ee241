package keyslate.core.darkroom;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import keyslate.core.darkroom.Reach.Area;
import keyslate.core.darkroom.Reach.Uncovered;
import keyslate.core.exposure.LampLag;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Part;
import keyslate.core.script.Phase;

/**
 * All the light one piece of paper got, whatever paper it is.
 *
 * @param logPerSecond log10 light at the paper through clear film, per second (DRK-02)
 * @param bursts in order
 * @param evenness how it lies over the picture
 */
public record SheetLight(double logPerSecond, List<Burst> bursts, Evenness evenness) {
    /**
     * Light of one kind on one reach.
     *
     * @param receivedSeconds seconds of full light, lag already taken off, 0 or more
     */
    public record Burst(Light light, double receivedSeconds, Reach reach) {
        public Burst {
            receivedSeconds = Check.notNegative("received time", receivedSeconds, "s");
        }
    }

    public SheetLight {
        Check.finite("light", logPerSecond);
        bursts = List.copyOf(bursts);
    }

    /** Light that lies evenly. */
    public SheetLight(double logPerSecond, List<Burst> bursts) {
        this(logPerSecond, bursts, Evenness.EVEN);
    }

    /** The same light as it lies over the picture. */
    public SheetLight lying(Evenness over) {
        return new SheetLight(logPerSecond, bursts, over);
    }

    /** The light of a script as it was planned, lag allowed for. */
    public static SheetLight planned(
            double logPerSecond, List<ExposureStep> steps, LampLag lag, Function<String, Area> areas) {
        List<Burst> bursts = new ArrayList<>();
        for (ExposureStep step : steps) {
            step.planned(lag).forEach(g -> bursts.add(burst(step, g, areas)));
        }
        return new SheetLight(logPerSecond, bursts);
    }

    /** A phase of a step as light that fell. */
    public static Burst burst(ExposureStep step, ExposureStep.Given given, Function<String, Area> areas) {
        Phase phase = given.phase();
        Reach reach = new Reach(
                phase.held().stream().map(areas).toList(),
                phase.burned().map(areas),
                phase.uncovered().map(SheetLight::uncovered),
                phase.disc());
        return new Burst(step.light(), given.receivedSeconds(), reach);
    }

    /** A straight exposure of the whole sheet. */
    public static SheetLight straight(double logPerSecond, Light light, double receivedSeconds) {
        return new SheetLight(logPerSecond, List.of(new Burst(light, receivedSeconds, Reach.WHOLE)));
    }

    private static Uncovered uncovered(Part p) {
        return new Uncovered(p.left(), p.top(), p.width(), p.height());
    }
}
