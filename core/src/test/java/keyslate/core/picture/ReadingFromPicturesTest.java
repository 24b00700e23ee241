package keyslate.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import keyslate.core.colour.Layers;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.darkroom.Raster;
import keyslate.core.picture.PictureOfTest.Fault;
import keyslate.core.picture.PictureOfTest.Known;
import keyslate.core.picture.PictureOfTest.Planned;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.reading.Corners;
import keyslate.core.reading.Corners.Place;
import org.junit.jupiter.api.Test;

/** The reader against pictures that are drawn by other code: see {@link RenderedStrip}. */
class ReadingFromPicturesTest {
    private static final double HALF_A_STEP = 1.0 / 6;
    private static final int SEEDS = 20;
    /** Seeds that nothing was tuned on. */
    private static final long UNSEEN = 20_261_127;

    private record Read(double error, boolean unsure) {
        boolean isRight() {
            return Math.abs(error) <= HALF_A_STEP;
        }
    }

    private static PictureOfTest picture(RenderedStrip strip, Corners corners, Known known) {
        int patches = strip.seconds.size();
        List<Double> lines =
                IntStream.range(1, patches).mapToObj(i -> i / (double) patches).toList();
        boolean alike = strip.kind == RenderedStrip.Kind.SAME_SPOT;
        return PictureOfTest.of(strip.picture, List.of(corners), new Planned(lines, true, true, alike), known);
    }

    private static PictureOfTest picture(RenderedStrip strip) {
        List<Corners> found = PaperFinder.in(strip.picture);
        return picture(strip, found.isEmpty() ? Corners.whole() : found.get(0), Known.NOTHING);
    }

    private static Read read(RenderedStrip strip) {
        PictureOfTest picture = picture(strip);
        List<ToneTime.Seen> seen = strip.tones.stream()
                .map(tone -> {
                    PictureOfTest.Density d = picture.density(0, tone.u(), tone.v(), 0.006, 0.006 * strip.aspect);
                    return new ToneTime.Seen(
                            ExposureTime.ofSeconds(strip.seconds.get(tone.patch())), d.net(), d.spread());
                })
                .toList();
        ToneTime time = ToneTime.of(strip::curve, seen, strip.wantedNet);
        double error = Math.log(time.time().inSeconds() / strip.rightSeconds) / Math.log(2);
        boolean unsure =
                !picture.faults().isEmpty() || !time.reaches() || time.limit().inStops() > HALF_A_STEP;
        return new Read(error, unsure);
    }

    /** Tilt to 8°, perspective to 6 %, light uneven to ½ stop, noise, JPEG 60 to 95, lamps of 2700 to 6500 K. */
    @Test
    void theWantedExposureIsRightWithinHalfAStepAndDoubtIsSaid() {
        List<Read> reads = LongStream.range(UNSEEN, UNSEEN + SEEDS)
                .parallel()
                .boxed()
                .flatMap(seed -> List.of(
                        new RenderedStrip(RenderedStrip.Kind.COVER, seed),
                        new RenderedStrip(RenderedStrip.Kind.COVER, seed + 1000).oneToneOnly(),
                        new RenderedStrip(RenderedStrip.Kind.SAME_SPOT, seed),
                        new RenderedStrip(RenderedStrip.Kind.SAME_SPOT, seed + 1000),
                        new RenderedStrip(RenderedStrip.Kind.SHEET, seed))
                        .stream())
                .map(strip -> read(strip.taken()))
                .toList();
        long right = reads.stream().filter(Read::isRight).count();
        long wrong = reads.size() - right;
        long wrongSaid = reads.stream().filter(r -> !r.isRight() && r.unsure()).count();
        long needlessDoubt =
                reads.stream().filter(r -> r.isRight() && r.unsure()).count();
        assertThat(right).as("right of %s", reads.size()).isGreaterThanOrEqualTo(95 * reads.size() / 100);
        assertThat(wrongSaid).as("said of %s wrong", wrong).isGreaterThanOrEqualTo((long) Math.floor(0.9 * wrong));
        assertThat(needlessDoubt).as("unsure though right").isLessThanOrEqualTo(right / 10);
    }

