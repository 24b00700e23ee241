package keyslate.server.benchmark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** How figures are named and put together. */
class FiguresTest {
    @Test
    void aRankIsTheSmallestValueThatSoManyLieBelow() {
        double[] values = {5, 1, 4, 2, 3};
        assertThat(RequestFigures.rank(values, 0.5)).isEqualTo(3);
        assertThat(RequestFigures.rank(values, 0.95)).isEqualTo(5);
        assertThat(RequestFigures.rank(values, 0)).isEqualTo(1);
        assertThat(values).containsExactly(5, 1, 4, 2, 3);
    }

    @Test
    void kernelsAreNamedWithTheirUnitAndSetAgainstACopy(@TempDir Path folder) throws Exception {
        Path jmh = folder.resolve("kernels.json");
        Files.writeString(jmh, """
                [{"benchmark": "keyslate.core.darkroom.KernelBenchmark.mono960", "primaryMetric": {"score": 10.0}},
                 {"benchmark": "keyslate.core.darkroom.KernelBenchmark.colour960", "primaryMetric": {"score": 24.0}},
                 {"benchmark": "keyslate.core.darkroom.KernelBenchmark.copyOfMono960", "primaryMetric": {"score": 0.8}}]
                """);
        Map<String, Double> figures = new LinkedHashMap<>();
        KernelFigures.add(jmh, figures);
        assertThat(figures).containsEntry("kernelMono960Ms", 10.0).containsEntry("kernelColour960Ms", 24.0);
        assertThat(figures.get("kernelMono960OverCopyRatio")).isCloseTo(12.5, within(1e-9));
        assertThat(figures.get("kernelColour960OverCopyRatio")).isCloseTo(10, within(1e-9));
    }

    @Test
    void aLookupTakesItsTimeWhereImageMagickIsInstalled() throws IOException, InterruptedException {
        OptionalDouble lookup = ImageMagickLookup.milliseconds();
        assumeThat(lookup).isPresent();
        assertThat(lookup.getAsDouble()).isBetween(0.1, 1000.0);
    }
}
