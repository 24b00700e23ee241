package keyslate.server.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Random;
import javax.imageio.ImageIO;
import keyslate.core.darkroom.Look;
import org.junit.jupiter.api.Test;

/** Previews as files. */
class BmpTest {
    /** Odd sides: rows of a BMP are filled up to four bytes. */
    private static final int WIDTH = 7;

    private static final int HEIGHT = 5;

    private static BufferedImage read(Look look) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(PictureFiles.bmp(look)));
    }

    @Test
    void everyColourComesBack() throws IOException {
        byte[] rgb = new byte[3 * WIDTH * HEIGHT];
        new Random(3).nextBytes(rgb);
        BufferedImage read = read(Look.colour(WIDTH, HEIGHT, rgb));
        for (int i = 0; i < WIDTH * HEIGHT; i++) {
            int expected = (rgb[3 * i] & 0xff) << 16 | (rgb[3 * i + 1] & 0xff) << 8 | rgb[3 * i + 2] & 0xff;
            assertThat(read.getRGB(i % WIDTH, i / WIDTH) & 0xffffff).isEqualTo(expected);
        }
    }

    @Test
    void everyGreyComesBack() throws IOException {
        byte[] grey = new byte[WIDTH * HEIGHT];
        new Random(4).nextBytes(grey);
        BufferedImage read = read(Look.grey(WIDTH, HEIGHT, grey));
        for (int i = 0; i < grey.length; i++) {
            assertThat(read.getRaster().getSample(i % WIDTH, i / WIDTH, 0)).isEqualTo(grey[i] & 0xff);
        }
    }
}
