package keyslate.server.calibration;

import java.util.List;
import keyslate.server.stores.StoresViews.ConstantView;
import org.jspecify.annotations.Nullable;

/** What is read, and what it says. */
public final class CalibrationViews {
    private CalibrationViews() {}

    /**
     * What readings say.
     *
     * @param headline in a line; {@code why} line by line
     * @param constant as it would be kept, or is
     * @param places each opening or corner, where there are several
     * @param keptId of the constant, once it is kept
     */
    public record CalibrationView(
            String headline,
            List<String> why,
            ConstantView constant,
            List<PlaceView> places,
            @Nullable String keptId) {}

    /** What was found at one place: stops more (+) or less light, and the 95 % limit. */
    public record PlaceView(String at, double stops, double limitStops) {}

    /**
     * Lag of an enlarger's lamp.
     *
     * @param bursts six at least, short and long ones
     * @param keep whether it is to count from now on
     */
    public record LagAsked(
            @Nullable List<BurstAsked> bursts, @Nullable Boolean keep) {}

    /** One burst: set seconds, and what a meter that adds up shows, in any unit. */
    public record BurstAsked(
            @Nullable Double setSeconds, @Nullable Double dose) {}

    /** Openings of a lens: three marks at least, each read twice. */
    public record OpeningsAsked(
            @Nullable List<MarkAsked> marks, @Nullable Boolean keep) {}

    /** Readings at one mark, lx or any unit. */
    public record MarkAsked(@Nullable Double mark, @Nullable List<Double> lux) {}

    /** Evenness of an enlarger's light: each place read twice, carrier empty, lx or any unit. */
    public record EvennessAsked(
            @Nullable List<Double> centre,
            @Nullable List<Double> topLeft,
            @Nullable List<Double> topRight,
            @Nullable List<Double> bottomRight,
            @Nullable List<Double> bottomLeft,
            @Nullable Boolean keep) {}

    /** Light of a lens against size: five heights at least, one opening. */
    public record PupilAsked(
            @Nullable List<HeightAsked> heights, @Nullable Boolean keep) {}

    /** One height: the size there, times, and the meter's reading. */
    public record HeightAsked(
            @Nullable Double magnification, @Nullable Double lux) {}

    /**
     * The column's scale with a lens.
     *
     * @param markMm length of the mark in the carrier
     * @param places four heights at least
     */
    public record ColumnAsked(
            @Nullable String lensId,
            @Nullable Double markMm,
            @Nullable List<PlaceAsked> places,
            @Nullable Boolean keep) {}

    /** One height: what the scale shows, and how long the mark is on the board, sharp, mm. */
    public record PlaceAsked(
            @Nullable Double reading, @Nullable Double projectedMm) {}

    /**
     * How a paper dries down.
     *
     * @param uncertaintyStops of telling a patch, 1/24 when left out
     */
    public record DryDownAsked(
            @Nullable List<PairAsked> pairs,
            @Nullable Double uncertaintyStops,
            @Nullable Boolean keep) {}

    /** One pair: the time that looks right wet, and the shorter one that looks the same dry. */
    public record PairAsked(
            @Nullable Double wetSeconds, @Nullable Double drySeconds) {}

    /**
     * What the simulated meter or ruler is asked for; in the practice darkroom alone.
     *
     * @param shows LUX, DOSE or LENGTH
     * @param mark of the opening; {@code magnification} of the head, for LUX and DOSE
     * @param corner 0 to 3 clockwise from the upper left; the middle when left out
     * @param setSeconds of the burst, for DOSE
     * @param markMm in the carrier; {@code columnReading} of the head, for LENGTH
     */
    public record MeterAsked(
            @Nullable String shows,
            @Nullable String enlargerId,
            @Nullable String lensId,
            @Nullable Double mark,
            @Nullable Double magnification,
            @Nullable Integer corner,
            @Nullable Double setSeconds,
            @Nullable Double markMm,
            @Nullable Double columnReading) {}

    /** What it shows, lx, lx·s or mm. */
    public record MeterView(double reading, String unit) {}
}
