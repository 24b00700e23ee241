package keyslate.server.cutting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.core.size.CutPlan;
import keyslate.core.size.PaperCutting;
import keyslate.core.size.PaperCutting.Place;
import keyslate.core.size.PaperCutting.Ribbon;
import keyslate.core.size.PaperCutting.Wanted;
import keyslate.server.Show;
import keyslate.server.cutting.CuttingViews.CutDone;
import keyslate.server.cutting.CuttingViews.CutPlace;
import keyslate.server.cutting.CuttingViews.CutView;
import keyslate.server.cutting.CuttingViews.CuttingAsked;
import keyslate.server.cutting.CuttingViews.FenceStep;
import keyslate.server.cutting.CuttingViews.WantedAsked;
import keyslate.server.stores.StoresService;
import keyslate.server.stores.StoresViews.StoresView;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.Database;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.bench.StoresRepository.PieceStock;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Plans of cuts in words, and their pieces into the box. */
@Service
class CuttingService {
    private static final int MOST_SHEETS = 100;
    private static final int LONGEST_NAME = 20;
    private static final double SAME_MM = 0.0005;

    private final Database database;
    private final StoresRepository stores;
    private final StoresService shelves;

    CuttingService(Database database, StoresRepository stores, StoresService shelves) {
        this.database = database;
        this.stores = stores;
        this.shelves = shelves;
    }

    /** What was asked, checked. */
    private record Asked(Paper paper, List<Wanted> wanted, int sheets) {
        Length width() {
            return Length.ofMm(paper.widthMm());
        }

        Length height() {
            return Length.ofMm(paper.heightMm());
        }
    }

    CutView view(CuttingAsked asked) {
        Asked job = checked(asked.paperId(), asked.wanted(), asked.sheets());
        return view(job, planned(job));
    }

    StoresView done(CutDone asked) {
        Asked job = checked(asked.paperId(), asked.wanted(), asked.sheets());
        planned(job);
        database.inTransaction(() -> {
            stores.usePaper(job.paper().id(), job.sheets());
            Map<List<Double>, Integer> pieces = new LinkedHashMap<>();
            stores.pieces().stream()
                    .filter(p -> p.paperId().equals(job.paper().id()))
                    .forEach(p -> pieces.put(List.of(p.longMm(), p.shortMm()), p.pieces()));
            for (Wanted one : job.wanted()) {
                double a = Math.max(one.width().inMm(), one.height().inMm());
                double b = Math.min(one.width().inMm(), one.height().inMm());
                pieces.merge(List.of(a, b), one.count() * job.sheets(), Integer::sum);
            }
            pieces.forEach(
                    (size, count) -> stores.put(new PieceStock(job.paper().id(), size.get(0), size.get(1), count)));
        });
        return shelves.stores();
    }

    private PaperCutting planned(Asked job) {
        FieldErrors errors = new FieldErrors();
        PaperCutting plan =
                PaperCutting.of(job.width(), job.height(), job.wanted()).orElse(null);
        if (plan == null) {
            errors.add(
                    "/wanted",
                    "E_INFEASIBLE",
                    "These pieces do not come out of a sheet of "
                            + Show.number(job.paper().widthMm()) + " × "
                            + Show.number(job.paper().heightMm()) + " mm.");
        }
        errors.throwIfAny();
        return plan;
    }

    private Asked checked(@Nullable String paperId, @Nullable List<WantedAsked> wanted, @Nullable Integer sheets) {
        FieldErrors errors = new FieldErrors();
        Paper paper = paperId == null ? null : stores.paper(paperId).orElse(null);
        if (paper == null) {
            errors.add("/paperId", "E_SHAPE", "Choose a box.");
        }
        int count =
                sheets == null ? 1 : errors.check("/sheets", 1, () -> Check.count("sheets", sheets, 1, MOST_SHEETS));
        List<Wanted> pieces = new ArrayList<>();
        List<WantedAsked> given = wanted == null ? List.of() : wanted;
        if (given.isEmpty() || given.size() > PaperCutting.MOST_WANTED) {
            errors.add("/wanted", "E_SHAPE", "Name one to four sizes of pieces.");
        }
        for (int i = 0; i < Math.min(given.size(), PaperCutting.MOST_WANTED); i++) {
            read(errors, "/wanted/" + i, i, given.get(i), pieces);
        }
        errors.throwIfAny();
        return new Asked(paper, pieces, count);
    }

