package keyslate.core.darkroom;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import keyslate.core.test.PieceMarks;

/**
 * A phone of the practice darkroom: sheets with the white rim of the easel's blades, laid on a grey table under a warm lamp that stands to one side, and seen a little
 * from aside.
 *
 * <p>DRK-12: the table is a plane, the phone a pinhole; light falls off by a power of two across the picture; the lamp's cast is half taken out; code = sRGB of the
 * light with noise that grows with its root.
 */
public final class PracticePhone {
    private static final int WIDE = 1600;
    private static final double HIGH_OF_WIDE = 0.75;
    private static final double RIM = 0.05;
    private static final double GAP = 0.12;
    private static final double CLIP = 0.14;
    private static final double FILLS = 0.82;
    private static final double WHITE = 0.87;
    private static final double[] TABLE = {0.19, 0.17, 0.14};
    private static final double TILT_DEGREES = 4;
    private static final double KEYSTONE = 0.04;
    private static final double UNEVEN_STOPS = 0.35;
    private static final double[] CAST = {1, 0.9, 0.68};
    private static final double EXPOSURE = 0.8;
    private static final double NOISE = 0.006;

    private PracticePhone() {}

    /**
     * A sheet on the table.
     *
     * @param clipped corners that are cut off
     */
    public record Sheet(Look look, Set<PieceMarks.Corner> clipped) {
        public Sheet {
            clipped = Set.copyOf(clipped);
        }
    }

    /**
     * The picture, sRGB.
     *
     * @param sheets all of the first one's size, laid in rows
     * @param columns how many lie in a row
     */
    public static Look picture(List<Sheet> sheets, int columns, long seed) {
        return picture(sheets, columns, seed, WIDE);
    }

    /** The same by a phone of fewer pixels, so many across. */
    public static Look picture(List<Sheet> sheets, int columns, long seed, int wide) {
        int high = (int) (HIGH_OF_WIDE * wide);
        SplittableRandom random = new SplittableRandom(seed);
        Scene scene = new Scene(sheets, columns);
        double tilt = Math.toRadians(TILT_DEGREES * (2 * random.nextDouble() - 1));
        double keystone = KEYSTONE * (2 * random.nextDouble() - 1);
        double uneven = UNEVEN_STOPS * random.nextDouble();
        double from = 2 * Math.PI * random.nextDouble();
        double scale = FILLS * Math.min(wide / scene.width(), high / scene.height());
        byte[] codes = new byte[3 * wide * high];
        double[] light = new double[3];
        for (int y = 0; y < high; y++) {
            for (int x = 0; x < wide; x++) {
                double across = (x + 0.5) / wide - 0.5;
                double down = (y + 0.5) / high - 0.5;
                double depth = 1 + 2 * keystone * across;
                double px = across * wide / scale / depth;
                double py = down * high / scale / depth;
                scene.light(
                        Math.cos(tilt) * px + Math.sin(tilt) * py, Math.cos(tilt) * py - Math.sin(tilt) * px, light);
                double falls =
                        EXPOSURE * Math.pow(2, -uneven * (0.5 + Math.cos(from) * across + Math.sin(from) * down));
                for (int c = 0; c < 3; c++) {
                    double lit = light[c] * falls * CAST[c];
                    double noise = NOISE * Math.sqrt(lit + 0.01) * (random.nextDouble() + random.nextDouble() - 1);
                    codes[3 * (y * wide + x) + c] = (byte) ToneEncoding.encode(Math.max(0, lit + 2.4 * noise));
                }
            }
        }
        return Look.colour(wide, high, codes);
    }

    /** The table with its sheets; a sheet is 1 high, places are counted from the middle of all. */
    private record Scene(List<Sheet> sheets, int columns) {
        double aspect() {
            return (double) sheets.get(0).look().width() / sheets.get(0).look().height();
        }

        private double cellWide() {
            return aspect() + 2 * RIM * Math.min(1, aspect()) + GAP;
        }

        private double cellHigh() {
            return 1 + 2 * RIM * Math.min(1, aspect()) + GAP;
        }

        private int rows() {
            return (sheets.size() + columns - 1) / columns;
        }

        double width() {
            return columns * cellWide();
        }

        double height() {
            return rows() * cellHigh();
        }

        /** What a place sends back, linear; the mean of a few places about it would be slower than it is worth. */
        void light(double x, double y, double[] light) {
            System.arraycopy(TABLE, 0, light, 0, 3);
            int column = (int) Math.floor((x + width() / 2) / cellWide());
            int row = (int) Math.floor((y + height() / 2) / cellHigh());
            int at = row * columns + column;
            if (column < 0 || column >= columns || row < 0 || at >= sheets.size()) {
                return;
            }
            Sheet sheet = sheets.get(at);
            double rim = RIM * Math.min(1, aspect());
            double u = (x + width() / 2 - (column + 0.5) * cellWide()) / aspect() + 0.5;
            double v = y + height() / 2 - (row + 0.5) * cellHigh() + 0.5;
            double left = u * aspect() + rim;
            double top = v + rim;
            double right = (1 - u) * aspect() + rim;
            double bottom = 1 - v + rim;
            if (left < 0 || top < 0 || right < 0 || bottom < 0 || isClipped(sheet, left, top, right, bottom)) {
                return;
            }
            Arrays.fill(light, WHITE);
            if (u >= 0 && u < 1 && v >= 0 && v < 1) {
                Look look = sheet.look();
                int pixel = (int) (v * look.height()) * look.width() + (int) (u * look.width());
                for (int c = 0; c < 3; c++) {
                    int code = look.samples()[pixel * look.planes() + Math.min(c, look.planes() - 1)] & 0xff;
                    light[c] = ToneEncoding.decode(code);
                }
            }
        }

        private boolean isClipped(Sheet sheet, double left, double top, double right, double bottom) {
            double cut = CLIP * Math.min(1, aspect());
            return sheet.clipped().stream().anyMatch(c -> switch (c) {
                case UPPER_LEFT -> left + top < cut;
                case UPPER_RIGHT -> right + top < cut;
                case LOWER_RIGHT -> right + bottom < cut;
                case LOWER_LEFT -> left + bottom < cut;
            });
        }
    }
}
