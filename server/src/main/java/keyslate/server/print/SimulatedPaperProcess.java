package keyslate.server.print;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import keyslate.core.darkroom.LaidPieces;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.SheetLight;
import keyslate.core.darkroom.StandInEquipment;
import keyslate.core.exposure.LampLag;
import keyslate.core.medium.Medium;
import keyslate.core.script.Part;
import keyslate.server.negative.Negatives;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.Patches;
import keyslate.store.bench.Bath;
import keyslate.store.bench.StoresRepository;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.Piece;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Stands in for paper, developer and scanner in the practice darkroom. What the paper really is comes from its batch and is told to nobody. */
@Component
@ConditionalOnProperty("keyslate.practice")
class SimulatedPaperProcess implements PaperProcess {
    private static final double MOST_USED = 1.2;

    private final Negatives negatives;
    private final StoresRepository stores;

    SimulatedPaperProcess(Negatives negatives, StoresRepository stores) {
        this.negatives = negatives;
        this.stores = stores;
    }

    @Override
    public Optional<Look> process(ExposedSheet sheet, Rig rig) {
        Medium medium = rig.medium().core();
        return negatives.negative(rig.subject(), medium).map(negative -> {
            StandInEquipment real = SimulatedEquipment.of(rig.enlarger(), rig.lens());
            List<Look> pieces = sheet.pieces().stream()
                    .map(piece -> scan(sheet, piece, rig, negative, real))
                    .toList();
            return LaidPieces.picture(pieces, Patches.layout(rig, pieces.size()));
        });
    }

    private Look scan(ExposedSheet sheet, Piece piece, Rig rig, Negative negative, StandInEquipment real) {
        Part view = piece.view();
        Negative part = negative.cropped(view.left(), view.top(), view.width(), view.height());
        SheetLight light = LightGiven.of(
                        sheet,
                        piece,
                        rig,
                        LampLag.ofSeconds(real.lagSeconds()),
                        opening -> real.logPerSecond(rig.mark(opening), rig.projection()))
                .lying(real.evenness(rig.crop()));
        long box = SimulatedEquipment.seed(rig.paper().name() + rig.paper().batch());
        return rig.medium()
                .core()
                .standIn()
                .scan(part, rig.view(view), light, box, developerUsed(rig), light.hashCode());
    }

    /** The share of the developer's capacity that is used up; fresh when no bath is on record. */
    private double developerUsed(Rig rig) {
        return stores.baths().stream()
                .filter(b -> b.process().equals(rig.medium().id()))
                .min(Comparator.comparingInt(Bath::place))
                .map(bath -> Math.min(MOST_USED, bath.usedM2() / bath.capacityM2()))
                .orElse(0.0);
    }
}
