package keyslate.server.demo;

import java.awt.Point;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferUShort;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import keyslate.server.negative.PictureFiles;
import keyslate.store.negative.Picture;

/**
 * Makes the demo pictures that ship: the scenes' luminance in linear light, 960 pixels long, 16 bit grey. Run by hand when
 * the scenes change: arguments are the folder of the scenes and the folder to write to.
 */
final class BakeScenes {
    private static final double WHITE_CODE = 16384;
    /** The two lowest bits are below the noise of the scenes and only make the files larger. */
    private static final int KEPT_BITS = 0xfff8;

    private BakeScenes() {}

    public static void main(String[] args) throws IOException {
        for (String name : new String[] {"shelf", "bench", "loft", "fog", "teapot", "kiln", "testboard"}) {
            byte[] file = Files.readAllBytes(Path.of(args[0], name + ".linear16.png"));
            keyslate.core.darkroom.Raster scene = PictureFiles.toScene(file, Picture.LINEAR_16);
            short[] codes = new short[scene.samples().length];
            for (int i = 0; i < codes.length; i++) {
                codes[i] = (short) (Math.min(65535, Math.round(scene.samples()[i] * WHITE_CODE)) & KEPT_BITS);
            }
            ImageIO.write(
                    grey16(codes, scene.width(), scene.height()),
                    "png",
                    Path.of(args[1], name + ".png").toFile());
        }
    }

    private static BufferedImage grey16(short[] codes, int width, int height) {
        ComponentColorModel model = new ComponentColorModel(
                ColorSpace.getInstance(ColorSpace.CS_GRAY), false, false, Transparency.OPAQUE, DataBuffer.TYPE_USHORT);
        WritableRaster raster = Raster.createInterleavedRaster(
                new DataBufferUShort(codes, codes.length), width, height, width, 1, new int[] {0}, new Point());
        return new BufferedImage(model, raster, false, null);
    }
}
