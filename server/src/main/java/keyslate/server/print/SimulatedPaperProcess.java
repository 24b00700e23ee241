package keyslate.server.print;

import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.zip.CRC32;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.MonoPrint;
import keyslate.core.darkroom.PaperTruth;
import keyslate.core.darkroom.Raster;
import keyslate.core.darkroom.Scanner;
import keyslate.core.darkroom.ScannerLook;
import keyslate.core.darkroom.SheetExposure;
import keyslate.core.darkroom.SheetExposure.Burst;
import keyslate.core.exposure.LampLag;
import keyslate.core.local.AreaMask;
import keyslate.core.quantity.ExposureTime;
import keyslate.server.negative.Negatives;
import keyslate.server.slate.Rig;
import keyslate.server.slate.SlateViews.RectView;
import keyslate.store.bench.Bath;
import keyslate.store.bench.StoresRepository;
import org.springframework.stereotype.Component;

/** Stands in for paper, developer and scanner. What the paper really is comes from its batch and is told to nobody. */
@Component
class SimulatedPaperProcess implements PaperProcess {
    private static final double LAG_OFFSET_SECONDS = 0.03;
    private static final double MOST_USED = 1.2;

    private final Negatives negatives;
    private final StoresRepository stores;
    private final MonoPrint print;

    SimulatedPaperProcess(Negatives negatives, StoresRepository stores, VariableContrastPaper paper) {
        this.negatives = negatives;
        this.stores = stores;
        this.print = new MonoPrint(paper);
    }

    @Override
    public Optional<Scan> process(Rig rig, RectView view, List<Burst> bursts) {
        return negatives.negative(rig.frame()).map(negative -> {
            Raster part = negative.cropped(view.left(), view.top(), view.width(), view.height());
            AreaMask.View mask =
                    new AreaMask.View(view.left(), view.top(), view.width(), view.height(), rig.frameAspect());
            long seed = seed(rig.paper().name() + rig.paper().batch());
            PaperTruth truth = PaperTruth.ofBatch(seed, rig.enlarger().lagSeconds() + LAG_OFFSET_SECONDS)
                    .inDeveloperUsed(developerUsed());
            LampLag lag = LampLag.ofSeconds(truth.lagSeconds());
            List<Burst> received = bursts.stream().map(b -> received(b, lag)).toList();
            Raster sheet = print.print(part, mask, new SheetExposure(rig.logPerSecond(), received), truth);
            byte[] grey = Scanner.grey(sheet, ScannerLook.USUAL, seed ^ bursts.hashCode());
            return new Scan(grey, sheet.width(), sheet.height());
        });
    }

    /** The share of the developer's capacity that is used up; fresh when no bath is on record. */
    private double developerUsed() {
        return stores.baths().stream()
                .min(Comparator.comparingInt(Bath::place))
                .map(bath -> Math.min(MOST_USED, bath.usedM2() / bath.capacityM2()))
                .orElse(0.0);
    }

    private static Burst received(Burst b, LampLag lag) {
        double seconds =
                b.receivedSeconds() <= 0 ? 0 : lag.receivedSeconds(ExposureTime.ofSeconds(b.receivedSeconds()));
        return new Burst(b.filter(), seconds, b.reach());
    }

    private static long seed(String text) {
        CRC32 crc = new CRC32();
        crc.update(text.getBytes(StandardCharsets.UTF_8));
        return crc.getValue();
    }
}
