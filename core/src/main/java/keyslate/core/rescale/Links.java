package keyslate.core.rescale;

import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;

/**
 * The factors of a chain, each with the limit that its constants leave.
 *
 * <p>A default's limit is two standard deviations of what real equipment is (model, section 14): openings 0.03 stop each, 1/p of a lens 0.8 to 1.25, columns 4 mm, lags
 * 0 to 0.4 s. The model names 1/6 stop for any change of size; by these spreads it is 0.06 from 4 to 8 times, so the limit is reckoned for each change.
 */
public final class Links {
    /** 1/p of a lens that was not measured. */
    public static final Known PUPIL = Known.byDefault(1, 0.23);
    /** A mark that was not measured, stops. */
    public static final Known OPENING = Known.byDefault(0, 0.06);
    /** A box that was not compared with the one before it, stops. */
    public static final Known BATCH = Known.byDefault(0, 1.0 / 3);
    /** A lag nobody measured, s. */
    public static final Known LAG = Known.byDefault(0.2, 0.23);
    /** Where a head stands by a scale that was not read against sizes, mm. */
    public static final double COLUMN_MM = 8;
    /** A meter's readings of one place, stops. */
    public static final double METER_STOPS = 0.03;

    /**
     * What lamps of other colours are to the light tones of paper where a meter sees them alike, stops: 2700 to 3400 K each. At the highlight it is 0.047 stop from one end to the
     * other, in a mid tone 0.11: time is judged by the highlight.
     */
    public static final Known LAMPS = Known.byDefault(0, 0.04);

    private static final double LN2 = Math.log(2);

    private Links() {}

    /**
     * EXP-35: size, F = ((1 + m2·q)/(1 + m1·q))² with q = 1/p. Limit: √((∂F/∂q·Δq)² + (∂F/∂m1·Δm1)² + (∂F/∂m2·Δm2)²) in stops.
     *
     * @param inversePupil q
     * @param fromLimit of m1, {@code toLimit} of m2, times
     */
    public static Link size(
            Magnification from, double fromLimit, Magnification to, double toLimit, Known inversePupil) {
        double q = inversePupil.figure();
        double m1 = from.inTimes();
        double m2 = to.inTimes();
        double stops = 2 * Math.log((1 + m2 * q) / (1 + m1 * q)) / LN2;
        double byPupil = 2 / LN2 * (m2 / (1 + m2 * q) - m1 / (1 + m1 * q)) * inversePupil.limit();
        double byFrom = 2 / LN2 * q / (1 + m1 * q) * Check.notNegative("limit", fromLimit, "");
        double byTo = 2 / LN2 * q / (1 + m2 * q) * Check.notNegative("limit", toLimit, "");
        return new Link(
                Link.Cause.SIZE,
                Stops.of(stops),
                Stops.of(Math.sqrt(byPupil * byPupil + byFrom * byFrom + byTo * byTo)));
    }

    /**
     * EXP-35 from one lens to another, each with its own q: F = ((1 + m2·q2)/(1 + m1·q1))².
     *
     * @param toLimit of m2, times
     */
    public static Link sizeThroughAnother(
            Magnification from, Known inverseFrom, Magnification to, double toLimit, Known inverseTo) {
        double a = 1 + from.inTimes() * inverseFrom.figure();
        double b = 1 + to.inTimes() * inverseTo.figure();
        double byFrom = 2 / LN2 * from.inTimes() / a * inverseFrom.limit();
        double byTo = 2 / LN2 * to.inTimes() / b * inverseTo.limit();
        double bySize = 2 / LN2 * inverseTo.figure() / b * Check.notNegative("limit", toLimit, "");
        return new Link(
                Link.Cause.SIZE,
                Stops.of(2 * Math.log(b / a) / LN2),
                Stops.of(Math.sqrt(byFrom * byFrom + byTo * byTo + bySize * bySize)));
    }

    /**
     * EXP-36: openings, 2·log2(N2/N1) − off2 + off1, off = stops more light than engraved. The same mark of the same lens leaves nothing open.
     *
     * @param sameMark whether neither lens nor mark changes
     */
    public static Link opening(FNumber from, Known offFrom, FNumber to, Known offTo, boolean sameMark) {
        if (sameMark) {
            return new Link(Link.Cause.OPENING, Stops.ZERO, Stops.ZERO);
        }
        double stops = 2 * Math.log(to.inFStops() / from.inFStops()) / LN2 - offTo.figure() + offFrom.figure();
        return new Link(Link.Cause.OPENING, Stops.of(stops), Stops.of(Math.hypot(offFrom.limit(), offTo.limit())));
    }

    /**
     * EXP-37: what a lag that is off by its limit Δd does to a time that is carried over: with one lamp log2(1 + Δd·|1/t1 − 1/t2|), with two each for itself.
     *
     * @param from received before, {@code to} received after
     */
    public static Link lag(ExposureTime from, Known lagFrom, ExposureTime to, Known lagTo, boolean sameLamp) {
        double a = 1 / from.inSeconds();
        double b = 1 / to.inSeconds();
        double limit = sameLamp
                ? Math.log(1 + lagFrom.limit() * Math.abs(a - b)) / LN2
                : Math.hypot(Math.log(1 + lagFrom.limit() * a), Math.log(1 + lagTo.limit() * b)) / LN2;
        return new Link(Link.Cause.LAG, Stops.ZERO, Stops.of(limit));
    }

    /** What the timer's steps leave between the time that is wanted and the one that is given (EXP-08). */
    public static Link timer(ExposureTime wanted, ExposureTime given) {
        double off = Math.abs(Math.log(given.inSeconds() / wanted.inSeconds())) / LN2;
        return new Link(Link.Cause.TIMER, Stops.ZERO, Stops.of(off));
    }

    /** Filters of one set differ by a tenth of a stop, one standard deviation, 95 % of it shared between two; what is known of a set as a whole is in its limit already. */
    public static final Stops UNMEASURED_FILTER = Stops.of(0.16);

    /**
     * EXP-44: another filter: by what is known of the two, each with its own limit (CON-05, CON-22), held at the light tone; nothing where it stays.
     *
     * @param factorLog log10 of the time of the one over the other's
     */
    public static Link filter(double factorLog, Stops limitFrom, Stops limitTo) {
        return new Link(
                Link.Cause.LIGHT,
                Stops.ofLogExposure(factorLog),
                Stops.of(Math.hypot(limitFrom.inStops(), limitTo.inStops())));
    }

    /** EXP-44: another box of a paper: as they were compared (CAL-09), or one third of a stop that nobody knows. */
    public static Link batch(Known more) {
        return new Link(Link.Cause.BATCH, Stops.of(more.figure()), Stops.of(more.limit()));
    }

    /** SIZ-07: two readings at the board, log2(E1/E2); it takes the place of size, opening and lamp. */
    public static Link meter(double luxBefore, double luxAfter, double limitEach) {
        double stops = Math.log(Check.positive("illuminance before", luxBefore, "lx")
                        / Check.positive("illuminance after", luxAfter, "lx"))
                / LN2;
        return new Link(Link.Cause.METER, Stops.of(stops), Stops.of(Math.sqrt(2) * limitEach));
    }
}
