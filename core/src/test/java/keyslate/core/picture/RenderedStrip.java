package keyslate.core.picture;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Raster;
import keyslate.core.quantity.Grade;

/**
 * A test strip on a table as a phone would see it, drawn by ray and not by anything the reader has: a pinhole camera that looks at a plane from a little aside, a
 * lamp of some colour at some distance, a noisy sensor and a JPEG.
 */
final class RenderedStrip {
    private static final VariableContrastPaper PAPER = new VariableContrastPaper();
    private static final int WIDE = 1200;
    private static final int HIGH = 900;
    private static final int PRINT = 560;

    /** How the patches lie. */
    enum Kind {
        COVER,
        SAME_SPOT,
        SHEET
    }

    /** A place where the wanted tone is: fractions of the printed part, and the patch it lies in. */
    record Tone(int patch, double u, double v) {}

    final Kind kind;
    final Grade grade;
    final List<Double> seconds = new ArrayList<>();
    final List<Tone> tones = new ArrayList<>();
    final double wantedNet;
    final double rightSeconds;
    final double aspect;
    final double[] trueCorners = new double[8];
    ColourRaster picture;
    double blur;
    boolean turned;

    private final Random random;
    private final double toneDensity;
    private final double needed;
    private final double[][] hills;
    private final double rim;
    private double[] print;

    RenderedStrip(Kind kind, long seed) {
        this.kind = kind;
        random = new Random(seed * 7919 + 17);
        grade = Grade.of(random.nextInt(9) * 0.5);
        int patches = kind == Kind.SHEET ? 1 : 5 + 2 * random.nextInt(2);
        double step = kind == Kind.SHEET ? 0 : 1.0 / 3;
        wantedNet = random.nextBoolean() ? 0.10 : 0.60;
        toneDensity = wantedNet < 0.3 ? 1.1 : 0.75;
        needed = PAPER.logTimeFor(wantedNet, grade) + toneDensity;
        rightSeconds = 6 + 14 * random.nextDouble();
        double off = kind == Kind.SHEET
                ? 0.8 * (random.nextDouble() - 0.5)
                : (random.nextDouble() - 0.5) * (patches - 1) * step * 0.8;
        for (int i = 0; i < patches; i++) {
            seconds.add(rightSeconds * Math.pow(2, off + (i - (patches - 1) / 2.0) * step));
        }
        aspect = kind == Kind.SHEET ? 1.25 : 3 + random.nextDouble();
        rim = 0.03 + 0.05 * random.nextDouble();
        hills = new double[9][];
        for (int i = 0; i < hills.length; i++) {
            hills[i] = new double[] {
                random.nextDouble(),
                random.nextDouble(),
                0.05 + 0.25 * random.nextDouble(),
                0.7 * (random.nextDouble() - 0.5)
            };
        }
        for (int i = 0; i < patches; i++) {
            double u = kind == Kind.COVER
                    ? (i + 0.35 + 0.3 * random.nextDouble()) / patches
                    : kind == Kind.SAME_SPOT ? (i + 0.5) / patches : 0.5;
            tones.add(new Tone(i, u, 0.5));
        }
    }

    /** A tone that lies in one patch only, near the middle: nothing of it in the others. */
    RenderedStrip oneToneOnly() {
        Tone middle = tones.get(tones.size() / 2);
        tones.clear();
        tones.add(middle);
        print = null;
        return this;
    }

    private double negative(double x, double y) {
        double d = 0.75;
        for (double[] h : hills) {
            double dx = (x - h[0]) * (kind == Kind.SAME_SPOT ? 1 : aspect / 2);
            double dy = y - h[1];
            d += h[3] * Math.exp(-(dx * dx + dy * dy) / (2 * h[2] * h[2]));
        }
        d += 0.04 * Math.sin(37 * x) * Math.sin(23 * y + 3 * x);
        return Math.max(0.15, d);
    }

