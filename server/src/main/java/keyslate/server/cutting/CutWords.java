package keyslate.server.cutting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import keyslate.core.quantity.Length;
import keyslate.core.size.CutPlan;
import keyslate.core.size.PaperCutting;
import keyslate.core.size.PaperCutting.Place;
import keyslate.core.size.PaperCutting.Ribbon;
import keyslate.core.size.PaperCutting.Wanted;
import keyslate.core.size.Transport;
import keyslate.server.Show;
import keyslate.server.Spoken;
import keyslate.server.cutting.CuttingViews.Beginning;
import keyslate.server.cutting.CuttingViews.CutPlace;
import keyslate.server.cutting.CuttingViews.CutView;
import keyslate.server.cutting.CuttingViews.FenceStep;
import keyslate.server.stores.Transports;
import keyslate.store.bench.Thing;

/** A plan of cuts in words: to read, to memorise, to hear in the dark. */
final class CutWords {
    private static final double SAME_MM = 0.0005;
    private static final Map<String, Double> MM = Map.of("mm", 1.0, "cm", 10.0, "in", 25.4);

    private final CuttingService.Asked job;
    private final PaperCutting plan;
    private final String unit;
    private final String room;

    CutWords(CuttingService.Asked job, PaperCutting plan, String unit, String room) {
        this.job = job;
        this.plan = plan;
        this.unit = unit;
        this.room = room;
    }

    String title() {
        return job.sheets() + " × " + job.paper().type();
    }

    CutView view(List<Thing> shelf) {
        List<Place> places = plan.layout(job.width(), job.height());
        double used = job.wanted().stream()
                .mapToDouble(w -> w.width().inMm() * w.height().inMm() * w.count())
                .sum();
        Map<Boolean, List<PaperCutting.Beginning>> others = plan.otherBeginnings(job.width(), job.height()).stream()
                .collect(Collectors.partitioningBy(PaperCutting.Beginning::comesOut));
        Double price = job.paper().sheetPrice();
        return new CutView(
                job.paper().widthMm(),
                job.paper().heightMm(),
                plan.line().isEmpty()
                        ? "Nothing to cut."
                        : plan.line().stream().map(this::fence).collect(Collectors.joining(", ")) + ".",
                headline(),
                plan.proven(),
                steps(),
                places.stream()
                        .map(p -> new CutPlace(
                                p.name(),
                                p.left().inMm(),
                                p.top().inMm(),
                                p.width().inMm(),
                                p.height().inMm()))
                        .toList(),
                used / (job.paper().widthMm() * job.paper().heightMm()),
                offcuts(places),
                others.get(false).stream()
                        .map(s -> fence(s.fence()) + " first, and the pieces come out no more.")
                        .toList(),
                others.get(true).stream()
                        .map(b -> new Beginning(b.fence().inMm(), fence(b.fence())))
                        .toList(),
                feeds(shelf),
                unit,
                room,
                price == null ? null : price * job.sheets());
    }

    private String headline() {
        int settings = plan.settings().size();
        if (settings == 0) {
            return "It is the sheet itself.";
        }
        return (settings == 1 ? "One setting, " : settings + " settings, ") + plan.cuts()
                + (plan.cuts() == 1 ? " cut" : " cuts") + " a sheet"
                + (plan.proven() ? "" : "; good, not proven best")
                + job.first()
                        .map(f -> "; the order is changed, " + fence(f) + " first")
                        .orElse("")
                + ".";
    }

    /** The fence's distance in the unit the user likes: to a tenth, an inch to a hundredth. */
    private String fence(Length fence) {
        double inUnit = fence.inMm() / MM.get(unit);
        return "in".equals(unit) ? Show.factor(inUnit) : Show.number(inUnit);
    }

    private String size(double longMm, double shortMm) {
        return fence(Length.ofMm(longMm)) + " × " + fence(Length.ofMm(shortMm));
    }

