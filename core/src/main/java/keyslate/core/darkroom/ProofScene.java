package keyslate.core.darkroom;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.IntFunction;
import keyslate.core.film.ProofLayout;

/**
 * DRK-10: the scenes of a film's frames as they lie under the glass, as one scene. Between the frames no light ever fell on
 * the film, so that its base is clear; a frame that was never scanned is a flat {@value #FLAT}.
 */
public final class ProofScene {
    /** A grey card's light. */
    private static final float FLAT = 0.18f;

    private ProofScene() {}

    /**
     * Lays the scenes out.
     *
     * @param longSide pixels of the longer side, 16 or more
     * @param frames the scene of a frame by its place in the film, from 0; asked for one after another and not kept
     */
    public static ColourRaster of(ProofLayout layout, int longSide, IntFunction<Optional<ColourRaster>> frames) {
        double mm = Math.max(layout.width().inMm(), layout.height().inMm());
        int width = Math.max(1, (int) Math.round(layout.width().inMm() / mm * longSide));
        int height = Math.max(1, (int) Math.round(layout.height().inMm() / mm * longSide));
        float[][] planes = new float[3][width * height];
        for (int i = 0; i < layout.frames().size(); i++) {
            Window window = Window.of(layout.frames().get(i), width, height);
            Optional<ColourRaster> scene = frames.apply(i);
            for (int channel = 0; channel < planes.length; channel++) {
                if (scene.isPresent()) {
                    window.draw(scene.get().channel(channel), planes[channel], width);
                } else {
                    window.fill(planes[channel], width);
                }
            }
        }
        return new ColourRaster(
                Raster.over(width, height, planes[0]),
                Raster.over(width, height, planes[1]),
                Raster.over(width, height, planes[2]));
    }

    /** The pixels of a frame. */
    private record Window(int left, int top, int width, int height) {
        static Window of(ProofLayout.Place place, int across, int down) {
            int left = (int) Math.round(place.left() * across);
            int top = (int) Math.round(place.top() * down);
            return new Window(
                    left,
                    top,
                    Math.max(1, Math.min(across - left, (int) Math.round(place.width() * across))),
                    Math.max(1, Math.min(down - top, (int) Math.round(place.height() * down))));
        }

        void fill(float[] plane, int across) {
            for (int y = top; y < top + height; y++) {
                Arrays.fill(plane, y * across + left, y * across + left + width, FLAT);
            }
        }

        /** A picture that stands the other way than its frame lies is turned. */
        void draw(Raster scene, float[] plane, int across) {
            Raster small = scene.reducedTo(Math.max(width, height));
            boolean turned = small.width() > small.height() != width > height && small.width() != small.height();
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    double u = (x + 0.5) / width;
                    double v = (y + 0.5) / height;
                    double right = turned ? 1 - v : u;
                    double down = turned ? u : v;
                    plane[(top + y) * across + left + x] =
                            small.at((int) (right * small.width()), (int) (down * small.height()));
                }
            }
        }
    }
}
