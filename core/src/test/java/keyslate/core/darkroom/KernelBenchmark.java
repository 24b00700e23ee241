package keyslate.core.darkroom;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.SheetExposure.Area;
import keyslate.core.darkroom.SheetExposure.Burst;
import keyslate.core.local.AreaMask;
import keyslate.core.local.AreaShape.Ellipse;
import keyslate.core.local.AreaShape.Point;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The pixel loops behind a preview and a simulated sheet, at the size of a preview. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class KernelBenchmark {
    private static final int WIDTH = 960;
    private static final int HEIGHT = 768;
    private final AreaMask.View view = new AreaMask.View(0, 0, 1, 1, 1.25);
    private final MonoPrint print = new MonoPrint(new VariableContrastPaper());
    private final Area area = new Area(new Ellipse(new Point(0.5, 0.5), 0.2, 0.2), 0.05);
    private final Raster negative = negative();
    private final SheetExposure plain = new SheetExposure(-0.3, List.of(Burst.whole(GradeFilter.G2_5, 8)));
    private final SheetExposure shaped = new SheetExposure(
            -0.3,
            List.of(
                    new Burst(GradeFilter.G2_5, 3, List.of(area), Optional.empty(), Optional.empty()),
                    Burst.whole(GradeFilter.G2_5, 5),
                    new Burst(GradeFilter.G0, 4, List.of(), Optional.of(area), Optional.empty())));

    @Benchmark
    public byte[] previewOfAStraightPrint() {
        return print.printGrey(negative, view, plain, PaperTruth.asLabelled());
    }

    @Benchmark
    public byte[] previewWithLocalWork() {
        return print.printGrey(negative, view, shaped, PaperTruth.asLabelled());
    }

    @Benchmark
    public Raster sheetInDensities() {
        return print.print(negative, view, shaped, PaperTruth.asLabelled());
    }

    @Benchmark
    public float[] maskOfAnEllipse() {
        return AreaMask.rasterise(area.shape(), area.softEdge(), view, WIDTH / 4, HEIGHT / 4);
    }

    @Benchmark
    public Raster reducedForAPreview() {
        return negative.reducedTo(WIDTH / 2);
    }

    private static Raster negative() {
        float[] samples = new float[WIDTH * HEIGHT];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = 0.3f + 1.2f * ((i * 31) % 1009) / 1009f;
        }
        return Raster.over(WIDTH, HEIGHT, samples);
    }
}
