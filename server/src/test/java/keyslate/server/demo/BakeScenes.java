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
import java.util.List;
import javax.imageio.ImageIO;
import keyslate.core.darkroom.ColourRaster;
import keyslate.server.picture.PictureFiles;
import keyslate.store.negative.Picture;

/**
 * Makes the demo pictures that ship: the scenes in linear light, 960 pixels long, 16 bit; in colour those that lie on a
 * colour roll, by their luminance the others. Run by hand when the scenes change: arguments are the folder of the scenes and the
 * folder to write to.
 */
final class BakeScenes {
    private static final double WHITE_CODE = 16384;
    /** The lowest bits are below the noise of the scenes and only make the files larger. */
    private static final int KEPT_BITS = 0xfff0;

    private static final List<String> IN_COLOUR = List.of("bench", "teapot", "kiln", "testboard");

    private BakeScenes() {}

    public static void main(String[] args) throws IOException {
        for (String name : new String[] {"shelf", "bench", "loft", "fog", "teapot", "kiln", "testboard"}) {
            byte[] file = Files.readAllBytes(Path.of(args[0], name + ".linear16.png"));
            ColourRaster scene = PictureFiles.toScene(file, Picture.LINEAR_16);
            boolean colour = IN_COLOUR.contains(name);
            float[] grey = scene.luminance().samples();
            int bands = colour ? 3 : 1;
            short[] codes = new short[scene.width() * scene.height() * bands];
            for (int i = 0; i < codes.length; i++) {
                float light = colour ? scene.channel(i % bands).samples()[i / bands] : grey[i];
                codes[i] = (short) (Math.min(65535, Math.round(light * WHITE_CODE)) & KEPT_BITS);
            }
            ImageIO.write(
                    image(codes, scene.width(), scene.height(), bands),
                    "png",
                    Path.of(args[1], name + ".png").toFile());
        }
    }

    private static BufferedImage image(short[] codes, int width, int height, int bands) {
        ColorSpace space = ColorSpace.getInstance(bands == 1 ? ColorSpace.CS_GRAY : ColorSpace.CS_LINEAR_RGB);
        ComponentColorModel model =
                new ComponentColorModel(space, false, false, Transparency.OPAQUE, DataBuffer.TYPE_USHORT);
        int[] offsets = bands == 1 ? new int[] {0} : new int[] {0, 1, 2};
        WritableRaster raster = Raster.createInterleavedRaster(
                new DataBufferUShort(codes, codes.length), width, height, width * bands, bands, offsets, new Point());
        return new BufferedImage(model, raster, false, null);
    }
}
