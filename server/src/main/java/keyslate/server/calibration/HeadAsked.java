package keyslate.server.calibration;

import keyslate.server.rig.Follows;
import org.jspecify.annotations.Nullable;

/** What is said and read of a head for colour. */
public final class HeadAsked {
    private HeadAsked() {}

    /**
     * How time follows the pack.
     *
     * @param follows how much of the change is followed; ON when left out
     * @param lines one line "0.30, 0.60, 0.10", factors of cyan, magenta and yellow; or pairs of sheets that came out as dark, a line each, "0/48/58 14 = 0/78/58 21"; what is known already stays when left out
     * @param keep whether it is to count from now on
     */
    public record PackTimesAsked(
            @Nullable Follows follows,
            @Nullable String lines,
            @Nullable Boolean keep) {}

    /**
     * The lights of an additive head.
     *
     * @param lines one line "0.25, 0.25, 0.25", what red, green and blue light give their layers of what white light does; or matches, a line each, "0/48/58 14 = 56 16.4 14.5", a pack with its time and the seconds of three lights that print the same grey; a quarter each when left out
     * @param keep whether it is to count from now on
     */
    public record LightsAsked(
            @Nullable String lines, @Nullable Boolean keep) {}

    /**
     * The gels that packs are made of.
     *
     * @param lines one for each colour, "M 5 10 20 40"; one each of 5, 10, 20 and 40 when left out
     * @param keep whether they are to count from now on
     */
    public record GelsAsked(
            @Nullable String lines, @Nullable Boolean keep) {}
}
