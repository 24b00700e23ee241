package keyslate.server.recipe;

import java.util.List;
import keyslate.core.test.CoverStripPlan.SecondLies;
import keyslate.server.local.LocalViews.AreaView;
import keyslate.store.json.StoredTaste;
import keyslate.store.json.StoredTone;
import org.jspecify.annotations.Nullable;

/**
 * An edit of the standing recipe: only the sections and fields that are given change.
 *
 * @param version the one the page last saw; an older one is refused
 */
public record RecipeChange(
        long version,
        @Nullable NamingChange naming,
        @Nullable SetupChange setup,
        @Nullable BaseChange base,
        @Nullable TestChange test,
        @Nullable LocalEdit local) {
    /** Nothing but the base exposure, of one part or two. */
    public static RecipeChange ofBase(List<BasePart> parts) {
        BaseChange base = new BaseChange(null, null, null, null, null, parts, null, null, null, null, null);
        return new RecipeChange(0, null, null, base, null, null);
    }

    /**
     * What the print is to be; tones as a whole list.
     *
     * @param taste how far off neutral a colour print is meant to be; of 0 and 0 it is to be neutral
     */
    public record NamingChange(
            @Nullable String title,
            @Nullable String intent,
            @Nullable Boolean whiteWanted,
            @Nullable Boolean blackWanted,
            @Nullable List<StoredTone> tones,
            @Nullable StoredTaste taste) {
        /** Of what every print has. */
        public NamingChange(
                @Nullable String title,
                @Nullable String intent,
                @Nullable Boolean whiteWanted,
                @Nullable Boolean blackWanted,
                @Nullable List<StoredTone> tones) {
            this(title, intent, whiteWanted, blackWanted, tones, null);
        }
    }

    /**
     * What stands on enlarger and easel; the time follows opening and distance.
     *
     * @param borderMm white on all sides alike
     * @param blades each for itself
     * @param fit WHOLE_PICTURE or FILL_SHEET; takes the place of a size by eye
     * @param cropPlace where the kept part of the negative lies, 0 = at its left, 1 = at its right
     * @param cropDown the same from its top, 0, to its bottom, 1
     * @param overfillPercent how much larger than the sheet a picture that fills it is made, 0 to 50
     * @param sizedBy what tells a size that was set by eye: COLUMN, HEIGHT (lens to paper) or PICTURE (its whole long side on the board)
     * @param sizedReading what was read, mm
     * @param projection ENLARGED, or in contact from LENS or LAMP
     * @param distanceMm of lens or lamp from the paper, in contact
     * @param columnReading what the column's own scale shows, in contact
     */
    public record SetupChange(
            @Nullable String enlargerId,
            @Nullable String lensId,
            @Nullable Double apertureMark,
            @Nullable String paperId,
            @Nullable Double sheetWidthMm,
            @Nullable Double sheetHeightMm,
            @Nullable Double borderMm,
            @Nullable String fit,
            @Nullable Double cropPlace,
            @Nullable Double cropDown,
            @Nullable Double overfillPercent,
            @Nullable BladesChange blades,
            @Nullable String sizedBy,
            @Nullable Double sizedReading,
            @Nullable String projection,
            @Nullable Double distanceMm,
            @Nullable String columnReading) {
        /** Nothing but the opening. */
        public static SetupChange aperture(double mark) {
            return new SetupChange(
                    null, null, mark, null, null, null, null, null, null, null, null, null, null, null, null, null,
                    null);
        }

        /** Nothing but the paper. */
        public static SetupChange paper(String id) {
            return new SetupChange(
                    null, null, null, id, null, null, null, null, null, null, null, null, null, null, null, null, null);
        }
    }

    /**
     * The white that each blade leaves on the sheet as it lies; left out stays.
     *
     * @param leftMm 0 to 500
     * @param topMm 0 to 500
     * @param rightMm 0 to 500
     * @param bottomMm 0 to 500
     */
    public record BladesChange(
            @Nullable Double leftMm,
            @Nullable Double topMm,
            @Nullable Double rightMm,
            @Nullable Double bottomMm) {}

    /**
     * The base exposure: at most one of seconds, a change in seconds, a change in stops and the proposed starting time. A light alone takes
     * the time along.
     *
     * @param parts one or two lights with the seconds received through each, in their order; they take the place of all else
     * @param presses how many equal exposures it is given in, 1 to 32; the lag of the lamp counts in each
     * @param greyOut true takes the grey out of the pack, with the time that it costs
     * @param luxBefore with the starting time: a meter's reading at the board as it stood for the print it comes from, in any unit
     * @param luxNow the same as it stands now
     * @param thirds seconds of red, green and blue light on a head that prints with them, lag not counted; they take the place of light and time
     */
    public record BaseChange(
            @Nullable String light,
            @Nullable Double seconds,
            @Nullable Double changeSeconds,
            @Nullable Double changeStops,
            @Nullable Boolean takeStartingTime,
            @Nullable List<BasePart> parts,
            @Nullable Integer presses,
            @Nullable Boolean greyOut,
            @Nullable Double luxBefore,
            @Nullable Double luxNow,
            @Nullable List<@Nullable Double> thirds) {}

    /** A part of the base exposure: a light and the seconds received through it. */
    public record BasePart(@Nullable String light, @Nullable Double seconds) {}

    /**
     * The plan of the test; a field that is none of its kind's is not used.
     *
     * @param kind STRIP, SAME_SPOT, OPENINGS, WEDGE, GUESS or PIECES; another one keeps what both have
     * @param series EQUAL_STOPS, EQUAL_SECONDS, OWN_TIMES or PRESSES
     * @param followsBase true leaves a centre, a time or a press of its own
     * @param own times received, rising; takes the series up too
     * @param presses counts in all for each patch, rising; takes the series up too
     * @param pressSeconds what the timer is set to for a press, lag included
     * @param place of a strip across the picture, 0 to 1
     * @param spotX middle of a window, a disc or pieces on the picture, 0 to 1, with {@code spotY}
     * @param placedByComputation true lets place or spot be found
     * @param forThisBench true plans the first strip as fine as those before it on this bench turned out to need
     * @param forUnknownNegative true plans the strip for a negative of which nothing is known
     * @param seconds received: through every opening, beside a wedge, by one sheet
     * @param firstMark engraved, of the lightest patch
     * @param aboutStanding true lets openings lie about the one that stands
     * @param clicks of the lens from patch to patch, 1 to 6
     * @param referenceSeconds the exposure that the labels of a wedge are for
     * @param labels of a wedge, clockwise from the top, seconds
     * @param share of the picture that one sheet prints, 0.05 to 1
     * @param lights of pieces, in the paper's notation; an empty list goes back to one light and a series
     * @param around pieces of packs about the one that stands, in place of lights
     * @param marks CORNERS, NIPS or ORDER
     * @param secondSeconds what the middle of a second row receives; 0 goes back to what keeps the print as dark
     * @param second light of a second row of a strip, or of the right half of one sheet; empty goes back to one light
     * @param lies where the second light of a strip falls: in a row BESIDE the first, on the same patches in the same steps (ON_TOP), or in steps ON_WHOLE of the first
     * @param third the light of a third row beside a second one; empty = two rows
     */
    public record TestChange(
            @Nullable String kind,
            @Nullable String series,
            @Nullable Double centreSeconds,
            @Nullable Boolean followsBase,
            @Nullable Double stepStops,
            @Nullable Double stepSeconds,
            @Nullable Integer patches,
            @Nullable List<Double> own,
            @Nullable List<Integer> presses,
            @Nullable Double pressSeconds,
            @Nullable String direction,
            @Nullable Double patchMm,
            @Nullable Double breadthMm,
            @Nullable Double place,
            @Nullable Double spotX,
            @Nullable Double spotY,
            @Nullable Boolean placedByComputation,
            @Nullable Boolean forUnknownNegative,
            @Nullable Boolean forThisBench,
            @Nullable Double seconds,
            @Nullable Double firstMark,
            @Nullable Boolean aboutStanding,
            @Nullable Integer clicks,
            @Nullable Double referenceSeconds,
            @Nullable List<Double> labels,
            @Nullable Double share,
            @Nullable List<String> lights,
            @Nullable AroundChange around,
            @Nullable String marks,
            @Nullable String second,
            @Nullable Double secondSeconds,
            @Nullable SecondLies lies,
            @Nullable String third) {
        /** No change at all. */
        static final TestChange NOTHING = new TestChange(
                null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null,
                null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null);
    }

    /**
     * Pieces of packs about the one that stands; what is left out stays.
     *
     * @param kind RING, GRID or LADDER; NONE goes back to lights or one light
     * @param stepPoints from piece to piece, 2 to 60
     * @param rings how many steps it reaches, 1 to 3
     * @param mixtures whether pieces lie between the six directions of a ring
     * @param companionStops by how much two more pieces are lighter and darker; 0 = none
     */
    public record AroundChange(
            @Nullable String kind,
            @Nullable Double stepPoints,
            @Nullable Integer rings,
            @Nullable Boolean mixtures,
            @Nullable Double companionStops) {}

    /** The local plan: the whole list of areas, or how holds are given (ONE_EXPOSURE or BURSTS). */
    public record LocalEdit(
            @Nullable List<AreaView> areas, @Nullable String way) {}

    public static RecipeChange of(long version, SetupChange setup) {
        return new RecipeChange(version, null, setup, null, null, null);
    }

    public static RecipeChange of(long version, LocalEdit local) {
        return new RecipeChange(version, null, null, null, null, local);
    }

    public static RecipeChange of(long version, NamingChange naming) {
        return new RecipeChange(version, naming, null, null, null, null);
    }
}
