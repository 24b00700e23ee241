package keyslate.server.stores;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What stands on the shelves, and what the page says of it. */
public final class StoresViews {
    private StoresViews() {}

    /**
     * The shelves.
     *
     * @param baths in the order they stand in the row
     * @param things easels, carriers, filters, drums, machines and lights
     * @param units in which lengths and temperatures are shown
     * @param retired the last one first
     * @param constants of all things in use; {@code found} those of them that are no default
     * @param suggested the test that is worth making next; none when one was made in the last half day
     * @param practice whether a simulated meter is there
     */
    public record StoresView(
            List<EnlargerView> enlargers,
            List<LensView> lenses,
            List<PaperView> papers,
            List<BathView> baths,
            List<ThingView> things,
            List<RetiredView> retired,
            Units units,
            int constants,
            int found,
            @Nullable Suggestion suggested,
            boolean practice) {}

    /**
     * An enlarger.
     *
     * @param lamp SWITCHED, MY_TIMER or BURNS
     * @param lagSource default, entered or measured; {@code columnSource} alike
     * @param constants what is known of it
     */
    public record EnlargerView(
            String id,
            String name,
            String head,
            String lamp,
            boolean dials,
            double lagSeconds,
            String lagSource,
            double columnMm,
            String columnSource,
            List<ConstantView> constants) {}

    /**
     * A lens with the marks on its ring.
     *
     * @param constants what is known of it
     */
    public record LensView(
            String id,
            String name,
            double focalMm,
            double coversMm,
            int marksPerStop,
            List<Double> marks,
            List<ConstantView> constants) {}

    /**
     * A box of paper.
     *
     * @param counted whether its owner counted the sheets; else the numbers mean nothing
     * @param surface in words, empty where nobody said
     * @param openedOn the day the box was opened, empty where nobody said
     * @param sheetPrice of a whole sheet in the user's own money; left out where nobody said
     * @param grade of graded paper, −1 to 5; left out where its contrast changes with the light, and in colour
     * @param startLight what its owner begins with; left out where a plain default does
     * @param litAt when light came on while the box lay open; left out where it never did
     * @param pieces that were cut and lie in the box
     * @param constants what is known of it
     */
    public record PaperView(
            String id,
            String name,
            String kind,
            String base,
            String batch,
            double widthMm,
            double heightMm,
            int sheetsInBox,
            double sheetsLeft,
            int reserveSheets,
            boolean counted,
            String surface,
            String openedOn,
            @Nullable Double sheetPrice,
            @Nullable Double grade,
            @Nullable String startLight,
            @Nullable String litAt,
            List<PiecesView> pieces,
            List<ConstantView> constants) {}

    /** Pieces of one size. */
    public record PiecesView(double longMm, double shortMm, int pieces) {}

    /**
     * Another thing.
     *
     * @param kind EASEL, CARRIER, FILTER_SET, VIEWING_KIT, DRUM, MACHINE, VIEWING_LIGHT, SAFELIGHT, ROOM or SCREEN
     * @param facts what a computation uses of it
     * @param says its facts in words
     * @param constants what is known of it
     */
    public record ThingView(
            String id, String kind, String name, Facts facts, List<String> says, List<ConstantView> constants) {}

    /**
     * What a computation uses of a thing; left out where it does not apply.
     *
     * @param longMm of the sheet an easel or a machine takes, of the window of a carrier, of the wall of a drum; {@code shortMm} across
     * @param bordersFixedMm of an easel without blades
     * @param place of a filter set: ABOVE_NEGATIVE, BELOW_LENS or HEAD
     * @param timeFactor by which it costs light as it is put in, 0.1 to 100
     * @param pieces a drum or a machine holds at once
     * @param feed which side goes in first, LONG or SHORT
     * @param darkUntil what ends the dark, in words
     * @param kelvin of a light
     * @param says what stands on the filters of a viewing kit: STRENGTH or CORRECTION
     * @param strengths of a viewing kit: the points that stand on its filters, 1 to 8 of them, 1 to 60 each
     */
    public record Facts(
            @Nullable Double longMm,
            @Nullable Double shortMm,
            @Nullable Double bordersFixedMm,
            @Nullable String place,
            @Nullable Double timeFactor,
            @Nullable Integer pieces,
            @Nullable String feed,
            @Nullable String darkUntil,
            @Nullable Double kelvin,
            @Nullable String says,
            @Nullable List<@Nullable Double> strengths) {}

    /**
     * A thing that is retired.
     *
     * @param shelf enlarger, lens, paper or thing
     * @param retiredAt when, ISO 8601 in UTC
     */
    public record RetiredView(String id, String name, String shelf, String retiredAt) {}

