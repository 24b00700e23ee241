package keyslate.core.quantity;

/**
 * The filtration in the light of a colour head: cyan, magenta and yellow in points (CC), 100 CC = density 1.00.
 *
 * @param inCyan 0 to 400; magenta and yellow alike
 */
public record FilterPack(double inCyan, double inMagenta, double inYellow) {
    /** Most points of one filter. */
    public static final double MOST = 400;

    public FilterPack {
        inCyan = channel("cyan", inCyan);
        inMagenta = channel("magenta", inMagenta);
        inYellow = channel("yellow", inYellow);
    }

    public static FilterPack of(double cyan, double magenta, double yellow) {
        return new FilterPack(cyan, magenta, yellow);
    }

    /** The pack as a change from no filtration. */
    public FilterShift toShift() {
        return FilterShift.of(inCyan, inMagenta, inYellow);
    }

    private static double channel(String name, double points) {
        return Check.within(name, Check.notNegative(name, points, "CC"), 0, MOST, "CC");
    }
}
