package keyslate.server.benchmark;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The kernels as JMH measured them, against a plain copy of the same picture and against ImageMagick applying one
 * colour lookup to a picture of the same size.
 */
final class KernelFigures {
    private static final String COPY = "kernelCopyOfMono960";

    private KernelFigures() {}

    static void add(Path jmh, Map<String, Double> figures) throws IOException, InterruptedException {
        for (JsonNode run : JsonMapper.shared().readTree(Files.readString(jmh))) {
            String method = run.get("benchmark").asString().replaceAll(".*\\.", "");
            String name = "kernel" + Character.toUpperCase(method.charAt(0)) + method.substring(1);
            figures.put(name + "Ms", run.get("primaryMetric").get("score").asDouble());
        }
        OptionalDouble lookup = ImageMagickLookup.milliseconds();
        lookup.ifPresent(ms -> figures.put("imageMagickLookup960Ms", ms));
        for (String kernel : new String[] {"kernelMono960", "kernelColour960"}) {
            double ms = figures.get(kernel + "Ms");
            // A colour picture has three planes, the copy one.
            double planes = kernel.contains("Colour") ? 3 : 1;
            figures.put(kernel + "OverCopyRatio", ms / (planes * figures.get(COPY + "Ms")));
            lookup.ifPresent(other -> figures.put(kernel + "OverImageMagickLookupRatio", ms / other));
        }
    }
}
