package keyslate.core.darkroom;

import java.util.SplittableRandom;
import java.util.stream.IntStream;
import keyslate.core.darkroom.EquipmentTruth.LensTruth;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Part;
import keyslate.core.size.Projection;
import keyslate.core.size.ThinLens;

/**
 * A simulated enlarger with a simulated lens, and a meter and a ruler at its board: what they really are is told through readings alone. The same seeds are the same
 * things.
 */
public final class StandInEquipment {
    /** Full light of a meter at the board, lx, when the model's light is 1 for each second. */
    private static final double LUX = 1e4;

    private static final double RULER_MM = 0.25;
    /** Light lost in the corners of a board whose evenness nobody has measured, stops. */
    private static final double MOST_CORNER_LOSS = 0.4;

    private static final int CORNERS = 4;

    private final double strengthLog10;
    private final double lagSeconds;
    private final long enlarger;
    private final LensTruth lens;
    private final double focalMm;

    /**
     * One enlarger with one lens.
     *
     * @param strengthLog10 of DRK-02
     * @param assumedLag what its owner begins with, s; it is longer by {@link StandInPaper#LAG_OFFSET_SECONDS}
     */
    public StandInEquipment(long enlarger, double strengthLog10, double assumedLag, long lens, double focalMm) {
        this.enlarger = enlarger;
        this.strengthLog10 = strengthLog10;
        this.lagSeconds = assumedLag + StandInPaper.LAG_OFFSET_SECONDS;
        this.lens = LensTruth.of(lens);
        this.focalMm = focalMm;
    }

    /** Dead time of the lamp, s. */
    public double lagSeconds() {
        return lagSeconds;
    }

    /** log10 light per second on the paper, however it comes there. */
    public double logPerSecond(ApertureMark mark, Projection projection) {
        Projection through = projection instanceof Projection.Enlarged enlarged
                ? new Projection.Enlarged(enlarged.magnification(), lens.inversePupil())
                : projection;
        return new EnlargerLight(strengthLog10).logPerSecond(mark.trueNumber(), through)
                + Stops.of(lens.openingOffset(mark)).toLogExposure();
    }

    /** What the meter shows in the middle of the board, lx; {@code cornerOf4} 0 to 3 for a corner, −1 for the middle. */
    public double lux(ApertureMark mark, Magnification m, int cornerOf4, long reading) {
        double log = logPerSecond(mark, new Projection.Enlarged(m));
        double lost = cornerOf4 < 0 ? 0 : cornerLoss(cornerOf4);
        return new SimulatedMeter(reading).shows(LUX * Math.pow(10, log) * Math.pow(2, -lost));
    }

    /** How the light lies on its board; the corners clockwise from the upper left. */
    public Evenness evenness(Part picture) {
        return new Evenness(
                IntStream.range(0, CORNERS)
                        .mapToObj(corner -> Stops.of(-cornerLoss(corner)))
                        .toList(),
                picture);
    }

    private double cornerLoss(int corner) {
        return MOST_CORNER_LOSS * new SplittableRandom(enlarger ^ corner + 1).nextDouble();
    }

    /** What it adds up over one burst, lx·s. */
    public double dose(ApertureMark mark, Magnification m, double setSeconds, long reading) {
        double received = setSeconds - lagSeconds;
        double log = logPerSecond(mark, new Projection.Enlarged(m));
        return new SimulatedMeter(reading).shows(LUX * Math.pow(10, log) * Check.positive("light", received, "s"));
    }

    /** How long a mark of so many mm in the carrier is on the board with the head where the scale shows that, sharp, mm. */
    public double projectedMm(double markMm, double columnReading, long reading) {
        double m = magnificationAt(columnReading).inTimes();
        return markMm * m + RULER_MM * new SplittableRandom(reading).nextGaussian();
    }

    /** The size with the head there. */
    public Magnification magnificationAt(double columnReading) {
        double filmToPaper = columnReading - EquipmentTruth.columnOffsetMm(enlarger);
        return ThinLens.ofMm(focalMm).magnificationAt(Length.ofMm(filmToPaper), Length.ofMm(0));
    }
}
