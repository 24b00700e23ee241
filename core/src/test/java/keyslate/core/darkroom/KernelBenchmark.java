package keyslate.core.darkroom;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.RingAround;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.Reach.Area;
import keyslate.core.local.AreaMask;
import keyslate.core.local.AreaShape.Ellipse;
import keyslate.core.local.AreaShape.Point;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.Stops;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * The pixel loops behind a preview and a simulated sheet, one thread, without encoding. The name of each is the name
 * of its figure in {@code ./slate bench --json}, which adds the unit. The collector is the application's.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(
        value = 1,
        jvmArgs = {"-Xmx1g", "-XX:+UseSerialGC"})
public class KernelBenchmark {
    private static final int WIDTH = 960;
    private static final int HEIGHT = 640;
    private static final int AREAS = 8;
    private static final AreaMask.View VIEW = new AreaMask.View(0, 0, 1, 1, 1.5);
    private static final FilterPack PACK = FilterPack.of(0, 50, 60);

    private final MonoPrint mono = new MonoPrint(new VariableContrastPaper());
    private final ColourPrint colour = new ColourPrint();
    private final Raster negative = negative(WIDTH, HEIGHT, 0.3f);
    private final ColourRaster colourNegative = colourNegative(WIDTH, HEIGHT);
    private final ColourRaster small = colourNegative(240, 160);
    private final SheetExposure straight =
            new SheetExposure(-0.3, List.of(SheetExposure.Burst.whole(GradeFilter.G2_5, 8)));
    private final SheetExposure shaped = new SheetExposure(-0.3, monoBursts());
    private final ColourSheet colourShaped = new ColourSheet(0, 3200, FilterSet.DICHROIC, colourBursts());
    private final List<RingAround.Patch> ring = RingAround.plan(
            PACK, ExposureTime.ofSeconds(10), 5, 3, false, List.of(), FilterSet.DICHROIC, FilterSet.Weights.VISUAL);

    /** Only for {@link #mono24Mp}: 96 MB that the others must not carry. */
    @State(Scope.Benchmark)
    public static class Large {
        private final Raster negative = negative(6000, 4000, 0.3f);
    }

    @Benchmark
    public byte[] mono960() {
        return mono.printGrey(negative, VIEW, shaped, PaperTruth.asLabelled());
    }

    @Benchmark
    public byte[] mono960Straight() {
        return mono.printGrey(negative, VIEW, straight, PaperTruth.asLabelled());
    }

    @Benchmark
    public Raster mono960Densities() {
        return mono.print(negative, VIEW, shaped, PaperTruth.asLabelled());
    }

    @Benchmark
    public ColourPrint.Picture colour960() {
        return colour.print(colourNegative, VIEW, colourShaped, ColourTruth.asLabelled());
    }

    @Benchmark
    public List<ColourPrint.Picture> ring19Patches240() {
        return ring.stream()
                .map(p -> colour.print(
                        small, VIEW, ColourSheet.straight(p.pack(), p.time().inSeconds()), ColourTruth.asLabelled()))
                .toList();
    }

    @Benchmark
    public byte[] mono24Mp(Large large) {
        return mono.printGrey(large.negative, VIEW, shaped, PaperTruth.asLabelled());
    }

    @Benchmark
    public float[] maskOfAnEllipse() {
        Area area = area(0);
        return AreaMask.rasterise(area.shape(), area.softEdge(), VIEW, WIDTH / 4, HEIGHT / 4);
    }

    @Benchmark
    public Raster reducedForAPreview() {
        return negative.reducedTo(WIDTH / 2);
    }

    /** What no loop over the same picture can beat: its densities copied. */
    @Benchmark
    public float[] copyOfMono960() {
        return negative.samples().clone();
    }

    private static Area area(int i) {
        return new Area(new Ellipse(new Point(0.15 + 0.1 * i, 0.3 + 0.05 * i), 0.12, 0.1), 0.05);
    }

    /** Four holds, two at a time, and four burns, one of them at another grade. */
    private static List<SheetExposure.Burst> monoBursts() {
        List<SheetExposure.Burst> bursts = new ArrayList<>();
        bursts.add(new SheetExposure.Burst(GradeFilter.G2_5, 2, Reach.holding(List.of(area(0), area(1)))));
        bursts.add(new SheetExposure.Burst(GradeFilter.G2_5, 2, Reach.holding(List.of(area(2), area(3)))));
        bursts.add(SheetExposure.Burst.whole(GradeFilter.G2_5, 5));
        IntStream.range(4, AREAS)
                .mapToObj(i ->
                        new SheetExposure.Burst(i == 7 ? GradeFilter.G0 : GradeFilter.G2_5, 4, Reach.burn(area(i))))
                .forEach(bursts::add);
        return bursts;
    }

    private static List<ColourSheet.Burst> colourBursts() {
        List<ColourSheet.Burst> bursts = new ArrayList<>();
        bursts.add(new ColourSheet.Burst(PACK, 2, Reach.holding(List.of(area(0), area(1)))));
        bursts.add(new ColourSheet.Burst(PACK, 2, Reach.holding(List.of(area(2), area(3)))));
        bursts.add(new ColourSheet.Burst(PACK, 6, Reach.WHOLE));
        IntStream.range(4, AREAS)
                .mapToObj(i -> new ColourSheet.Burst(PACK, 4, Reach.burn(area(i))))
                .forEach(bursts::add);
        return bursts;
    }

    private static ColourRaster colourNegative(int width, int height) {
        return new ColourRaster(
                negative(width, height, 0.3f), negative(width, height, 0.7f), negative(width, height, 0.95f));
    }

    /** A picture that no predictor learns: tones scattered over a usual range, with streaks as a photograph has. */
    private static Raster negative(int width, int height, float least) {
        float[] samples = new float[width * height];
        Stops grain = Stops.ofFraction(1, 12);
        for (int i = 0; i < samples.length; i++) {
            double wave = Math.sin(i % width / 37.0) * Math.cos(i / width / 23.0);
            double scatter = (i * 31L % 1009) / 1009.0 * grain.toLogExposure();
            samples[i] = (float) (least + 0.6 + 0.55 * wave + scatter);
        }
        return Raster.over(width, height, samples);
    }
}
