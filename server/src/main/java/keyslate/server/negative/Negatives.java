package keyslate.server.negative;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import keyslate.core.darkroom.MonoNegative;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Picture;
import keyslate.store.negative.RollRepository;
import org.springframework.stereotype.Component;

/** The negatives in use, decoded once; the least recently used leaves first. */
@Component
public class Negatives {
    private static final int KEPT = 12;
    private static final int SMALL_SIDE = 240;
    private static final double WHITE_PERCENTILE = 0.985;
    private static final double WHITE_SHOWN = 0.80;
    private static final double MIDDLE_SHOWN = 0.20;
    private static final double MOST_LIFT = 8;

    private final RollRepository rolls;
    private final Map<String, Raster> scenes = kept();
    private final Map<String, Raster> negatives = kept();
    private final Map<String, Raster> smalls = kept();

    Negatives(RollRepository rolls) {
        this.rolls = rolls;
    }

    /** Densities of the negative; empty when the frame was never scanned. */
    public synchronized Optional<Raster> negative(Frame frame) {
        return Optional.ofNullable(frame.pictureId())
                .map(id -> negatives.computeIfAbsent(id, key -> MonoNegative.of(scene(key), 0)));
    }

    /** The negative at {@value #SMALL_SIDE} pixels, for judging where tones lie. */
    public synchronized Optional<Raster> small(Frame frame) {
        return negative(frame).map(n -> smalls.computeIfAbsent(frame.pictureId(), id -> n.reducedTo(SMALL_SIDE)));
    }

    /** The positive of a frame as a JPEG, at most {@code side} pixels long, its brightest tones made nearly white. */
    public synchronized Optional<byte[]> positive(Frame frame, int side) {
        return Optional.ofNullable(frame.pictureId()).map(id -> {
            Raster scene = scene(id).reducedTo(side);
            double gain = gain(scene.samples());
            byte[] grey = new byte[scene.samples().length];
            for (int i = 0; i < grey.length; i++) {
                grey[i] = (byte) ToneEncoding.encode(shoulder(scene.samples()[i] * gain));
            }
            return PictureFiles.greyJpeg(grey, scene.width(), scene.height());
        });
    }

    /**
     * How much to lift a scene for showing: half way, in stops, between what makes its brightest tones nearly white and
     * what makes its typical tone a mid grey, so that neither a window nor a dark room decides alone.
     */
    private static double gain(float[] scene) {
        double byWhite = WHITE_SHOWN / Math.max(1e-3, percentile(scene, WHITE_PERCENTILE));
        double logs = 0;
        for (float light : scene) {
            logs += Math.log(Math.max(1e-4, light));
        }
        double byMiddle = MIDDLE_SHOWN / Math.exp(logs / scene.length);
        return Math.sqrt(byWhite * Math.min(byMiddle, MOST_LIFT * byWhite));
    }

    /** Keeps what is brighter than the white from clipping: straight to 0.7, then levelling towards 1. */
    private static double shoulder(double light) {
        return light < 0.7 ? light : 1 - 0.3 * Math.exp(-(light - 0.7) / 0.3);
    }

    private Raster scene(String pictureId) {
        return scenes.computeIfAbsent(pictureId, id -> {
            Picture picture = rolls.picture(id).orElseThrow();
            return PictureFiles.toScene(rolls.pictureBytes(id).orElseThrow(), picture.encoding());
        });
    }

    private static double percentile(float[] samples, double share) {
        float[] sorted = samples.clone();
        Arrays.sort(sorted);
        return sorted[(int) (share * (sorted.length - 1))];
    }

    private static <V> Map<String, V> kept() {
        return new LinkedHashMap<>(KEPT, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<String, V> eldest) {
                return size() > KEPT;
            }
        };
    }
}
