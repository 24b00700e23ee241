package keyslate.core.darkroom;

import java.util.LinkedHashMap;
import java.util.Map;
import keyslate.core.colour.ColourPaper;
import keyslate.core.colour.DyeImage;
import keyslate.core.colour.Layers;
import keyslate.core.colour.Viewing;

/**
 * Log exposures of the three layers to what a screen shows, as tables.
 *
 * <p>The curve of the paper (COL-12) is one table, nearest entry; the look of the dyes (COL-20) a cube of 33³ amounts,
 * read in the tetrahedron a pixel lies in. The three channels of a corner share one long, twenty-one bits apart, so
 * that one multiplication weighs them all.
 */
final class ColourLook {
    private static final int SIDE = 33;
    private static final int LEVELS = 4096;
    private static final float LOWEST_LOG = -2.2f;
    private static final float HIGHEST_LOG = 2.2f;
    private static final float LEVEL_SCALE = (LEVELS - 1) / (HIGHEST_LOG - LOWEST_LOG);
    /** Half an entry more, so that cutting off rounds. */
    private static final float FIRST_ENTRY = -LOWEST_LOG * LEVEL_SCALE + 0.5f;

    private static final double LEAST_DYE = 0.04;
    private static final double DYE_RANGE = 2.20;
    /** Parts of a cell of the cube; eight bits, so that twelve bits of a code still fit below the next channel. */
    private static final int PART_BITS = 8;

    private static final int PARTS = 1 << PART_BITS;
    private static final int FIELD = 21;
    private static final int CODE_FRACTION_BITS = 4;
    private static final int DROPPED = PART_BITS + CODE_FRACTION_BITS;
    private static final long HALVES = (1L << 2 * FIELD | 1L << FIELD | 1L) << DROPPED - 1;
    private static final int SIDE_BITS = 16;
    private static final int SIDE_MASK = (1 << SIDE_BITS) - 1;
    private static final int RED = SIDE * SIDE;
    private static final int GREEN = SIDE;
    private static final int BLUE = 1;

    /** Tables of lights that were chosen are made once each, and the oldest is forgotten. */
    private static final int MOST_KEPT = 8;

    private static final class Holder {
        static final ColourLook USUAL = new ColourLook(Viewing.USUAL);
        static final Map<Viewing, ColourLook> CHOSEN = new LinkedHashMap<>();
    }

    /** Place along a side of the cube in parts of a cell, for each log exposure. */
    private final short[] places = new short[LEVELS];

    private final long[] cube = new long[SIDE * SIDE * SIDE];

    private ColourLook(Viewing viewing) {
        for (int i = 0; i < LEVELS; i++) {
            double amount = ColourPaper.amount(LOWEST_LOG + i / (double) LEVEL_SCALE);
            double cells = (amount - LEAST_DYE) / DYE_RANGE * (SIDE - 1);
            places[i] = (short) Math.min((SIDE - 1) * PARTS - 1, Math.round(cells * PARTS));
        }
        double step = DYE_RANGE / (SIDE - 1);
        for (int r = 0; r < SIDE; r++) {
            for (int g = 0; g < SIDE; g++) {
                for (int b = 0; b < SIDE; b++) {
                    Layers dyes = new Layers(LEAST_DYE + r * step, LEAST_DYE + g * step, LEAST_DYE + b * step);
                    cube[r * RED + g * GREEN + b] = packed(viewing.onScreen(new DyeImage(dyes)));
                }
            }
        }
    }

    /** The table of the generic paper in the usual light, made once. */
    static ColourLook usual() {
        return Holder.USUAL;
    }

    /** The table for a way to look at the print. */
    static ColourLook of(Viewing viewing) {
        if (viewing.equals(Viewing.USUAL)) {
            return usual();
        }
        synchronized (Holder.CHOSEN) {
            ColourLook found = Holder.CHOSEN.computeIfAbsent(viewing, ColourLook::new);
            if (Holder.CHOSEN.size() > MOST_KEPT) {
                Holder.CHOSEN.remove(Holder.CHOSEN.keySet().iterator().next());
            }
            return found;
        }
    }

    private static long packed(DyeImage.Screen screen) {
        double full = 255 << CODE_FRACTION_BITS;
        long red = Math.round(screen.red() * full);
        long green = Math.round(screen.green() * full);
        long blue = Math.round(screen.blue() * full);
        return red << 2 * FIELD | green << FIELD | blue;
    }

    /** Works on the rows of one print; keeps room for a row between two steps. */
    final class Rows {
        private final int[] red;
        private final int[] green;
        private final int[] blue;

        private Rows(int width) {
            red = new int[width];
            green = new int[width];
            blue = new int[width];
        }

        /**
         * The sRGB codes of a row, 8 bits a channel, red highest. Two steps, because short loops over one plane run
         * faster than a long one over three.
         *
         * @param light log light of each pixel, a plane for each layer; they may be one and the same
         * @param offset what each layer has more than its plane
         * @param film printing densities, a whole picture for each layer
         * @param at where the row starts in the picture
         */
        void colours(float[][] light, float[] offset, float[][] film, float gradient, int[] out, int at) {
            place(light[0], offset[0], film[0], gradient, at, red);
            place(light[1], offset[1], film[1], gradient, at, green);
            place(light[2], offset[2], film[2], gradient, at, blue);
            long[] corners = cube;
            for (int x = 0; x < red.length; x++) {
                out[at + x] = colour(corners, red[x], green[x], blue[x]);
            }
        }

        private void place(float[] light, float offset, float[] film, float gradient, int at, int[] to) {
            short[] curve = places;
            float scale = gradient * LEVEL_SCALE;
            float first = FIRST_ENTRY + offset * scale;
            for (int x = 0; x < to.length; x++) {
                to[x] = curve[entry((light[x] - film[at + x]) * scale + first)];
            }
        }
    }

    /** For a print so many pixels wide; one thread at a time. */
    Rows rows(int width) {
        return new Rows(width);
    }

    /** The nearest entry of the curve; clamped as a whole number, which a processor does without a branch. */
    private static int entry(float place) {
        return Math.max(0, Math.min(LEVELS - 1, (int) place));
    }

    /**
     * The sRGB code of three places, 8 bits a channel, red highest.
     *
     * <p>From the corner nearest to paper white along the three sides in the order of their parts. The order is found
     * by comparing part and side in one number, without a branch: which of the six tetrahedra a pixel lies in is
     * nothing a processor could predict.
     */
    private static int colour(long[] cube, int r, int g, int b) {
        int at = (r >> PART_BITS) * RED + (g >> PART_BITS) * GREEN + (b >> PART_BITS);
        int red = (r & PARTS - 1) << SIDE_BITS | RED;
        int green = (g & PARTS - 1) << SIDE_BITS | GREEN;
        int blue = (b & PARTS - 1) << SIDE_BITS | BLUE;
        int first = Math.max(red, Math.max(green, blue));
        int last = Math.min(red, Math.min(green, blue));
        int high = first >> SIDE_BITS;
        int mid = red + green + blue - first - last >> SIDE_BITS;
        int low = last >> SIDE_BITS;
        int across = RED + GREEN + BLUE;
        long sum = cube[at] * (PARTS - high)
                + cube[at + (first & SIDE_MASK)] * (high - mid)
                + cube[at + across - (last & SIDE_MASK)] * (mid - low)
                + cube[at + across] * low
                + HALVES;
        return (int) (sum >> 2 * FIELD + DROPPED & 0xff) << 16
                | (int) (sum >> FIELD + DROPPED & 0xff) << 8
                | (int) (sum >> DROPPED & 0xff);
    }
}
