package keyslate.server.calibration;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is read of filters, dials and batches. */
public final class FilterAsked {
    private FilterAsked() {}

    /**
     * Filters of an enlarger on a paper: by eye, or from prints of a step negative.
     *
     * @param enlargerId under which they were printed
     * @param marks by eye, of strips with nothing in the carrier; empty where a step negative was printed
     * @param stepDensity of the negative from step to step, 0.15 when left out
     * @param lines of a print of a step negative each: the light, its seconds, then the densities from the clearest step on, commas or semicolons between
     * @param uncertaintyStops of telling a patch, 1/12 when left out
     * @param keep whether it is to count from now on
     */
    public record FiltersAsked(
            @Nullable String enlargerId,
            @Nullable List<FilterMarks> marks,
            @Nullable Double stepDensity,
            @Nullable String lines,
            @Nullable Double uncertaintyStops,
            @Nullable Boolean keep) {}

    /**
     * Marks on a strip through one filter, or none, with nothing in the carrier.
     *
     * @param light such as "grade 2", or "no filter"
     * @param whitesSeconds the longest time that still looks white
     * @param blacksSeconds the first true black
     */
    public record FilterMarks(
            @Nullable String light,
            @Nullable Double whitesSeconds,
            @Nullable Double blacksSeconds) {}

    /**
     * How the dials of a head make grades.
     *
     * @param way SINGLE, PAIRED, CONSTANT_TIME, OWN
     * @param lines of one's own table: grade, yellow, magenta, factor of time over white light; one grade a line
     * @param keep whether it is to count from now on
     */
    public record HeadTableAsked(
            @Nullable String way,
            @Nullable String lines,
            @Nullable Boolean keep) {}

    /**
     * A paper beside another box of it: times that gave the same grey through one filter.
     *
     * @param otherId the box it is compared with
     * @param pairs one at least
     * @param keep whether it is to count from now on
     */
    public record BatchAsked(
            @Nullable String otherId,
            @Nullable List<BatchPair> pairs,
            @Nullable Boolean keep) {}

    /**
     * Times of one grey on two boxes.
     *
     * @param otherSeconds on the box it is compared with
     * @param seconds on this one
     */
    public record BatchPair(
            @Nullable Double otherSeconds, @Nullable Double seconds) {}
}
