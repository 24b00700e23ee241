package keyslate.core.size;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import keyslate.core.size.CutSearch.Cut;
import keyslate.core.size.CutSearch.Node;

/**
 * The order of the cuts of one tree: in a run all cuts that can be made at one fence distance are made, also those that
 * the run itself makes possible; depth-first over the next distance finds the fewest runs.
 */
final class CutOrder {
    private List<List<Cut>> best;

    private CutOrder() {}

    static List<List<Cut>> fewestRuns(Node tree) {
        CutOrder order = new CutOrder();
        List<Cut> open = new ArrayList<>();
        addIfCut(tree, open);
        order.go(open, new ArrayList<>());
        return order.best;
    }

    private void go(List<Cut> open, List<List<Cut>> made) {
        if (best != null && made.size() >= best.size()) {
            return;
        }
        if (open.isEmpty()) {
            best = List.copyOf(made);
            return;
        }
        TreeSet<Long> fences = new TreeSet<>();
        open.forEach(c -> fences.add(c.fence()));
        for (long fence : fences) {
            List<Cut> run = new ArrayList<>();
            List<Cut> later = new ArrayList<>();
            List<Cut> ready = new ArrayList<>(open);
            while (!ready.isEmpty()) {
                Cut cut = ready.remove(0);
                if (cut.fence() != fence) {
                    later.add(cut);
                    continue;
                }
                run.add(cut);
                addIfCut(cut.near(), ready);
                addIfCut(cut.far(), ready);
            }
            made.add(run);
            go(later, made);
            made.remove(made.size() - 1);
        }
    }

    private static void addIfCut(Node node, List<Cut> to) {
        if (node instanceof Cut cut) {
            to.add(cut);
        }
    }
}
