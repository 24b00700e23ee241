package keyslate.core.size;

import java.util.Optional;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;

/**
 * How pieces of paper go through a machine or lie in a drum.
 *
 * @param longSide of the largest sheet it takes; {@code shortSide} alike
 * @param most pieces it holds at once, 1 or more; none = as many as lie beside each other
 * @param lead which side of a sheet goes in first; none = either
 */
public record Transport(Length longSide, Length shortSide, Optional<Integer> most, Optional<Lead> lead) {
    private static final double SLACK_MM = 0.5;

    /** Which side of a sheet goes in first. */
    public enum Lead {
        LONG,
        SHORT
    }

    public Transport {
        Check.positive("long side", longSide.inMm(), "mm");
        Check.positive("short side", shortSide.inMm(), "mm");
        most.ifPresent(m -> Check.count("pieces", m, 1, 100));
    }

    /**
     * Pieces in the machine or drum.
     *
     * @param lead the side of the piece that goes in first
     * @param atOnce how many lie there at a time
     */
    public record Load(Lead lead, int atOnce) {}

    /**
     * How pieces of one size go in, or nothing when they do not fit.
     *
     * <p>SIZ-19: the side of the largest sheet that goes in first is as wide as the inlet. A piece has one of its sides there; beside it lie
     * floor(inlet / side) and behind it floor(depth / other side). Of both ways the one that holds more; of two alike the one a whole sheet goes in.
     */
    public Optional<Load> load(Length a, Length b) {
        Lead usual = lead.orElse(Lead.SHORT);
        double inlet = (usual == Lead.LONG ? longSide : shortSide).inMm() + SLACK_MM;
        double depth = (usual == Lead.LONG ? shortSide : longSide).inMm() + SLACK_MM;
        double longer = Math.max(a.inMm(), b.inMm());
        double shorter = Math.min(a.inMm(), b.inMm());
        int longFirst = (int) (inlet / longer) * (int) (depth / shorter);
        int shortFirst = (int) (inlet / shorter) * (int) (depth / longer);
        boolean takesLong = longFirst == shortFirst ? usual == Lead.LONG : longFirst > shortFirst;
        int room = Math.max(longFirst, shortFirst);
        int atOnce = most.map(m -> Math.min(m, room)).orElse(room);
        return atOnce == 0 ? Optional.empty() : Optional.of(new Load(takesLong ? Lead.LONG : Lead.SHORT, atOnce));
    }
}