    @Test
    void aStripThatLiesTheOtherWayRoundIsSaid() {
        RenderedStrip strip = new RenderedStrip(RenderedStrip.Kind.COVER, 5);
        strip.turned = true;
        assertThat(picture(strip.taken()).faults()).containsExactly(Fault.WRONG_WAY);
        Corners found = PaperFinder.in(strip.picture).get(0);
        assertThat(picture(strip, found.turned().turned(), Known.NOTHING).faults())
                .isEmpty();
    }

    @Test
    void aBlurredPictureIsSaid() {
        RenderedStrip strip = new RenderedStrip(RenderedStrip.Kind.COVER, 6);
        strip.blur = 14;
        assertThat(picture(strip.taken()).faults()).contains(Fault.BLURRED);
    }

    @Test
    void glareAndAWhiteWithoutToneAreSaid() {
        RenderedStrip strip = new RenderedStrip(RenderedStrip.Kind.COVER, 7).taken();
        ColourRaster plain = strip.picture;
        strip.picture =
                changed(plain, (x, y, light) -> Math.hypot(x - 0.5, y - 0.5) < 0.06 ? Math.min(1, light + 0.9) : light);
        assertThat(picture(strip).faults()).contains(Fault.GLARE);
        strip.picture = changed(plain, (x, y, light) -> Math.min(1, 3 * light));
        assertThat(picture(strip).faults()).contains(Fault.CLIPPED);
        strip.picture = changed(plain, (x, y, light) -> 0.08 * light);
        assertThat(picture(strip).faults()).contains(Fault.TOO_DARK);
    }

    /** Without a rim nothing tells what white is, until a place of bare paper is tapped. */
    @Test
    void withoutARimAWhiteHasToBeSaid() {
        RenderedStrip strip = new RenderedStrip(RenderedStrip.Kind.COVER, 8).taken();
        PictureOfTest whole = picture(strip);
        List<Double> inside =
                List.of(whole.at(0, 0, 0), whole.at(0, 1, 0), whole.at(0, 1, 1), whole.at(0, 0, 1)).stream()
                        .flatMap(p -> List.of(p.x(), p.y()).stream())
                        .toList();
        Corners printed = Corners.of(inside);
        PictureOfTest bare = picture(strip, printed, Known.NOTHING);
        assertThat(bare.faults()).contains(Fault.NO_WHITE);
        Place rim = whole.papers().get(0).at(0.5, whole.printed().get(0).top() / 2);
        PictureOfTest said = picture(strip, printed, new Known(Optional.of(rim), Optional.empty()));
        assertThat(said.whiteBy()).isEqualTo(PictureOfTest.White.SAID);
        assertThat(said.faults()).doesNotContain(Fault.NO_WHITE);
        PictureOfTest set =
                picture(strip, printed, new Known(Optional.empty(), Optional.of(new Layers(0.8, 0.8, 0.8))));
        assertThat(set.whiteBy()).isEqualTo(PictureOfTest.White.SCANNER);
        assertThat(set.faults()).doesNotContain(Fault.NO_WHITE);
    }

    /** Where nothing is told apart from what surrounds it no paper is found. */
    @Test
    void aPictureOfNothingHasNoPaper() {
        float[] grey = new float[300 * 200];
        java.util.Arrays.fill(grey, 0.3f);
        Raster plane = Raster.over(300, 200, grey);
        assertThat(PaperFinder.in(new ColourRaster(plane, plane, plane))).isEmpty();
    }

    private interface Change {
        double of(double x, double y, double light);
    }

    private static ColourRaster changed(ColourRaster from, Change change) {
        Raster[] planes = new Raster[3];
        for (int c = 0; c < 3; c++) {
            float[] samples = from.channel(c).samples().clone();
            for (int i = 0; i < samples.length; i++) {
                samples[i] = (float) change.of(
                        (i % from.width() + 0.5) / from.width(), (i / from.width() + 0.5) / from.height(), samples[i]);
            }
            planes[c] = Raster.over(from.width(), from.height(), samples);
        }
        return new ColourRaster(planes[0], planes[1], planes[2]);
    }
}
