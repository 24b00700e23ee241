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

    /**
     * What was found at one place.
     *
     * @param at the mark, or the corner
     * @param stops more (+) or less light than engraved, or than in the centre
     */
    public record PlaceView(String at, double stops, double limitStops) {}

    /**
     * Lag of an enlarger's lamp.
     *
     * @param bursts six at least, short and long ones
     * @param keep whether it is to count from now on
     */
    public record LagAsked(
            @Nullable List<BurstAsked> bursts, @Nullable Boolean keep) {}

    /**
     * One burst.
     *
     * @param dose what a meter that adds up shows, in any unit
     */
    public record BurstAsked(
            @Nullable Double setSeconds, @Nullable Double dose) {}

    /** Openings of a lens: three marks at least, each read twice. */
    public record OpeningsAsked(
            @Nullable List<MarkAsked> marks, @Nullable Boolean keep) {}

    /**
     * Readings at one mark.
     *
     * @param mark as engraved
     * @param lux two readings at least, lx or any unit
     */
    public record MarkAsked(@Nullable Double mark, @Nullable List<Double> lux) {}

    /**
     * Evenness of an enlarger's light, carrier empty; each place read twice, lx or any unit.
     *
     * @param centre of the board
     * @param topLeft near that corner of the projected field
     * @param topRight near that corner
     * @param bottomRight near that corner
     * @param bottomLeft near that corner
     */
    public record EvennessAsked(
            @Nullable List<Double> centre,
            @Nullable List<Double> topLeft,
            @Nullable List<Double> topRight,
            @Nullable List<Double> bottomRight,
            @Nullable List<Double> bottomLeft,
            @Nullable Boolean keep) {}

    /**
     * Light of a lens against size, one opening.
     *
     * @param heights five at least
     */
    public record PupilAsked(
            @Nullable List<HeightAsked> heights, @Nullable Boolean keep) {}

    /**
     * One height.
     *
     * @param lux the meter's reading, lx or any unit
     */
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

    /**
     * One height.
     *
     * @param reading of the column's scale, mm
     * @param projectedMm how long the mark is on the board, sharp
     */
    public record PlaceAsked(
            @Nullable Double reading, @Nullable Double projectedMm) {}

    /**
     * How a paper dries down.
     *
     * @param pairs one at least
     * @param uncertaintyStops of telling a patch, 1/24 when left out
     */
    public record DryDownAsked(
            @Nullable List<PairAsked> pairs,
            @Nullable Double uncertaintyStops,
            @Nullable Boolean keep) {}

    /**
     * One pair of patches.
     *
     * @param wetSeconds the time that looks right wet
     * @param drySeconds the shorter one that looks the same dry
     */
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

    /**
     * What it shows.
     *
     * @param reading in the unit
     * @param unit lx, lx s or mm
     */
    public record MeterView(double reading, String unit) {}
}
