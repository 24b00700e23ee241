package keyslate.server.stores;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.process.BathCapacity;
import keyslate.core.quantity.Check;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.medium.Media;
import keyslate.server.rig.Learned;
import keyslate.server.rig.Rigs;
import keyslate.server.stores.StoresViews.BathAsked;
import keyslate.server.stores.StoresViews.BathView;
import keyslate.server.stores.StoresViews.ConstantAsked;
import keyslate.server.stores.StoresViews.ConstantView;
import keyslate.server.stores.StoresViews.EnlargerAsked;
import keyslate.server.stores.StoresViews.EnlargerView;
import keyslate.server.stores.StoresViews.LensAsked;
import keyslate.server.stores.StoresViews.LensView;
import keyslate.server.stores.StoresViews.PaperAsked;
import keyslate.server.stores.StoresViews.PaperView;
import keyslate.server.stores.StoresViews.PiecesView;
import keyslate.server.stores.StoresViews.RetiredView;
import keyslate.server.stores.StoresViews.StoresView;
import keyslate.server.stores.StoresViews.ThingAsked;
import keyslate.server.stores.StoresViews.ThingView;
import keyslate.server.stores.StoresViews.Units;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.NotFoundException;
import keyslate.server.web.Texts;
import keyslate.store.Database;
import keyslate.store.bench.Bath;
import keyslate.store.bench.BoxRepository;
import keyslate.store.bench.Constant;
import keyslate.store.bench.ConstantRepository;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.bench.StoresRepository.PieceStock;
import keyslate.store.bench.Thing;
import keyslate.store.json.StoredConstant;
import keyslate.store.slate.SheetRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** The shelves. Nothing on them is ever deleted, as sheets stand on it. */
@Service
public class StoresService {
    private static final List<String> LENGTHS = List.of("mm", "cm", "in");
    private static final List<String> TEMPERATURES = List.of("C", "F");

    private final Database database;
    private final StoresRepository stores;
    private final BoxRepository boxes;
    private final ConstantRepository constants;
    private final SheetRepository sheets;
    private final Things things;
    private final Rigs rigs;
    private final EquipmentChecks checks;
    private final Suggestions suggestions;
    private final Clock clock;
    private final boolean practice;

    StoresService(
            Database database,
            StoresRepository stores,
            BoxRepository boxes,
            ConstantRepository constants,
            SheetRepository sheets,
            Things things,
            Media media,
            Rigs rigs,
            Clock clock,
            @Value("${keyslate.practice:false}") boolean practice) {
        this.database = database;
        this.stores = stores;
        this.boxes = boxes;
        this.constants = constants;
        this.sheets = sheets;
        this.things = things;
        this.rigs = rigs;
        this.checks = new EquipmentChecks(media, practice);
        this.suggestions = new Suggestions(clock);
        this.clock = clock;
        this.practice = practice;
    }

    public StoresView stores() {
        return database.inSnapshot(this::shelves);
    }

    private StoresView shelves() {
        List<Constant> found = constants.all();
        List<Lens> lenses = stores.lenses();
        List<EnlargerView> enlargers = stores.enlargers().stream()
                .map(e -> view(e, ConstantViews.of(e, found, lenses)))
                .toList();
        List<LensView> lensViews =
                lenses.stream().map(l -> view(l, ConstantViews.of(l, found))).toList();
        List<PaperView> papers = papers(found);
        List<ThingView> things = stores.things().stream()
                .map(t -> Things.view(t, ConstantViews.of(t, found)))
                .toList();
        List<ConstantView> all = java.util.stream.Stream.of(
                        enlargers.stream().flatMap(e -> e.constants().stream()),
                        lensViews.stream().flatMap(l -> l.constants().stream()),
                        papers.stream().flatMap(p -> p.constants().stream()),
                        things.stream().flatMap(t -> t.constants().stream()))
                .flatMap(s -> s)
                .toList();
        TimeWindow window = TimeWindow.of(stores);
        return new StoresView(
                enlargers,
                lensViews,
                papers,
                baths(),
                things,
                stores.retired().stream()
                        .map(r -> new RetiredView(r.id(), r.name(), r.shelf(), r.retiredAt()))
                        .toList(),
                new Units(
                        stores.preference("LENGTH").orElse(LENGTHS.get(1)),
                        stores.preference("TEMPERATURE").orElse(TEMPERATURES.get(0)),
                        window.shortest().inSeconds(),
                        window.longest().inSeconds()),
                all.size(),
                (int) all.stream().filter(c -> c.id() != null).count(),
                suggestions.of(stores.enlargers(), lenses, found).orElse(null),
                practice);
    }

    /** The baths alone, for the Bench. */
    public List<BathView> baths() {
        return stores.baths().stream().map(StoresService::view).toList();
    }

