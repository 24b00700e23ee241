package keyslate.core.size;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Length;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;

/**
 * How the lamp's light comes to the paper: through the negative in the carrier, or on a negative that lies on the paper.
 *
 * <p>SIZ-14: light ∝ 1 / (N·s)², with the spread s = 1 + m behind an enlarged negative (SIZ-02; through a lens of other pupils see {@link Enlarged}) and s = d/f in
 * contact, d = exit pupil to paper: a lens at d throws the light that it throws at the m that needs the same distance (SIZ-04). A
 * bare lamp has no opening: N is 8 and f 50 mm by definition, so that only distances between bare lamps compare (SIZ-08).
 */
public sealed interface Projection {
    /** s, above 0. */
    double spread();

    /** The f-number that counts when the lens is set to {@code set}. */
    default FNumber opening(FNumber set) {
        return set;
    }

    /** The factor of time from this to another, at one opening and filter. */
    default double timeFactor(Projection to) {
        double ratio = to.spread() / spread();
        return ratio * ratio;
    }

    /** {@link #timeFactor} in stops more time. */
    default Stops stopsMoreTime(Projection to) {
        return Stops.ofFactor(timeFactor(to));
    }

    /** Whether the negative lies on the paper. */
    default boolean inContact() {
        return this instanceof Contact;
    }

    /**
     * Through the negative in the carrier: s = 1 + m·q (SIZ-02).
     *
     * @param inversePupil q, entrance over exit pupil of the lens, 0.2 to 5; 1 for a symmetrical one
     */
    record Enlarged(Magnification magnification, double inversePupil) implements Projection {
        public Enlarged {
            Check.within("pupil ratio", inversePupil, 0.2, 5, "");
        }

        /** Through a symmetrical lens. */
        public Enlarged(Magnification magnification) {
            this(magnification, 1);
        }

        @Override
        public double spread() {
            return 1 + magnification.inTimes() * inversePupil;
        }
    }

    /**
     * On a negative that lies on the paper.
     *
     * @param source what the light comes from
     * @param focal of the lens
     * @param distance of lens or lamp from the paper, {@value #NEAREST_MM} to {@value #FARTHEST_MM} mm
     */
    record Contact(Source source, Length focal, Length distance) implements Projection {
        public static final double NEAREST_MM = 50;
        public static final double FARTHEST_MM = 3000;
        private static final FNumber BARE_OPENING = FNumber.of(8);
        private static final double BARE_FOCAL_MM = 50;

        public Contact {
            Check.positive("focal length", focal.inMm(), "mm");
            Check.within("distance", distance.inMm(), NEAREST_MM, FARTHEST_MM, "mm");
        }

        @Override
        public double spread() {
            return distance.inMm() / (source == Source.LENS ? focal.inMm() : BARE_FOCAL_MM);
        }

        @Override
        public FNumber opening(FNumber set) {
            return source == Source.LENS ? set : BARE_OPENING;
        }
    }

    /** What the light of a contact print comes from. */
    enum Source {
        /** The enlarger with an empty carrier. */
        LENS,
        /** A lamp over the board. */
        LAMP
    }
}
