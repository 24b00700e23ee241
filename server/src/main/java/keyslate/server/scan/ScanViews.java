package keyslate.server.scan;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** Pictures of sheets as they are measured. Places are x and y in fractions of the picture, from its upper left. */
public final class ScanViews {
    private ScanViews() {}

    /**
     * What a picture shows before it is handed in.
     *
     * @param preview the picture upright and small, a JPEG as a data address: also of a kind of file that browsers do not show
     * @param papers corners of each paper that was found, eight numbers, clockwise from the upper left; the largest first
     */
    public record PapersView(String preview, List<List<Double>> papers) {}

    /**
     * What the practice colour meter shows.
     *
     * @param pack that it asks for, "0/58/49"
     */
    public record MeteredView(String pack) {}

    /**
     * A line over the picture.
     *
     * @param x1 where it begins, across
     * @param y1 the same, down
     * @param x2 where it ends, across
     * @param y2 the same, down
     */
    public record LineView(double x1, double y1, double x2, double y2) {}

    /**
     * What was found.
     *
     * @param name what it is about
     * @param says the figure in words
     */
    public record FactView(String name, String says) {}

    /**
     * A density in a patch.
     *
     * @param patch number of the patch
     * @param x where it was taken, across
     * @param y the same, down
     * @param seconds it received
     * @param net density over paper white
     */
    public record DensityView(int patch, double x, double y, double seconds, double net) {}

    /**
     * A tone that was looked for.
     *
     * @param field of the reading that it answers
     * @param tone its name; none where places were tapped
     * @param densities where it was seen
     * @param wantedNet density over paper white that is wanted
     * @param seconds it needs in the light of the sheet; none where nothing was seen of it
     * @param limitStops 95 % limit of that time
     * @param at that time in patches from the first; none off the test or of one sheet
     * @param moreStops that time against what one sheet got; none of a test of several patches
     * @param unsure whether the answer is too open to go by
     * @param says the same in words
     */
    public record ToneReadView(
            String field,
            @Nullable String tone,
            double wantedNet,
            List<DensityView> densities,
            @Nullable Double seconds,
            @Nullable Double limitStops,
            @Nullable Double at,
            @Nullable Double moreStops,
            boolean unsure,
            String says) {}

    /**
     * A picture of a test, measured.
     *
     * @param scan number of the picture, from 1
     * @param papers corners of each paper, as they were used
     * @param printed corners of the printed part of each, alike
     * @param lines between patches, as they were found
     * @param facts what light, white and sharpness are
     * @param problems what spoils it, a sentence each
     * @param wrongWay whether the patches get darker the other way, so that no time can be told
     * @param tones that were asked for
     * @param unsure whether anything of it is too open to go by
     */
    public record PictureView(
            int scan,
            List<List<Double>> papers,
            List<List<Double>> printed,
            List<LineView> lines,
            List<FactView> facts,
            List<String> problems,
            boolean wrongWay,
            List<ToneReadView> tones,
            boolean unsure) {}
}
