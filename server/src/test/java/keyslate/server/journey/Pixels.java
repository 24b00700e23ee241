package keyslate.server.journey;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.function.IntPredicate;
import javax.imageio.ImageIO;

/** Looks at every pixel of a screenshot. */
final class Pixels {
    private Pixels() {}

    /** The first pixel that the rule does not hold for, in words with its place, or empty when it holds for all. */
    static String firstAgainst(byte[] png, IntPredicate rule) {
        BufferedImage image = read(png);
        int width = image.getWidth();
        int[] rgb = image.getRGB(0, 0, width, image.getHeight(), null, 0, width);
        int found = 0;
        String first = "";
        for (int i = 0; i < rgb.length; i++) {
            if (!rule.test(rgb[i])) {
                if (found++ == 0) {
                    first = "rgb(%d, %d, %d) at %d, %d"
                            .formatted(red(rgb[i]), green(rgb[i]), blue(rgb[i]), i % width, i / width);
                }
            }
        }
        return found == 0 ? "" : first + " and " + (found - 1) + " more";
    }

    /** Pure red or dark: what fogs no monochrome paper. */
    static boolean isSafe(int rgb) {
        return green(rgb) == 0 && blue(rgb) == 0;
    }

    /** No light at all. */
    static boolean isBlack(int rgb) {
        return (rgb & 0xFFFFFF) == 0;
    }

    /** Grey within 2 of 255 between any two channels. */
    static boolean isGrey(int rgb) {
        int high = Math.max(red(rgb), Math.max(green(rgb), blue(rgb)));
        int low = Math.min(red(rgb), Math.min(green(rgb), blue(rgb)));
        return high - low <= 2;
    }

    static boolean isLit(byte[] png) {
        return !firstAgainst(png, rgb -> red(rgb) < 100).isEmpty();
    }

    private static int red(int rgb) {
        return rgb >> 16 & 255;
    }

    private static int green(int rgb) {
        return rgb >> 8 & 255;
    }

    private static int blue(int rgb) {
        return rgb & 255;
    }

    private static BufferedImage read(byte[] png) {
        try {
            return ImageIO.read(new ByteArrayInputStream(png));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