    private List<FenceStep> steps() {
        List<FenceStep> steps = new ArrayList<>();
        double stands = 0;
        for (CutPlan.Run run : plan.plan().runs()) {
            boolean again = isAt(stands, run.fence());
            steps.add(new FenceStep(
                    run.fence().inMm(),
                    fence(run.fence()),
                    again,
                    words(run),
                    run.cuts().size() * job.sheets(),
                    said(run, again)));
            stands = run.fence().inMm();
        }
        for (List<Ribbon> same : ribbons().values()) {
            Ribbon ribbon = same.get(0);
            boolean again = isAt(stands, ribbon.fence());
            int cuts = same.stream().mapToInt(Ribbon::cuts).sum();
            steps.add(new FenceStep(
                    ribbon.fence().inMm(),
                    fence(ribbon.fence()),
                    again,
                    ribbon.name() + ": off with each " + ribbon.of(),
                    cuts * job.sheets(),
                    fenceSaid(ribbon.fence(), again).say("ribbon-to-end").clips()));
            stands = ribbon.fence().inMm();
        }
        return steps;
    }

    private Map<String, List<Ribbon>> ribbons() {
        return plan.ribbons().stream()
                .collect(Collectors.groupingBy(Ribbon::name, LinkedHashMap::new, Collectors.toList()));
    }

    private static boolean isAt(double standsMm, Length fence) {
        return Math.abs(standsMm - fence.inMm()) < SAME_MM;
    }

    private String words(CutPlan.Run run) {
        CutPlan.Cut first = run.cuts().get(0);
        String what = (job.sheets() > 1 ? job.sheets() + " × " : "") + size(longer(first), shorter(first)) + ", "
                + (longSideLies(first) ? "long" : "short") + " side against the fence";
        return run.cuts().size() == 1 ? what : what + ", and " + (run.cuts().size() - 1) + " more at the same distance";
    }

    private static double longer(CutPlan.Cut cut) {
        return Math.max(cut.width().inMm(), cut.height().inMm());
    }

    private static double shorter(CutPlan.Cut cut) {
        return Math.min(cut.width().inMm(), cut.height().inMm());
    }

    /** The side along the fence is the one the fence does not measure. */
    private static boolean longSideLies(CutPlan.Cut cut) {
        double along = (cut.acrossWidth() ? cut.height() : cut.width()).inMm();
        return along >= longer(cut) - SAME_MM;
    }

    private List<String> said(CutPlan.Run run, boolean again) {
        Spoken spoken =
                fenceSaid(run.fence(), again).say(longSideLies(run.cuts().get(0)) ? "long-side-on" : "short-side-on");
        int strokes = run.strokes();
        return strokes == 1
                ? spoken.say("cut-once").clips()
                : spoken.say("cut").number(strokes).say("times").clips();
    }

    private Spoken fenceSaid(Length fence, boolean again) {
        Spoken spoken = new Spoken();
        return again ? spoken.say("fence-stays") : spoken.say("fence-to").length(fence.inMm() / MM.get(unit), unit);
    }

    /** "3 of 178 × 46 mm". */
    private List<String> offcuts(List<Place> places) {
        Map<String, Integer> counted = new LinkedHashMap<>();
        for (Place p : places) {
            if (p.name().isEmpty()) {
                double a = p.width().inMm();
                double b = p.height().inMm();
                String size = size(Math.max(a, b), Math.min(a, b)) + " " + unit;
                counted.merge(size, job.sheets(), Integer::sum);
            }
        }
        return counted.entrySet().stream()
                .map(e -> e.getValue() + " of " + e.getKey())
                .toList();
    }

    private List<String> feeds(List<Thing> shelf) {
        List<String> words = new ArrayList<>();
        for (Transports.Named machine : Transports.of(shelf)) {
            for (Wanted piece : job.wanted()) {
                words.add(piece.name() + " in " + machine.name() + ": "
                        + machine.transport()
                                .load(piece.width(), piece.height())
                                .map(CutWords::loadWords)
                                .orElse("does not fit")
                        + ".");
            }
        }
        return words;
    }

    private static String loadWords(Transport.Load load) {
        return (load.lead() == Transport.Lead.LONG ? "long side first, " : "short side first, ")
                + (load.atOnce() == 1 ? "one at a time" : load.atOnce() + " at once");
    }
}
