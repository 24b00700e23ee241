package keyslate.core.film;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import keyslate.core.quantity.Check;

/**
 * FLM-01: a film cut into strips for its sleeve and its proof sheet. Strips = frames ÷ frames per strip; what is left over is
 * the odd strip, at the end, or at the beginning of films that were cut from the other end.
 *
 * @param strips how many frames each strip has, in the film's order; none for a film without frames
 */
public record FilmSheet(List<Integer> strips) {
    /** More frames than any film has. */
    public static final int MOST_FRAMES = 100;

    public FilmSheet {
        strips = List.copyOf(strips);
    }

    /**
     * Cuts a film.
     *
     * @param frames 0 or more
     * @param perStrip 1 to {@value #MOST_FRAMES}
     * @param oddFirst whether the odd strip is the first one
     */
    public static FilmSheet cut(int frames, int perStrip, boolean oddFirst) {
        Check.count("frames", frames, 0, Integer.MAX_VALUE);
        Check.count("frames per strip", perStrip, 1, MOST_FRAMES);
        List<Integer> strips = new ArrayList<>(Collections.nCopies(frames / perStrip, perStrip));
        int odd = frames % perStrip;
        if (odd > 0) {
            strips.add(oddFirst ? 0 : strips.size(), odd);
        }
        return new FilmSheet(strips);
    }

    /** The longest strip, 0 when there is none. */
    public int longest() {
        return strips.stream().mapToInt(Integer::intValue).max().orElse(0);
    }
}