    private static void read(
            FieldErrors errors, String at, int index, @Nullable WantedAsked asked, List<Wanted> pieces) {
        if (asked == null) {
            errors.add(at, "E_SHAPE", "A size is missing.");
            return;
        }
        String given = asked.name() == null || asked.name().isBlank() ? "piece " + (char) ('A' + index) : asked.name();
        String name = Texts.checked(errors, at + "/name", given, 1, LONGEST_NAME);
        double a = side(errors, at + "/longMm", asked.longMm());
        double b = side(errors, at + "/shortMm", asked.shortMm());
        int count = errors.check(
                at + "/count",
                1,
                () -> Check.count("pieces", asked.count() == null ? 1 : asked.count(), 1, PaperCutting.MOST_OF_ONE));
        boolean taken = pieces.stream().anyMatch(p -> p.name().equals(name));
        if (taken) {
            errors.add(at + "/name", "E_SHAPE", "Another size has this name.");
        } else if (!name.isEmpty()) {
            pieces.add(new Wanted(name, Length.ofMm(a), Length.ofMm(b), count));
        }
    }

    private static double side(FieldErrors errors, String pointer, @Nullable Double mm) {
        return errors.check(pointer, 10.0, () -> Check.within("side", mm == null ? Double.NaN : mm, 10, 2000, "mm"));
    }

    private static CutView view(Asked job, PaperCutting plan) {
        List<FenceStep> steps = steps(job, plan);
        List<Place> places = plan.layout(job.width(), job.height());
        double used = job.wanted().stream()
                .mapToDouble(w -> w.width().inMm() * w.height().inMm() * w.count())
                .sum();
        String line = steps.stream()
                .filter(s -> !s.again())
                .map(s -> Show.number(s.fenceMm()))
                .collect(Collectors.joining(", "));
        int settings = (int) steps.stream().filter(s -> !s.again()).count();
        List<String> spoils = plan.spoiled(job.width(), job.height()).stream()
                .map(s -> Show.number(s.fence().inMm()) + " first, and the pieces come out no more.")
                .toList();
        return new CutView(
                job.paper().widthMm(),
                job.paper().heightMm(),
                line + ".",
                (settings == 1 ? "One setting, " : settings + " settings, ") + plan.cuts()
                        + (plan.cuts() == 1 ? " cut" : " cuts") + " a sheet"
                        + (plan.proven() ? "." : "; good, not proven best."),
                plan.proven(),
                steps,
                places.stream()
                        .map(p -> new CutPlace(
                                p.name(),
                                p.left().inMm(),
                                p.top().inMm(),
                                p.width().inMm(),
                                p.height().inMm()))
                        .toList(),
                used / (job.paper().widthMm() * job.paper().heightMm()),
                spoils);
    }

    private static List<FenceStep> steps(Asked job, PaperCutting plan) {
        List<FenceStep> steps = new ArrayList<>();
        double stands = 0;
        for (CutPlan.Run run : plan.plan().runs()) {
            double fence = run.fence().inMm();
            steps.add(new FenceStep(
                    fence,
                    Math.abs(stands - fence) < SAME_MM,
                    words(job, run),
                    run.cuts().size() * job.sheets()));
            stands = fence;
        }
        for (Map.Entry<String, List<Ribbon>> same : plan.ribbons().stream()
                .collect(Collectors.groupingBy(Ribbon::name, LinkedHashMap::new, Collectors.toList()))
                .entrySet()) {
            Ribbon ribbon = same.getValue().get(0);
            double fence = ribbon.fence().inMm();
            int cuts = same.getValue().stream().mapToInt(Ribbon::cuts).sum();
            steps.add(new FenceStep(
                    fence,
                    Math.abs(stands - fence) < SAME_MM,
                    ribbon.name() + ": off with each " + ribbon.of(),
                    cuts * job.sheets()));
            stands = fence;
        }
        return steps;
    }

    private static String words(Asked job, CutPlan.Run run) {
        CutPlan.Cut first = run.cuts().get(0);
        double along =
                first.acrossWidth() ? first.width().inMm() : first.height().inMm();
        double edge =
                first.acrossWidth() ? first.height().inMm() : first.width().inMm();
        String what = (job.sheets() > 1 ? job.sheets() + " × " : "") + Show.number(Math.max(along, edge)) + " × "
                + Show.number(Math.min(along, edge)) + ", " + (edge >= along ? "long" : "short")
                + " side against the fence";
        return run.cuts().size() == 1 ? what : what + ", and " + (run.cuts().size() - 1) + " more at the same distance";
    }
}