    /**
     * How numbers are shown.
     *
     * @param length mm, cm or in
     * @param temperature C or F
     * @param shortestSeconds of the times one likes to work with, 0.5 to 600; {@code longestSeconds} alike
     */
    public record Units(
            @Nullable String length,
            @Nullable String temperature,
            @Nullable Double shortestSeconds,
            @Nullable Double longestSeconds) {}

    /**
     * A constant of a thing.
     *
     * @param name LAG, EVENNESS, COLUMN, OPENINGS, PUPIL, DRY_DOWN, RECIPROCITY, ALIGNMENT, or the minutes of a test: SAFE_MINUTES, FOG_MINUTES, STRAY_MINUTES, COIN_MINUTES
     * @param label what it is, in words
     * @param text with its unit
     * @param limit that the truth lies within in 95 of 100, with its unit
     * @param source default, entered or measured
     * @param foundAt when, and {@code id} by which it can be taken back; left out of a default
     * @param lensId the lens it holds for, left out where it holds for all
     */
    public record ConstantView(
            String name,
            String label,
            String text,
            @Nullable String limit,
            String source,
            @Nullable String foundAt,
            @Nullable String id,
            @Nullable String lensId) {}

    /**
     * A test worth making.
     *
     * @param thingId of what
     * @param name of the constant
     * @param lensId the lens it would hold for
     */
    public record Suggestion(
            String thingId, String name, @Nullable String lensId, String headline, String why) {}

    /**
     * An enlarger to be added or changed; what is left out stays, or is a default.
     *
     * @param lamp SWITCHED in the practice darkroom alone
     */
    public record EnlargerAsked(
            @Nullable String name,
            @Nullable String head,
            @Nullable String lamp,
            @Nullable Boolean dials,
            @Nullable Double columnMm) {}

    /**
     * A lens to be added or changed.
     *
     * @param openMark widest mark on its ring
     * @param smallestMark smallest opening on its ring
     * @param coversMm longest diagonal; by the focal length when left out
     */
    public record LensAsked(
            @Nullable String name,
            @Nullable Double focalMm,
            @Nullable Double openMark,
            @Nullable Double smallestMark,
            @Nullable Integer marksPerStop,
            @Nullable Double coversMm) {}

    /**
     * A box of paper to be added or changed; counted once {@code sheetsLeft} is given.
     *
     * @param surface in words
     * @param openedOn the day the box was opened, as year-month-day
     * @param sheetPrice of a whole sheet in the user's own money, 0 to 100 000
     * @param grade of graded paper, −1 to 5; left out where filters make its contrast
     */
    public record PaperAsked(
            @Nullable String name,
            @Nullable String kind,
            @Nullable String base,
            @Nullable String surface,
            @Nullable String batch,
            @Nullable Double longMm,
            @Nullable Double shortMm,
            @Nullable Integer sheetsInBox,
            @Nullable Double sheetsLeft,
            @Nullable Integer reserveSheets,
            @Nullable String openedOn,
            @Nullable Double sheetPrice,
            @Nullable Double grade) {}

    /**
     * A bath with the share of its capacity that is used.
     *
     * @param leastSeconds how long paper lies in it before white light is safe; left out, as is usual
     */
    public record BathView(
            String id,
            String name,
            String process,
            String mixedAt,
            double capacityM2,
            double usedM2,
            double usedShare,
            int sheetsLeft,
            @Nullable Double leastSeconds) {}

    /**
     * A bath to be added or changed.
     *
     * @param process MONOCHROME or COLOUR
     * @param capacityM2 the paper area it can take, 0.01 to 1000 square metres
     * @param usedM2 what it has taken
     * @param leastSeconds how long paper lies in it before white light is safe, 5 to 3600; 0 = as is usual
     * @param mixedNow whether it was mixed anew: nothing is used of it then
     */
    public record BathAsked(
            @Nullable String name,
            @Nullable String process,
            @Nullable Double capacityM2,
            @Nullable Double usedM2,
            @Nullable Double leastSeconds,
            @Nullable Boolean mixedNow) {}

    /**
     * Another thing to be added or changed; its kind stays.
     *
     * @param facts those of its kind; the others are left aside
     */
    public record ThingAsked(
            @Nullable String kind,
            @Nullable String name,
            @Nullable Facts facts) {}

    /**
     * Whether a thing is to be retired, or taken into use again.
     *
     * @param retired true to retire it
     */
    public record Retire(boolean retired) {}

    /**
     * A constant as its owner says it.
     *
     * @param name LAG in seconds, DRY_DOWN in percent, ALIGNMENT in mm, RECIPROCITY as exponent, the tests in minutes
     * @param value in that unit
     * @param limit 95 %, in the same unit; that of a default when left out
     * @param remark from what
     */
    public record ConstantAsked(
            @Nullable String name,
            @Nullable Double value,
            @Nullable Double limit,
            @Nullable String remark) {}
}
