package keyslate.core.size;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.quantity.Length;
import keyslate.core.size.CutPlan.Cut;
import keyslate.core.size.CutPlan.Run;
import keyslate.core.size.PaperCutting.Ribbon;

/** Leaves out cuts that only bring a ribbon to its length: its pieces are cut off one by one, and what is left falls off (SIZ-15). */
final class OpenRibbons {
    private static final double SAME_MM = 0.0005;

    private final Length sheetWidth;
    private final Length sheetHeight;
    private final List<Run> runs;
    private final List<Ribbon> ribbons;

    private OpenRibbons(PaperCutting cutting, Length sheetWidth, Length sheetHeight) {
        this.sheetWidth = sheetWidth;
        this.sheetHeight = sheetHeight;
        this.runs = new ArrayList<>(cutting.plan().runs());
        this.ribbons = new ArrayList<>(cutting.ribbons());
    }

    /** The same in fewer settings where that can be; a first cut that was asked for stays. */
    static PaperCutting of(PaperCutting cutting, Length sheetWidth, Length sheetHeight, Optional<Length> first) {
        OpenRibbons open = new OpenRibbons(cutting, sheetWidth, sheetHeight);
        int saved = 0;
        for (int i = 0; i < open.ribbons.size(); i++) {
            saved += open.opens(i, first) ? 1 : 0;
        }
        if (saved == 0) {
            return cutting;
        }
        CutPlan plan = cutting.plan();
        List<Length> fences =
                open.runs.stream().map(Run::fence).distinct().sorted().toList();
        return new PaperCutting(
                new CutPlan(fences, plan.cuts() - saved, plan.largestOffcutSquareMm(), open.runs),
                open.ribbons,
                cutting.proven());
    }

    private boolean opens(int index, Optional<Length> first) {
        Ribbon ribbon = ribbons.get(index);
        for (int r = first.isPresent() ? 1 : 0; r < runs.size(); r++) {
            for (Cut cut : runs.get(r).cuts()) {
                if (bringsToLength(cut, runs.get(r).fence(), ribbon) && comesFromElsewhere(cut, ribbon.name())) {
                    leaveOut(r, cut);
                    ribbons.set(index, ribbon.opened());
                    return true;
                }
            }
        }
        return false;
    }

    /** A cut that leaves the ribbon at its length, and an offcut as wide as it. */
    private boolean bringsToLength(Cut cut, Length fence, Ribbon ribbon) {
        double whole = (cut.acrossWidth() ? cut.width() : cut.height()).inMm();
        double other = (cut.acrossWidth() ? cut.height() : cut.width()).inMm();
        return cut.leaves().filter(ribbon.name()::equals).isPresent()
                && cut.rest().isEmpty()
                && same(fence.inMm(), ribbon.length().inMm())
                && same(other, ribbon.side().inMm())
                && runs.stream()
                        .flatMap(r -> r.cuts().stream())
                        .noneMatch(c -> lies(c.width().inMm(), c.height().inMm(), whole - fence.inMm(), other));
    }

    /** Gives the ribbon's name to what the cut was made of: a part of an earlier cut, or the sheet itself. */
    private boolean comesFromElsewhere(Cut cut, String name) {
        double width = cut.width().inMm();
        double height = cut.height().inMm();
        for (int r = 0; r < runs.size(); r++) {
            List<Cut> cuts = runs.get(r).cuts();
            for (int i = 0; i < cuts.size(); i++) {
                Optional<Cut> named = named(cuts.get(i), runs.get(r).fence().inMm(), width, height, name);
                if (named.isPresent()) {
                    List<Cut> renamed = new ArrayList<>(cuts);
                    renamed.set(i, named.get());
                    runs.set(r, new Run(runs.get(r).fence(), renamed));
                    return true;
                }
            }
        }
        return runs.size() == 1
                && runs.get(0).cuts().size() == 1
                && lies(width, height, sheetWidth.inMm(), sheetHeight.inMm());
    }

    private static Optional<Cut> named(Cut from, double fence, double width, double height, String name) {
        double whole = (from.acrossWidth() ? from.width() : from.height()).inMm();
        double other = (from.acrossWidth() ? from.height() : from.width()).inMm();
        Optional<String> ribbon = Optional.of(name);
        if (from.leaves().isEmpty() && lies(fence, other, width, height)) {
            return Optional.of(new Cut(from.width(), from.height(), from.acrossWidth(), ribbon, from.rest()));
        }
        if (from.rest().isEmpty() && lies(whole - fence, other, width, height)) {
            return Optional.of(new Cut(from.width(), from.height(), from.acrossWidth(), from.leaves(), ribbon));
        }
        return Optional.empty();
    }

    private void leaveOut(int run, Cut cut) {
        List<Cut> left = new ArrayList<>(runs.get(run).cuts());
        left.remove(cut);
        if (left.isEmpty()) {
            runs.remove(run);
        } else {
            runs.set(run, new Run(runs.get(run).fence(), left));
        }
    }

    private static boolean lies(double a, double b, double width, double height) {
        return same(a, width) && same(b, height) || same(a, height) && same(b, width);
    }

    private static boolean same(double a, double b) {
        return Math.abs(a - b) < SAME_MM;
    }
}