    /** The boxes alone, for the Bench. */
    public List<PaperView> papers() {
        return papers(constants.all());
    }

    private List<PaperView> papers(List<Constant> found) {
        Map<String, String> lit = boxes.lit();
        Map<String, List<PieceStock>> pieces =
                stores.pieces().stream().collect(Collectors.groupingBy(PieceStock::paperId));
        List<Enlarger> enlargers = stores.enlargers();
        return stores.papers().stream()
                .map(p -> view(
                        p,
                        lit.get(p.id()),
                        pieces.getOrDefault(p.id(), List.of()),
                        ConstantViews.of(p, found, enlargers, this::learned)))
                .toList();
    }

    private Optional<ConstantView> learned(Paper paper, Enlarger enlarger) {
        Learned.Gathered answer = rigs.learned(paper, enlarger);
        return FilterViews.learned(answer.told().filters(), answer.slates(), enlarger);
    }

    StoresView add(EnlargerAsked asked) {
        return checked(errors -> checks.enlarger(errors, null, asked), stores::add);
    }

    StoresView change(String id, EnlargerAsked asked) {
        Enlarger before = stores.enlarger(id).orElseThrow(NotFoundException.of("enlarger"));
        return checked(errors -> checks.enlarger(errors, before, asked), stores::put);
    }

    StoresView add(LensAsked asked) {
        return checked(errors -> checks.lens(errors, null, asked), stores::add);
    }

    StoresView change(String id, LensAsked asked) {
        Lens before = stores.lens(id).orElseThrow(NotFoundException.of("lens"));
        return checked(errors -> checks.lens(errors, before, asked), stores::put);
    }

    StoresView add(PaperAsked asked) {
        return checked(errors -> checks.paper(errors, null, asked), stores::add);
    }

    StoresView change(String id, PaperAsked asked) {
        Paper before = stores.paper(id).orElseThrow(NotFoundException.of("paper"));
        return checked(errors -> checks.paper(errors, before, asked), stores::put);
    }

    StoresView add(BathAsked asked) {
        return checked(errors -> checks.bath(errors, null, stores.baths(), Clocks.now(clock), asked), stores::add);
    }

    StoresView change(String id, BathAsked asked) {
        Bath before = stores.bath(id).orElseThrow(NotFoundException.of("bath"));
        return checked(errors -> checks.bath(errors, before, stores.baths(), Clocks.now(clock), asked), stores::put);
    }

    /** Stores what was asked once every field of it can be taken. */
    private <T> StoresView checked(Function<FieldErrors, T> check, Consumer<T> store) {
        FieldErrors errors = new FieldErrors();
        T made = check.apply(errors);
        errors.throwIfAny();
        return changed(() -> store.accept(made));
    }

    StoresView pieces(String id, PiecesView asked) {
        Paper paper = stores.paper(id).orElseThrow(NotFoundException.of("paper"));
        return checked(errors -> EquipmentChecks.pieces(errors, paper, asked), (PieceStock stock) -> stores.put(stock));
    }

    StoresView add(ThingAsked asked) {
        return checked(errors -> things.added(errors, asked), (Thing thing) -> stores.put(thing));
    }

    StoresView change(String id, ThingAsked asked) {
        Thing before = stores.thing(id).orElseThrow(NotFoundException.of("thing"));
        return checked(errors -> things.changed(errors, before, asked), (Thing thing) -> stores.put(thing));
    }

    /**
     * Retires a thing or takes it into use again.
     *
     * @throws ConflictException while a sheet lies under its lamp, or when it is the last of its kind
     */
    StoresView retire(String id, boolean retired) {
        return changed(() -> {
            if (retired) {
                refuseLast(id);
                refuseUnderLamp(id);
            }
            if (!stores.retire(id, retired ? Clocks.now(clock) : null)) {
                throw new NotFoundException("There is nothing of this on the shelves.");
            }
        });
    }

    private void refuseLast(String id) {
        boolean last = isOnly(stores.enlargers().stream().map(Enlarger::id).toList(), id)
                || isOnly(stores.lenses().stream().map(Lens::id).toList(), id)
                || isOnly(stores.papers().stream().map(Paper::id).toList(), id);
        if (last) {
            throw new ConflictException(
                    "last-of-its-kind", "It is the last one. Add another before this one is retired.");
        }
    }

    private static boolean isOnly(List<String> ids, String id) {
        return ids.size() == 1 && ids.contains(id);
    }

    private void refuseUnderLamp(String id) {
        boolean inUse = sheets.exposing().stream()
                .anyMatch(s -> s.stood() != null
                        && (s.stood().enlarger().id().equals(id)
                                || s.stood().lens().id().equals(id)));
        if (inUse) {
            throw new ConflictException("sheet-under-lamp", "A sheet lies under it. Finish it or give it up first.");
        }
    }

