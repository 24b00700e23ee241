package keyslate.server.bench;

import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.exposure.ApertureMark;
import keyslate.server.Clocks;
import keyslate.server.bench.BenchViews.BathView;
import keyslate.server.bench.BenchViews.BenchView;
import keyslate.server.bench.BenchViews.EnlargerView;
import keyslate.server.bench.BenchViews.LensView;
import keyslate.server.bench.BenchViews.PaperView;
import keyslate.server.bench.BenchViews.StoresView;
import keyslate.server.slate.SlateAssembler;
import keyslate.store.bench.Bath;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.slate.SlateRepository;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Home and stores. */
@RestController
class BenchController {
    /** A sheet of 20.3 × 25.4 cm, the unit in which printers count what a bath still takes. */
    private static final double COUNTED_SHEET_M2 = 0.0516128;

    private final SlateRepository slates;
    private final StoresRepository stores;
    private final SlateAssembler assembler;
    private final Clock clock;
    private final boolean demo;

    BenchController(
            SlateRepository slates,
            StoresRepository stores,
            SlateAssembler assembler,
            Clock clock,
            @Value("${keyslate.demo:false}") boolean demo) {
        this.slates = slates;
        this.stores = stores;
        this.assembler = assembler;
        this.clock = clock;
        this.demo = demo;
    }

    @GetMapping("/api/bench")
    BenchView bench() {
        return new BenchView(
                slates.all().stream().map(assembler::card).toList(),
                stores.baths().stream().map(BenchController::view).toList(),
                papers(),
                Clocks.now(clock),
                demo);
    }

    @GetMapping("/api/stores")
    StoresView stores() {
        return new StoresView(
                stores.enlargers().stream()
                        .map(e -> new EnlargerView(
                                e.id(), e.name(), e.head(), e.lagSeconds(), e.lagSource(), e.columnMm()))
                        .toList(),
                stores.lenses().stream().map(BenchController::view).toList(),
                papers(),
                Arrays.stream(GradeFilter.values()).map(GradeFilter::label).toList());
    }

    private List<PaperView> papers() {
        return stores.papers().stream().map(BenchController::view).toList();
    }

    private static PaperView view(Paper p) {
        return new PaperView(
                p.id(),
                p.name(),
                p.base(),
                p.batch(),
                p.widthMm(),
                p.heightMm(),
                p.sheetsInBox(),
                p.sheetsLeft(),
                p.reserveSheets());
    }

    private static LensView view(Lens l) {
        List<Double> marks = ApertureMark.ring(l.openMark(), l.smallestMark(), l.marksPerStop()).stream()
                .map(ApertureMark::engraved)
                .toList();
        return new LensView(l.id(), l.name(), l.focalMm(), l.coversMm(), l.marksPerStop(), marks);
    }

    private static BathView view(Bath b) {
        double left = Math.max(0, b.capacityM2() - b.usedM2());
        return new BathView(
                b.id(), b.name(), b.mixedAt(), b.capacityM2(), b.usedM2(), b.usedM2() / b.capacityM2(), (int)
                        Math.floor(left / COUNTED_SHEET_M2));
    }
}