    private boolean inTone(double u, double v) {
        int patches = seconds.size();
        if (kind == Kind.COVER) {
            return Math.abs(v - 0.5) < 0.12
                    && tones.stream()
                            .anyMatch(t ->
                                    Math.abs(u * patches - t.u() * patches) < (tones.size() == patches ? 1 : 0.25));
        }
        double x = kind == Kind.SAME_SPOT ? u * patches % 1 : u;
        return Math.hypot(x - 0.5, (v - 0.5) * (kind == Kind.SAME_SPOT ? patches / aspect : 1 / aspect))
                < (kind == Kind.SAME_SPOT ? 0.15 : 0.05);
    }

    /** The share of white's light at a place of the printed part, in fine pixels: no ray has to work out a density. */
    private double net(double u, double v) {
        if (print == null) {
            print = new double[PRINT * PRINT];
            for (int i = 0; i < print.length; i++) {
                print[i] = Math.pow(10, -netAt((i % PRINT + 0.5) / PRINT, (i / PRINT + 0.5) / PRINT));
            }
        }
        return print[(int) (v * PRINT) * PRINT + (int) (u * PRINT)];
    }

    private double netAt(double u, double v) {
        int patches = seconds.size();
        int patch = Math.max(0, Math.min(patches - 1, (int) (u * patches)));
        double x = kind == Kind.SAME_SPOT ? u * patches % 1 : u;
        double d = inTone(u, v) ? toneDensity : negative(x, v);
        double light = Math.log10(seconds.get(patch)) - Math.log10(rightSeconds) + needed;
        return PAPER.netDensityAtGrade(grade, light - d);
    }

    /** Takes the picture. */
    RenderedStrip taken() {
        double tilt = Math.toRadians(16 * (random.nextDouble() - 0.5) + (turned ? 180 : 0));
        double keystone = 0.12 * (random.nextDouble() - 0.5);
        double keystone2 = 0.12 * (random.nextDouble() - 0.5);
        double fill = 0.72 + 0.16 * random.nextDouble();
        double unevenness = 0.5 * random.nextDouble();
        double direction = 2 * Math.PI * random.nextDouble();
        double kelvin = 2700 + 3800 * random.nextDouble();
        double balanced = random.nextDouble();
        double[] lamp = {1, Math.pow(kelvin / 6500, 0.45), Math.pow(kelvin / 6500, 1.15)};
        double[] table = {0.1 + 0.35 * random.nextDouble(), 0, 0};
        table[1] = table[0] * (0.8 + 0.15 * random.nextDouble());
        table[2] = table[1] * (0.65 + 0.3 * random.nextDouble());
        double exposure = 0.55 + 0.3 * random.nextDouble();
        double noise = 0.002 + 0.006 * random.nextDouble();
        double quality = 0.6 + 0.35 * random.nextDouble();
        double outerWide = aspect + 2 * rim;
        double outerHigh = 1 + 2 * rim;
        double scale = fill * Math.min(WIDE / outerWide, HIGH / outerHigh) * 0.92;
        double cos = Math.cos(tilt);
        double sin = Math.sin(tilt);
        double[][] light = new double[3][WIDE * HIGH];
        double[] cast = new double[3];
        for (int c = 0; c < 3; c++) {
            cast[c] = Math.pow(lamp[c], 1 - 0.7 * balanced);
        }
        double[] seen = new double[3];
        for (int y = 0; y < HIGH; y++) {
            for (int x = 0; x < WIDE; x++) {
                Arrays.fill(seen, 0);
                for (int s = 0; s < 4; s++) {
                    double px = (x + 0.25 + 0.5 * (s % 2) - WIDE / 2.0) / scale;
                    double py = (y + 0.25 + 0.5 * (s / 2) - HIGH / 2.0) / scale;
                    double nx = px / outerWide;
                    double ny = py / outerHigh;
                    double depth = 1 + keystone * nx + keystone2 * ny;
                    double gx = px / depth;
                    double gy = py / depth;
                    double u = (cos * gx + sin * gy) / aspect + 0.5;
                    double v = -sin * gx + cos * gy + 0.5;
                    boolean onPaper = u > -rim / aspect && u < 1 + rim / aspect && v > -rim && v < 1 + rim;
                    double reflectance = 0.87;
                    if (onPaper && u >= 0 && u < 1 && v >= 0 && v < 1) {
                        reflectance *= net(u, v);
                    }
                    for (int c = 0; c < 3; c++) {
                        seen[c] += (onPaper ? reflectance : table[c]) / 4;
                    }
                }
                double across = (x - WIDE / 2.0) / WIDE;
                double down = (y - HIGH / 2.0) / HIGH;
                double fall = Math.pow(
                        2,
                        -unevenness * (0.5 + Math.cos(direction) * across + Math.sin(direction) * down)
                                + 0.1 * unevenness * (across * across + down * down));
                for (int c = 0; c < 3; c++) {
                    light[c][y * WIDE + x] = seen[c] * fall * cast[c] * exposure;
                }
            }
        }
        if (blur > 0) {
            for (int c = 0; c < 3; c++) {
                light[c] = blurred(light[c], (int) blur);
            }
        }
        BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
        for (int i = 0; i < WIDE * HIGH; i++) {
            int rgb = 0;
            for (int c = 0; c < 3; c++) {
                double l = light[c][i] + noise * Math.sqrt(light[c][i] + 0.01) * random.nextGaussian();
                rgb = rgb << 8 | code(l);
            }
            image.setRGB(i % WIDE, i / WIDE, rgb);
        }
        picture = decoded(jpeg(image, (float) quality));
        return this;
    }

