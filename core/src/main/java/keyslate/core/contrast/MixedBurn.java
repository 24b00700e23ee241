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
    /** So near to the paper's maximum more light shows nothing: a burn beyond it aims here. */
    private static final double BLACKEST_NET = VariableContrastPaper.NET_MAXIMUM - 1e-4;

    private final VariableContrastPaper paper;

    public MixedBurn(VariableContrastPaper paper) {
        this.paper = paper;
    }

    /** One exposure through one light; 0 s or more. */
    public record Exposure(FilterLight light, double seconds) {
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
        return of(paper.lightAt(base), time, tone, change, paper.lightAt(burn));
    }

    /** The same through any two lights. */
    public Burn of(FilterLight base, ExposureTime time, double tone, Stops change, FilterLight burn) {
        Check.notNegative("burn", change.inStops(), "stops");
        Check.finite("density", tone);
        double same = time.inSeconds() * (change.toFactor() - 1);
        Exposure under = new Exposure(base, time.inSeconds());
        if (net(List.of(under), tone) > BLACKEST_NET) {
            throw Check.infeasible("burn", "this tone is black already: a burn shows nothing");
        }
        double target = Math.min(BLACKEST_NET, net(List.of(new Exposure(base, time.inSeconds() + same)), tone));
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

    /**
     * CON-16 for a tone that is named by its place on the print: {@link #of} at the tone of the negative that has net density {@code net}
     * after the base alone.
     *
     * @param net above 0, under the paper's maximum; a mid tone has 0.6
     * @return seconds of the burn over those at the base's grade; 1 when it is the base's
     */
    public double timeFactor(Grade base, ExposureTime time, double net, Stops change, Grade burn) {
        return timeFactor(paper.lightAt(base), time, net, change, paper.lightAt(burn));
    }

    /** The same through any two lights. */
    public double timeFactor(FilterLight base, ExposureTime time, double net, Stops change, FilterLight burn) {
        Check.positive("burn", change.inStops(), "stops");
        double tone = Math.log10(time.inSeconds()) + base.blueLog() - paper.logBlueFor(net, base.ratio());
        Burn found = of(base, time, tone, change, burn);
        return found.seconds() / found.sameGradeSeconds();
    }

    /**
     * CON-16: what so many seconds through another light give a tone, in stops of the base's light: by how much more of the base's light would print it as dark.
     *
     * @param net of the tone after the base alone
     */
    public Stops stopsAt(FilterLight base, ExposureTime time, double net, FilterLight burn, double seconds) {
        double tone = Math.log10(time.inSeconds()) + base.blueLog() - paper.logBlueFor(net, base.ratio());
        double burned = Math.min(
                BLACKEST_NET, net(List.of(new Exposure(base, time.inSeconds()), new Exposure(burn, seconds)), tone));
        return Stops.ofLogExposure(paper.logBlueFor(burned, base.ratio()) - paper.logBlueFor(net, base.ratio()));
    }

    private double net(List<Exposure> exposures, double tone) {
        double light = Math.pow(10, -tone);
        double blue = 0;
        double green = 0;
        for (Exposure e : exposures) {
            FilterLight filter = e.light();
            blue += e.seconds() * Math.pow(10, filter.blueLog());
            green += e.seconds() * Math.pow(10, filter.greenLog());
        }
        return paper.netDensity(blue * light, green * light);
    }
}
