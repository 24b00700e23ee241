package keyslate.server.test;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import keyslate.core.light.Light;
import keyslate.core.test.PacksAround;
import keyslate.core.test.PieceMarks;
import keyslate.core.test.PiecesPlan;
import keyslate.core.test.TestScript;
import keyslate.server.Show;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetViews.SheetView;
import keyslate.server.stores.Holders;
import keyslate.store.bench.StoresRepository;
import keyslate.store.json.StoredTest;
import org.springframework.stereotype.Component;

/** Separate pieces of paper with different times or lights. */
@Component
final class PiecesKind extends TestKind<PiecesPlan> {
    private final StoresRepository stores;

    PiecesKind(StoresRepository stores) {
        super(PiecesPlan.class, StoredTest.PIECES, "p", "Pieces", "Pieces");
        this.stores = stores;
    }

    /** Pieces of packs are looked at on the rose. */
    @Override
    public String lookedAtStation(Rig rig) {
        boolean packs = rig.recipe().test() instanceof PiecesPlan plan && !plan.isOfOneLight() && hasColour(rig);
        return packs ? "colour" : super.lookedAtStation(rig);
    }

    @Override
    int order() {
        return 6;
    }

    @Override
    TestPlaces.Lie lie(Rig rig, PiecesPlan plan, TestPlaces places) {
        refuseIfLarger(rig, plan.patch().inMm(), plan.breadth().inMm());
        return places.spot(plan.pieces(), plan.patch(), plan.breadth(), plan.spot());
    }

    @Override
    String cannotShow(Rig rig, PiecesPlan plan) {
        return "Pieces show one spot alone, and each is handled for itself: what differs in the developer shows too."
                + plan.around().map(a -> " " + a.isBlindTo()).orElse("").stripTrailing();
    }

    @Override
    List<String> notes(Rig rig, PiecesPlan plan, TestPlaces places, TestPlaces.Lie lie) {
        List<String> notes = new ArrayList<>(ofSpot(rig, places, lie));
        Holders.of(stores).drum().ifPresent(drum -> notes.add(loads(drum, plan.pieces())));
        Double price = rig.paper().sheetPrice();
        if (price != null) {
            notes.add(String.format(
                    Locale.ROOT, "Paper for it: %.2f, by the price of a sheet.", price * lie.paperShare()));
        }
        return notes;
    }

    /** A drum against the pieces. */
    private static String loads(Holders.Drum drum, int pieces) {
        int holds = drum.pieces();
        int loads = (pieces + holds - 1) / holds;
        return drum.name() + " holds " + holds + " at once: " + pieces + " pieces are "
                + (loads == 1 ? "one load." : loads + " loads, each handled for itself.");
    }

    @Override
    String headline(PiecesPlan plan, TestScript script) {
        if (plan.around().isPresent()) {
            return around(plan.around().get(), script);
        }
        if (plan.lights().isEmpty()) {
            List<TestScript.Patch> patches = script.patches();
            return patches.size() + " pieces, "
                    + fromTo(
                            patches.get(0).total().inSeconds(),
                            patches.get(patches.size() - 1).total().inSeconds())
                    + ".";
        }
        return plan.lights().size() + " pieces, "
                + plan.lights().stream().map(Light::notation).collect(Collectors.joining(", ")) + ".";
    }

    private static String around(PacksAround around, TestScript script) {
        String middle = script.patches().get(0).light().notation();
        String what = switch (around.kind()) {
            case RING -> "round ";
            case GRID -> "in a grid about ";
            case LADDER -> "on a ladder about ";
        };
        return around.count() + " pieces " + what + middle + ", " + Show.number(around.step()) + " points apart.";
    }

    @Override
    String why(Rig rig, PiecesPlan plan, TestScript script) {
        String told = switch (plan.marks()) {
            case CORNERS -> "Clip each as the list says before its light";
            case NIPS -> "Nip each on a short edge as the list says before its light";
            case ORDER -> "Keep them in their order";
        };
        return told + (plan.marks() == PieceMarks.Way.ORDER ? "" : ", so that it can be told from the others") + ". "
                + Show.seconds(script.totalSetSeconds()) + " under the lamp.";
    }

    @Override
    public String summary(Rig rig, SheetView sheet) {
        List<String> names = sheet.patches().stream().map(p -> p.name()).toList();
        return names.get(0).isEmpty()
                ? super.summary(rig, sheet)
                : names.size() > 3 ? names.size() + " lights" : String.join(", ", names);
    }

    @Override
    String lookFor() {
        return "Lay the pieces side by side and look for the right one.";
    }
}
