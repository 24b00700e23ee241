package keyslate.server.print;

import java.util.Comparator;
import java.util.Optional;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.SheetLight;
import keyslate.core.darkroom.StandInEquipment;
import keyslate.core.exposure.LampLag;
import keyslate.core.medium.Medium;
import keyslate.core.script.Part;
import keyslate.server.negative.Negatives;
import keyslate.server.rig.Rig;
import keyslate.store.bench.Bath;
import keyslate.store.bench.StoresRepository;
import keyslate.store.slate.ExposedSheet;
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
            Part view = sheet.piece().view();
            Negative part = negative.cropped(view.left(), view.top(), view.width(), view.height());
            StandInEquipment real = SimulatedEquipment.of(rig.enlarger(), rig.lens());
            SheetLight light = LightGiven.of(
                            sheet,
                            rig,
                            LampLag.ofSeconds(real.lagSeconds()),
                            real.logPerSecond(rig.mark(), rig.projection()))
                    .lying(real.evenness(rig.crop()));
            long box = SimulatedEquipment.seed(rig.paper().name() + rig.paper().batch());
            return medium.standIn().scan(part, rig.view(view), light, box, developerUsed(rig), light.hashCode());
        });
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