    private static double[] blurred(double[] in, int radius) {
        double[] out = in;
        for (int pass = 0; pass < 4; pass++) {
            double[] next = new double[out.length];
            int stride = pass % 2 == 0 ? 1 : WIDE;
            for (int i = 0; i < out.length; i++) {
                double sum = 0;
                int count = 0;
                for (int k = -radius; k <= radius; k++) {
                    int at = i + k * stride;
                    if (at >= 0 && at < out.length) {
                        sum += out[at];
                        count++;
                    }
                }
                next[i] = sum / count;
            }
            out = next;
        }
        return out;
    }

    private static final byte[] CODES = new byte[1 << 14];
    private static final float[] LIGHTS = new float[256];

    static {
        for (int i = 0; i < CODES.length; i++) {
            double l = i / (CODES.length - 1.0);
            CODES[i] = (byte) Math.round(255 * (l <= 0.0031308 ? 12.92 * l : 1.055 * Math.pow(l, 1 / 2.4) - 0.055));
        }
        for (int i = 0; i < LIGHTS.length; i++) {
            double c = i / 255.0;
            LIGHTS[i] = (float) (c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4));
        }
    }

    private static int code(double linear) {
        return CODES[(int) Math.round(Math.max(0, Math.min(1, linear)) * (CODES.length - 1))] & 0xff;
    }

    private static byte[] jpeg(BufferedImage image, float quality) {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ImageWriteParam param = writer.getDefaultWriteParam();
        param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        param.setCompressionQuality(quality);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (var out = ImageIO.createImageOutputStream(bytes)) {
            writer.setOutput(out);
            writer.write(null, new IIOImage(image, null, null), param);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }

    private static ColourRaster decoded(byte[] jpeg) {
        try {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(jpeg));
            Raster[] planes = new Raster[3];
            for (int c = 0; c < 3; c++) {
                float[] samples = new float[image.getWidth() * image.getHeight()];
                for (int i = 0; i < samples.length; i++) {
                    int rgb = image.getRGB(i % image.getWidth(), i / image.getWidth());
                    samples[i] = LIGHTS[rgb >> 16 - 8 * c & 0xff];
                }
                planes[c] = Raster.over(image.getWidth(), image.getHeight(), samples);
            }
            return new ColourRaster(planes[0], planes[1], planes[2]);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Net density at a time, for the reader: the paper as it is known. */
    double curve(double log) {
        return PAPER.netDensityAtGrade(grade, log);
    }
}
