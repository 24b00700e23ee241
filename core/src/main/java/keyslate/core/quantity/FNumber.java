package keyslate.core.quantity;

/**
 * The true f-number of a lens opening: the number to compute with, a power of a root of two. What is engraved is an
 * {@code ApertureMark}.
 *
 * @param inFStops the ratio f/d, 0.5 to 512
 */
public record FNumber(double inFStops) implements Comparable<FNumber> {
    public FNumber {
        Check.positive("f-number", inFStops, "");
        Check.within("f-number", inFStops, 0.5, 512, "");
    }

    public static FNumber of(double ratio) {
        return new FNumber(ratio);
    }

    /** EXP-03: N = 2^(k/(2q)), the k-th opening from f/1 in steps of 1/q stop; k ≥ 0, q 1 to 12. */
    public static FNumber ofSteps(int k, int stepsPerStop) {
        Check.count("steps per stop", stepsPerStop, 1, 12);
        Check.within("aperture step", k, 0, 18.0 * stepsPerStop, "");
        return new FNumber(Math.pow(2, k / (2.0 * stepsPerStop)));
    }

    /** EXP-04: light lost from this opening to {@code other}: 2·log2(N2/N1), as a change of light (negative = less). */
    public Stops lightChangeTo(FNumber other) {
        return Stops.ofFactor(inFStops / other.inFStops).times(2);
    }

    /** The f-number that the paper sees, N·(1 + m/p); p = exit/entrance pupil, 0.2 to 5, 1 for a symmetrical lens. */
    public double effectiveAt(Magnification m, double pupilRatio) {
        Check.positive("pupil ratio", pupilRatio, "");
        return inFStops * (1 + m.inTimes() / Check.within("pupil ratio", pupilRatio, 0.2, 5, ""));
    }

    @Override
    public int compareTo(FNumber other) {
        return Double.compare(inFStops, other.inFStops);
    }
}