    StoresView prefer(Units asked) {
        FieldErrors errors = new FieldErrors();
        choice(errors, "/length", asked.length(), LENGTHS);
        choice(errors, "/temperature", asked.temperature(), TEMPERATURES);
        TimeWindow window = TimeWindow.of(stores).moved(errors, asked.shortestSeconds(), asked.longestSeconds());
        errors.throwIfAny();
        return changed(() -> {
            Optional.ofNullable(asked.length()).ifPresent(unit -> stores.prefer("LENGTH", unit));
            Optional.ofNullable(asked.temperature()).ifPresent(unit -> stores.prefer("TEMPERATURE", unit));
            window.keep(stores);
        });
    }

    private static void choice(FieldErrors errors, String pointer, @Nullable String given, List<String> choices) {
        if (given != null && !choices.contains(given)) {
            errors.add(pointer, "E_SHAPE", "This choice does not exist; there are " + String.join(", ", choices) + ".");
        }
    }

    StoresView enter(String id, ConstantAsked asked) {
        FieldErrors errors = new FieldErrors();
        Entered entered = errors.check("/name", Entered.LAG, () -> EquipmentChecks.oneOf(Entered.class, asked.name()));
        if (!entered.isOf(stores, id)) {
            throw new NotFoundException("There is nothing on the shelves that has this.");
        }
        double value = errors.check(
                "/value",
                0.0,
                () -> Check.within(
                        entered.words(),
                        asked.value() == null ? Double.NaN : asked.value(),
                        entered.least(),
                        entered.most(),
                        entered.unit()));
        double limit = errors.check(
                "/limit",
                0.0,
                () -> Check.within(
                        "limit",
                        asked.limit() == null ? entered.usualLimit() : asked.limit(),
                        0,
                        entered.most(),
                        entered.unit()));
        String remark = asked.remark() == null
                ? ""
                : Texts.checked(errors, "/remark", asked.remark(), 0, EquipmentChecks.LONGEST_REMARK);
        errors.throwIfAny();
        return changed(() -> constants.add(new Constant(
                Ids.fresh(),
                id,
                "",
                entered.name(),
                Clocks.now(clock),
                Constant.ENTERED,
                StoredConstant.number(value, limit),
                null,
                remark,
                null)));
    }

    StoresView takeBack(String constantId) {
        Constant constant = constants.find(constantId).orElseThrow(NotFoundException.of("constant"));
        return changed(() -> constants.undo(constant.id(), Clocks.now(clock)));
    }

    private StoresView changed(Runnable change) {
        return database.inTransaction(() -> {
            change.run();
            return shelves();
        });
    }

    private static BathView view(Bath b) {
        double left = Math.max(0, b.capacityM2() - b.usedM2());
        return new BathView(
                b.id(),
                b.name(),
                b.process(),
                b.mixedAt(),
                b.capacityM2(),
                b.usedM2(),
                b.usedM2() / b.capacityM2(),
                (int) Math.floor(BathCapacity.sheets8x10(left) + 1e-9),
                b.leastSeconds());
    }

    private static EnlargerView view(Enlarger e, List<ConstantView> constants) {
        ConstantView lag = constants.get(0);
        return new EnlargerView(
                e.id(),
                e.name(),
                e.head(),
                e.lamp(),
                e.dials(),
                e.lagSeconds(),
                lag.source(),
                e.columnMm(),
                e.columnSource(),
                constants);
    }

    private static PaperView view(
            Paper p, @Nullable String lit, List<PieceStock> pieces, List<ConstantView> constants) {
        return new PaperView(
                p.id(),
                p.name(),
                p.kind(),
                p.base(),
                p.batch(),
                p.widthMm(),
                p.heightMm(),
                p.sheetsInBox(),
                p.sheetsLeft(),
                p.reserveSheets(),
                p.counted(),
                p.surface() == null ? "" : p.surface(),
                p.openedOn() == null ? "" : p.openedOn(),
                p.sheetPrice(),
                p.grade(),
                p.startLight(),
                lit,
                pieces.stream()
                        .map(s -> new PiecesView(s.longMm(), s.shortMm(), s.pieces()))
                        .toList(),
                constants);
    }

    private static LensView view(Lens l, List<ConstantView> constants) {
        List<Double> marks = ApertureMark.ring(l.openMark(), l.smallestMark(), l.marksPerStop()).stream()
                .map(ApertureMark::engraved)
                .toList();
        return new LensView(l.id(), l.name(), l.focalMm(), l.coversMm(), l.marksPerStop(), marks, constants);
    }
}
