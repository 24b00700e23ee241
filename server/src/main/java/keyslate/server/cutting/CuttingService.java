package keyslate.server.cutting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;
import keyslate.core.size.PaperCutting;
import keyslate.core.size.PaperCutting.Wanted;
import keyslate.server.Show;
import keyslate.server.cutting.CuttingViews.CutDone;
import keyslate.server.cutting.CuttingViews.CutView;
import keyslate.server.cutting.CuttingViews.CuttingAsked;
import keyslate.server.cutting.CuttingViews.WantedAsked;
import keyslate.server.medium.Media;
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

    private final Database database;
    private final StoresRepository stores;
    private final StoresService shelves;
    private final Media media;

    CuttingService(Database database, StoresRepository stores, StoresService shelves, Media media) {
        this.database = database;
        this.stores = stores;
        this.shelves = shelves;
        this.media = media;
    }

    /** What was asked, checked. */
    record Asked(Paper paper, List<Wanted> wanted, int sheets, Optional<Length> first) {
        Length width() {
            return Length.ofMm(paper.widthMm());
        }

        Length height() {
            return Length.ofMm(paper.heightMm());
        }
    }

    CutView view(CuttingAsked asked) {
        return words(asked).view(stores.things());
    }

    /** The plan on a card, as a PDF. */
    byte[] card(CuttingAsked asked) {
        CutWords words = words(asked);
        return new CuttingCard(words.view(stores.things()), words.title()).pdf();
    }

    private CutWords words(CuttingAsked asked) {
        Asked job = checked(asked.paperId(), asked.wanted(), asked.sheets(), asked.firstMm());
        return new CutWords(
                job, planned(job), unit(), media.of(job.paper().kind()).room());
    }

    private String unit() {
        return stores.preference("LENGTH").orElse("cm");
    }

    StoresView done(CutDone asked) {
        Asked job = checked(asked.paperId(), asked.wanted(), asked.sheets(), null);
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
        PaperCutting plan = PaperCutting.of(job.width(), job.height(), job.wanted(), job.first())
                .orElse(null);
        if (plan == null) {
            errors.add(
                    job.first().isPresent() ? "/firstMm" : "/wanted",
                    "E_INFEASIBLE",
                    "These pieces do not come out"
                            + job.first()
                                    .map(f -> " any more after " + Show.number(f.inMm()) + " mm first")
                                    .orElse("")
                            + ", of a sheet of "
                            + Show.number(job.paper().widthMm()) + " × "
                            + Show.number(job.paper().heightMm()) + " mm.");
        }
        errors.throwIfAny();
        return plan;
    }

    private Asked checked(
            @Nullable String paperId,
            @Nullable List<WantedAsked> wanted,
            @Nullable Integer sheets,
            @Nullable Double firstMm) {
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
        Optional<Length> first = Optional.ofNullable(firstMm).map(mm -> Length.ofMm(side(errors, "/firstMm", mm)));
        errors.throwIfAny();
        return new Asked(paper, pieces, count, first);
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
}
