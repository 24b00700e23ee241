package keyslate.core.contrast;

import java.util.List;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.numeric.Bisection;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Density;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;

/** Burning at another grade than the base: what it does to a tone, and how long it takes. */
public final class MixedBurn {
    private static final double LONGEST_SECONDS = 36_000;
    private static final int HALVINGS = 80;
    private final VariableContrastPaper paper;

    public MixedBurn(VariableContrastPaper paper) {
        this.paper = paper;
    }

    /** One exposure at one grade; 0 s or more. */
    public record Exposure(Grade grade, double seconds) {
        public Exposure {
            seconds = Check.notNegative("exposure time", seconds, "s");
        }
    }

    /**
     * A burn at another grade.
     *
     * @param seconds how long; 0 for no change
     * @param targetDensity print density it brings the tone to, paper white included
     * @param sameGradeSeconds how long at the base's grade
     * @param effective log2((base + seconds)/base): what it costs in stops of the base
     */
    public record Burn(double seconds, double targetDensity, double sameGradeSeconds, Stops effective) {}

    /** Print density (paper white included) of a tone after exposures at several grades: their light adds up. */
    public double printDensity(List<Exposure> exposures, Density tone) {
        return VariableContrastPaper.PAPER_WHITE + net(exposures, tone.inLog10());
    }

    /**
     * CON-16: the time t at another grade with D(base + t at g') = D(base·2^s at g) for a tone of the negative. +1 stop at grade 2 costs 1.55
     * stops of 00 in a mid tone and 0.94 of 5: which grade burns better depends on the tone.
     *
     * @param tone density of the tone on the negative
     * @param change 0 or more stops
     */
    public Burn of(Grade base, ExposureTime time, double tone, Stops change, Grade burn) {
        Check.notNegative("burn", change.inStops(), "stops");
        Check.finite("density", tone);
        double same = time.inSeconds() * (change.toFactor() - 1);
        Exposure under = new Exposure(base, time.inSeconds());
        double target = net(List.of(new Exposure(base, time.inSeconds() + same)), tone);
        if (VariableContrastPaper.NET_MAXIMUM - target < 1e-4) {
            throw Check.infeasible("burn", "this tone is black already: a burn shows nothing");
        }
        double seconds = change.inStops() == 0
                ? 0
                : burn.equals(base)
                        ? same
                        : Bisection.solve(
                                t -> net(List.of(under, new Exposure(burn, t)), tone),
                                target,
                                0,
                                LONGEST_SECONDS,
                                HALVINGS);
        Stops effective = Stops.ofFactor((time.inSeconds() + seconds) / time.inSeconds());
        return new Burn(seconds, VariableContrastPaper.PAPER_WHITE + target, same, effective);
    }

    private double net(List<Exposure> exposures, double tone) {
        double light = Math.pow(10, -tone);
        double blue = 0;
        double green = 0;
        for (Exposure e : exposures) {
            FilterLight filter = paper.lightAt(e.grade());
            blue += e.seconds() * Math.pow(10, filter.blueLog());
            green += e.seconds() * Math.pow(10, filter.greenLog());
        }
        return paper.netDensity(blue * light, green * light);
    }
}
