package keyslate.server.picture;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import javax.imageio.ImageIO;

/** A made-up scan of a proof sheet: strips of three grey frames on black, each with a white bar of its own. */
public final class SleeveFile {
    public static final double GAP_ALONG = 0.1;
    public static final double GAP_ACROSS = 0.5;
    /** Of the outermost frames. */
    public static final List<Double> CORNERS = List.of(0.1, 0.1, 0.9, 0.1, 0.9, 0.9, 0.1, 0.9);

    private static final int WIDTH = 640;
    private static final int HEIGHT = 400;
    private static final int PER_STRIP = 3;
    private static final int STRIPS = 2;
    private static final int MOST_FRAMES = 6;

    private SleeveFile() {}

    /** Where the bar stands in a frame, share of its width; frames are counted from 0. */
    public static double bar(int frame) {
        return (frame + 0.5) / MOST_FRAMES;
    }

    public static byte[] png(int frames) {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D pen = image.createGraphics();
        double width = 0.8 * WIDTH / (PER_STRIP + (PER_STRIP - 1) * GAP_ALONG);
        double height = 0.8 * HEIGHT / (STRIPS + (STRIPS - 1) * GAP_ACROSS);
        for (int i = 0; i < frames; i++) {
            double left = 0.1 * WIDTH + i % PER_STRIP * (1 + GAP_ALONG) * width;
            double top = 0.1 * HEIGHT + i / PER_STRIP * (1 + GAP_ACROSS) * height;
            pen.setColor(new Color(90, 90, 90));
            pen.fillRect((int) left, (int) top, (int) width, (int) height);
            pen.setColor(Color.WHITE);
            pen.fillRect((int) (left + (bar(i) - 0.05) * width), (int) top, (int) (0.1 * width), (int) height);
        }
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
