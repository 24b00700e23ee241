package keyslate.server.slate;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What follows from size, lens and opening, as it is shown. */
public final class GeometryViews {
    private GeometryViews() {}

    /**
     * The geometry of a set-up.
     *
     * @param columnReads what the column's own scale shows at this size, mm; left out where it was not read against sizes with this lens
     * @param columnLimitMm 95 %
     * @param cornerStops light in the darkest corner of the picture against its centre, 0 or less
     * @param cornerSource measured, or computed from the height alone
     * @param blurMm what diffraction makes of a point, on paper
     * @param pairs openings with their times, from wide open on; none by a bare lamp
     * @param window what one likes to work with
     * @param holders which carrier and easel take it, in words
     * @param movedSinceLook what may have moved since focus and frame were last looked at, in words; empty where nothing did
     */
    public record GeometryView(
            @Nullable Double columnReads,
            @Nullable Double columnLimitMm,
            double cornerStops,
            String cornerSource,
            double blurMm,
            List<PairView> pairs,
            WindowView window,
            List<String> holders,
            List<String> movedSinceLook) {}

    /**
     * An opening and its time.
     *
     * @param seconds as received
     * @param clicks in words, from wide open and from where the ring stands
     * @param within SHORT, WORKABLE or LONG
     * @param best whether it is the one to take: workable, and the fewest clicks from where the ring stands
     * @param blurMm what diffraction makes of a point there
     */
    public record PairView(
            double apertureMark, double seconds, String clicks, String within, boolean best, double blurMm) {}

    /**
     * Times one likes to work with.
     *
     * @param own whether the user said them; else a default
     */
    public record WindowView(double shortestSeconds, double longestSeconds, boolean own) {}
}
