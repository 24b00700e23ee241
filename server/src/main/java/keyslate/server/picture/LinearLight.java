package keyslate.server.picture;

import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.color.ProfileDataException;
import java.awt.image.BufferedImage;
import java.awt.image.ColorConvertOp;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.ToneEncoding;
import org.jspecify.annotations.Nullable;

/**
 * Decoded pictures as linear light, 1 = white paper or a white diffuser, whatever they were written in: grey, colour, a palette, four
 * inks, 8 or 16 bit, with a profile or without one. What shines through is laid on white.
 */
final class LinearLight {
    private static final int LARGEST_CODE_16 = 65535;

    private LinearLight() {}

    /**
     * The light of a picture.
     *
     * @param profile the one that stands in its file beside the picture, where the reader does not mind it; null = what the
     *     picture's own colours are
     */
    static ColourRaster of(BufferedImage image, @Nullable ICC_Profile profile) {
        ColorModel model = image.getColorModel();
        if (model instanceof IndexColorModel) {
            return ofPalette(image);
        }
        if (model.getNumColorComponents() == 1) {
            return ofGrey(image);
        }
        if (model.getNumColorComponents() == 3
                && profile == null
                && model.getColorSpace().isCS_sRGB()) {
            return ofCodes(image);
        }
        return ofCodes(converted(image, profile));
    }

    /** To sRGB in 16 bit, by the profile. */
    private static BufferedImage converted(BufferedImage image, @Nullable ICC_Profile profile) {
        BufferedImage from = image;
        if (profile != null
                && profile.getNumComponents() == image.getColorModel().getNumColorComponents()) {
            ColorModel by = new ComponentColorModel(
                    new ICC_ColorSpace(profile),
                    image.getColorModel().hasAlpha(),
                    false,
                    image.getColorModel().getTransparency(),
                    image.getRaster().getTransferType());
            if (by.isCompatibleRaster(image.getRaster())) {
                from = new BufferedImage(by, image.getRaster(), false, null);
            }
        }
        boolean alpha = from.getColorModel().hasAlpha();
        ColorModel deep = new ComponentColorModel(
                ColorSpace.getInstance(ColorSpace.CS_sRGB),
                alpha,
                false,
                alpha ? ColorModel.TRANSLUCENT : ColorModel.OPAQUE,
                DataBuffer.TYPE_USHORT);
        WritableRaster raster = deep.createCompatibleWritableRaster(image.getWidth(), image.getHeight());
        BufferedImage to = new BufferedImage(deep, raster, false, null);
        try {
            return new ColorConvertOp(null).filter(from, to);
        } catch (CMMException | ProfileDataException e) {
            throw new IllegalArgumentException("the profile cannot be used", e);
        }
    }

    /**
     * Grey files are read by their own codes: the platform takes a grey raster for linear light, which would make it a gamma of
     * 2.2 too light.
     */
    private static ColourRaster ofGrey(BufferedImage image) {
        float[] light = plane(image, 0);
        keyslate.core.darkroom.Raster grey =
                keyslate.core.darkroom.Raster.over(image.getWidth(), image.getHeight(), light);
        return new ColourRaster(grey, grey, grey);
    }

    private static ColourRaster ofCodes(BufferedImage image) {
        int w = image.getWidth();
        int h = image.getHeight();
        return new ColourRaster(
                keyslate.core.darkroom.Raster.over(w, h, plane(image, 0)),
                keyslate.core.darkroom.Raster.over(w, h, plane(image, 1)),
                keyslate.core.darkroom.Raster.over(w, h, plane(image, 2)));
    }

    private static ColourRaster ofPalette(BufferedImage image) {
        BufferedImage rgb = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_ARGB);
        int[] row = new int[image.getWidth()];
        for (int y = 0; y < image.getHeight(); y++) {
            image.getRGB(0, y, row.length, 1, row, 0, row.length);
            rgb.setRGB(0, y, row.length, 1, row, 0, row.length);
        }
        return ofCodes(rgb);
    }

    /** One channel by its codes on the sRGB curve, over white where it is not opaque. */
    private static float[] plane(BufferedImage image, int band) {
        Raster raster = image.getRaster();
        ColorModel model = image.getColorModel();
        int w = image.getWidth();
        int h = image.getHeight();
        float[] curve = curve(model.getComponentSize(band));
        int alpha = model.hasAlpha() ? model.getNumComponents() - 1 : -1;
        double opaque = alpha < 0 ? 1 : (1 << model.getComponentSize(alpha)) - 1;
        float[] light = new float[w * h];
        int[] codes = new int[w];
        int[] alphas = new int[w];
        for (int y = 0; y < h; y++) {
            raster.getSamples(0, y, w, 1, band, codes);
            if (alpha >= 0) {
                raster.getSamples(0, y, w, 1, alpha, alphas);
            }
            for (int x = 0; x < w; x++) {
                float own = curve[Math.min(curve.length - 1, codes[x])];
                light[y * w + x] = alpha < 0 ? own : (float) (1 - alphas[x] / opaque * (1 - own));
            }
        }
        return light;
    }

    private static float[] curve(int bits) {
        int most = bits >= 16 ? LARGEST_CODE_16 : (1 << bits) - 1;
        float[] curve = new float[most + 1];
        for (int code = 0; code <= most; code++) {
            curve[code] = (float) ToneEncoding.decode(code / (double) most);
        }
        return curve;
    }
}
