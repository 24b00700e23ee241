package keyslate.server.judge;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** Verdicts and what is done with them. Positive stops = darker print, positive grades = harder. */
public final class DecisionViews {
    private DecisionViews() {}

    /** One verdict: what to do, why, what it rests on, what would be set. */
    public record VerdictView(
            String headline,
            String why,
            List<String> restsOn,
            String filter,
            double seconds,
            double keepSeconds,
            double uncertaintyStops,
            @Nullable Double whitesSeconds,
            @Nullable Double blacksSeconds,
            @Nullable CheckView check) {}

    /** The strip that would settle what a reading leaves open: so many patches about the proposed time, and why. */
    public record CheckView(double stepStops, int patches, String why) {}

    /** Two marks on a strip, in patches from the first (0), halves between two; the black may be left out. */
    public record Marks(@Nullable Double whitesAt, @Nullable Double blacksAt) {}

    /** How the next print should differ. */
    public record Wishes(
            @Nullable Double darkerStops, @Nullable Double harderGrades) {}

    /**
     * A reading with its answer: PROPOSED, CHECK (the same, and the check strip is planned), KEEP_GRADE or OWN with
     * filter and seconds.
     */
    public record Reading(
            long version,
            @Nullable Double whitesAt,
            @Nullable Double blacksAt,
            String answer,
            @Nullable String filter,
            @Nullable Double seconds,
            @Nullable String remark) {}

    /** A judgement with its answer: PROPOSED or OWN with filter and seconds. */
    public record Judgement(
            long version,
            @Nullable Double darkerStops,
            @Nullable Double harderGrades,
            String answer,
            @Nullable String filter,
            @Nullable Double seconds,
            @Nullable String remark) {}

    /** The print is the one. */
    public record Acceptance(long version, @Nullable String remark) {}
}
