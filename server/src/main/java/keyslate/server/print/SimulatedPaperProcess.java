package keyslate.server.print;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import keyslate.core.darkroom.LaidPieces;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.SheetLight;
import keyslate.core.darkroom.StandInColourMeter;
import keyslate.core.darkroom.StandInEquipment;
import keyslate.core.exposure.LampLag;
import keyslate.core.medium.Medium;
import keyslate.core.quantity.FilterPack;
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

    @Override
    public List<Dry> dry(ExposedSheet sheet, Rig rig) {
        return negatives
                .negative(rig.subject(), rig.medium().core())
                .map(negative -> {
                    StandInEquipment real = SimulatedEquipment.of(rig.enlarger(), rig.lens());
                    return sheet.pieces().stream()
                            .map(piece -> new Dry(piece.number(), inTheHand(sheet, piece, rig, negative, real)))
                            .toList();
                })
                .orElse(List.of());
    }

    @Override
    public Optional<FilterPack> metered(Rig rig, long reading) {
        Part crop = rig.crop();
        return negatives
                .small(rig.subject(), rig.medium().core())
                .filter(Negative.Colour.class::isInstance)
                .map(n -> n.cropped(crop.left(), crop.top(), crop.width(), crop.height()))
                .map(n -> StandInColourMeter.asks((Negative.Colour) n, box(rig), reading));
    }

    private Look scan(ExposedSheet sheet, Piece piece, Rig rig, Negative negative, StandInEquipment real) {
        SheetLight light = light(sheet, piece, rig, real);
        return rig.medium()
                .core()
                .standIn()
                .scan(
                        part(negative, piece),
                        rig.view(piece.view()),
                        light,
                        box(rig),
                        developerUsed(rig),
                        light.hashCode());
    }

    private Look inTheHand(ExposedSheet sheet, Piece piece, Rig rig, Negative negative, StandInEquipment real) {
        return rig.medium()
                .core()
                .standIn()
                .seen(
                        part(negative, piece),
                        rig.view(piece.view()),
                        light(sheet, piece, rig, real),
                        box(rig),
                        developerUsed(rig));
    }

    private static Negative part(Negative negative, Piece piece) {
        Part view = piece.view();
        return negative.cropped(view.left(), view.top(), view.width(), view.height());
    }

    private static SheetLight light(ExposedSheet sheet, Piece piece, Rig rig, StandInEquipment real) {
        return LightGiven.of(
                        sheet,
                        piece,
                        rig,
                        LampLag.ofSeconds(real.lagSeconds()),
                        opening -> real.logPerSecond(rig.mark(opening), rig.projection()))
                .lying(real.evenness(rig.crop()));
    }

    private static long box(Rig rig) {
        return SimulatedEquipment.seed(rig.paper().type() + rig.paper().batch());
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
