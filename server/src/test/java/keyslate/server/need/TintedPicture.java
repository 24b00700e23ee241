package keyslate.server.need;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;
import keyslate.core.darkroom.ToneEncoding;

/** A picture as it would be in another light. */
final class TintedPicture {
    private TintedPicture() {}

    /** A PNG of the same thing, its linear red, green and blue so many times as bright. */
    static byte[] of(byte[] picture, double... light) {
        try {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(picture));
            BufferedImage out = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
            for (int y = 0; y < image.getHeight(); y++) {
                for (int x = 0; x < image.getWidth(); x++) {
                    int rgb = image.getRGB(x, y);
                    int tinted = 0;
                    for (int channel = 0; channel < light.length; channel++) {
                        int shift = 16 - 8 * channel;
                        double linear = light[channel] * ToneEncoding.decode(rgb >> shift & 0xff);
                        tinted |= ToneEncoding.encode(linear) << shift;
                    }
                    out.setRGB(x, y, tinted);
                }
            }
            ByteArrayOutputStream png = new ByteArrayOutputStream();
            ImageIO.write(out, "png", png);
            return png.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
