package keyslate.server.negative;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.Supplier;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.ProofScene;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.ToneEncoding;
import keyslate.core.medium.Medium;
import keyslate.core.script.Part;
import keyslate.server.picture.PictureFiles;
import keyslate.server.subject.Subject;
import keyslate.server.web.NotFoundException;
import keyslate.store.negative.Picture;
import keyslate.store.negative.PictureRepository;
import org.springframework.stereotype.Component;
import org.springframework.util.DigestUtils;

/**
 * The negatives in use, decoded once for each picture. Never asked for inside a transaction or a snapshot: who decodes
 * would hold a connection that others wait for.
 */
@Component
public class Negatives {
    private static final int KEPT = 4;
    private static final Duration KEPT_FOR = Duration.ofMinutes(10);
    private static final int SMALL_SIDE = 240;
    private static final int PROOF_SIDE = 1440;
    private static final int POSITIVE_BYTES = 12 << 20;
    private static final double WHITE_PERCENTILE = 0.985;
    private static final double WHITE_SHOWN = 0.80;
    private static final double MIDDLE_SHOWN = 0.20;
    private static final double MOST_LIFT = 8;

    private final PictureRepository pictures;
    private final Cache<String, ColourRaster> scenes =
            Caffeine.newBuilder().maximumSize(KEPT).expireAfterAccess(KEPT_FOR).build();
    private final Cache<String, ColourRaster> proofs =
            Caffeine.newBuilder().maximumSize(2).expireAfterAccess(KEPT_FOR).build();
    private final Cache<Key, Negative> negatives =
            Caffeine.newBuilder().maximumSize(KEPT).expireAfterAccess(KEPT_FOR).build();
    private final Cache<Key, Negative> smalls = Caffeine.newBuilder()
            .maximumSize(4 * KEPT)
            .expireAfterAccess(KEPT_FOR)
            .build();

    /** While something is dragged the same part is asked for with every picture of it. */
    private final Cache<PartKey, Negative> parts =
            Caffeine.newBuilder().maximumSize(KEPT).expireAfterAccess(KEPT_FOR).build();

    /** A long proof sheet asks for hundreds of small ones while it is scrolled. */
    private final Cache<PositiveKey, byte[]> positives = Caffeine.newBuilder()
            .maximumWeight(POSITIVE_BYTES)
            .weigher((PositiveKey key, byte[] jpeg) -> jpeg.length)
            .expireAfterAccess(KEPT_FOR)
            .build();

    private record Key(String pictureId, String medium) {}

    private record PartKey(Key whole, Part part, int side) {}

    private record PositiveKey(String pictureId, int side, boolean inColour) {}

    Negatives(PictureRepository pictures) {
        this.pictures = pictures;
    }

    /** Forgets all that is decoded. */
    public void forget() {
        scenes.invalidateAll();
        proofs.invalidateAll();
        negatives.invalidateAll();
        smalls.invalidateAll();
        parts.invalidateAll();
        positives.invalidateAll();
    }

    /** The negative as a paper sees it; empty when nothing of it was ever scanned. */
    public Optional<Negative> negative(Subject subject, Medium medium) {
        return scene(subject).map(s -> negatives.get(new Key(s.id(), medium.id()), key -> medium.negative(s.read())));
    }

    /** The negative at {@value #SMALL_SIDE} pixels, for judging where tones lie. */
    public Optional<Negative> small(Subject subject, Medium medium) {
        return scene(subject)
                .map(s -> smalls.get(
                        new Key(s.id(), medium.id()),
                        key -> negative(subject, medium).orElseThrow().reducedTo(SMALL_SIDE)));
    }

    /** A part of the negative, at most {@code side} pixels long. */
    public Optional<Negative> part(Subject subject, Medium medium, Part part, int side) {
        return scene(subject)
                .map(s -> parts.get(
                        new PartKey(new Key(s.id(), medium.id()), part, side),
                        key -> negative(subject, medium)
                                .orElseThrow()
                                .cropped(part.left(), part.top(), part.width(), part.height())
                                .reducedTo(side)));
    }

    /** The positive as a JPEG, at most {@code side} pixels long, its brightest tones made nearly white. */
    public Optional<byte[]> positive(Subject subject, int side, boolean inColour) {
        return scene(subject)
                .map(s -> positives.get(new PositiveKey(s.id(), side, inColour), key -> jpeg(s, side, inColour)));
    }

    private static byte[] jpeg(Scene of, int side, boolean inColour) {
        ColourRaster scene = of.read().reducedTo(side);
        Raster grey = scene.luminance();
        double gain = gain(grey.samples());
        byte[][] planes = inColour
                ? new byte[][] {shown(scene.red(), gain), shown(scene.green(), gain), shown(scene.blue(), gain)}
                : new byte[][] {shown(grey, gain)};
        return PictureFiles.jpeg(look(scene, planes));
    }

    /** Names the picture of a subject: the same name, the same picture; empty when nothing of it was ever scanned. */
    public Optional<String> pictureId(Subject subject) {
        return scene(subject).map(Scene::id);
    }

    /** A scene that can be had, and what it is known by. */
    private record Scene(String id, Supplier<ColourRaster> reader) {
        ColourRaster read() {
            return reader.get();
        }
    }

    private Optional<Scene> scene(Subject subject) {
        if (!subject.hasPicture()) {
            return Optional.empty();
        }
        if (subject instanceof Subject.Proof proof) {
            String id = DigestUtils.md5DigestAsHex(proof.shown().getBytes(StandardCharsets.UTF_8));
            return Optional.of(new Scene(id, () -> proofs.get(id, key -> laidOut(proof))));
        }
        String id = subject.pictureIds().get(0);
        return Optional.of(new Scene(id, () -> scenes.get(id, this::decoded)));
    }

    private ColourRaster laidOut(Subject.Proof proof) {
        return ProofScene.of(
                proof.layout(),
                PROOF_SIDE,
                i -> Optional.ofNullable(proof.pictureIds().get(i)).map(this::decoded));
    }

    private static Look look(ColourRaster scene, byte[][] planes) {
        if (planes.length == 1) {
            return Look.grey(scene.width(), scene.height(), planes[0]);
        }
        byte[] rgb = new byte[3 * planes[0].length];
        for (int i = 0; i < rgb.length; i++) {
            rgb[i] = planes[i % 3][i / 3];
        }
        return Look.colour(scene.width(), scene.height(), rgb);
    }

    private static byte[] shown(Raster plane, double gain) {
        byte[] codes = new byte[plane.samples().length];
        for (int i = 0; i < codes.length; i++) {
            codes[i] = (byte) ToneEncoding.encode(shoulder(plane.samples()[i] * gain));
        }
        return codes;
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

    private ColourRaster decoded(String pictureId) {
        // It may just have given way to another one.
        Picture picture = pictures.find(pictureId).orElseThrow(NotFoundException.of("picture"));
        PictureRepository.Working working = pictures.working(pictureId).orElseThrow(NotFoundException.of("picture"));
        return PictureFiles.toScene(working.bytes(), picture.encoding());
    }

    private static double percentile(float[] samples, double share) {
        float[] sorted = samples.clone();
        Arrays.sort(sorted);
        return sorted[(int) (share * (sorted.length - 1))];
    }
}
