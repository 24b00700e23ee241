package keyslate.server.decide;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import keyslate.core.colour.CastEvidence;
import keyslate.core.colour.CastEvidence.Estimate;
import keyslate.core.colour.CastEvidence.SteadyError;
import keyslate.core.colour.CastLook;
import keyslate.core.colour.CastWay;
import keyslate.core.colour.FirstPack;
import keyslate.core.colour.KitFactors;
import keyslate.core.colour.NamedCast;
import keyslate.core.colour.Taste;
import keyslate.core.colour.TwoAreas;
import keyslate.core.light.Light;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.core.test.PacksAround;
import keyslate.server.PrintTurns;
import keyslate.server.decide.CastLooks.Told;
import keyslate.server.decide.DecisionViews.ColourView;
import keyslate.server.decide.DecisionViews.KitView;
import keyslate.server.decide.DecisionViews.LookedView;
import keyslate.server.decide.DecisionViews.PackPoint;
import keyslate.server.decide.DecisionViews.SteadyView;
import keyslate.server.rig.LightView;
import keyslate.server.rig.OwnPrints;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.store.bench.Kit;
import keyslate.store.bench.KitRepository;
import keyslate.store.json.SeenCast;
import keyslate.store.json.Taught;
import keyslate.store.slate.Decision;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.SheetRepository.KeptLight;
import org.springframework.stereotype.Component;

/** All looks at the colour of a slate: those at sheets on the box of paper that stands now, and what they say together. */
@Component
class ColourSoFar {
    /** What is of a kit or an eye, and not of a slate. */
    private static final List<CastWay> LEARNED = List.of(CastWay.VIEWING_FILTER, CastWay.BY_NAME);

    /** A look that comes so near needs no second thought: about what a slight cast is. */
    private static final double NEAR_POINTS = 5;

    private final SheetRepository sheets;
    private final KitRepository kits;

    ColourSoFar(SheetRepository sheets, KitRepository kits) {
        this.kits = kits;
        this.sheets = sheets;
    }

    /** What a pack begins with: the middle of own finals before this slate, else a guess at what it was begun with (COL-32). */
    private CastLook start(OnCord first) {
        Sheet sheet = first.exposed().sheet();
        List<KeptLight> earlier = sheets.lightsKeptOn(first.rig().paper().id()).stream()
                .filter(kept -> !kept.slateId().equals(sheet.slateId())
                        && kept.begunAt().compareTo(sheet.begunAt()) < 0)
                .toList();
        List<FilterPack> finals = OwnPrints.like(first.rig(), earlier).prints().stream()
                .map(kept -> kept.neutral().toPack())
                .toList();
        if (finals.isEmpty()) {
            return CastAdvice.start(first.rig().light().toPack(), CastWay.GUESSED_POINTS);
        }
        FirstPack usual = FirstPack.of(finals);
        return CastAdvice.start(usual.pack(), usual.openPoints());
    }

    /** What was known before, and every look since, the oldest first. */
    private List<CastLook> looks(List<OnCord> cord, Rig rig) {
        List<CastLook> looks = new ArrayList<>();
        List<Kit> called = kits.alsoRetired();
        for (OnCord sheet : cord) {
            if (samePaper(sheet, rig) && !sheet.rig().light().points().isEmpty()) {
                FilterPack pack = sheet.rig().light().toPack();
                if (looks.isEmpty()) {
                    looks.add(start(sheet));
                }
                casts(sheet).stream()
                        .flatMap(d -> CastLooks.kept(d.seen()).at(pack).stream())
                        .map(look -> asCalledToday(look, called))
                        .forEach(looks::add);
            }
        }
        return looks;
    }

    /** What slates before this one taught of kits and eye, for those that looks were had by. */
    private List<KitFactors> known(List<OnCord> cord, Rig rig, List<CastLook> looks) {
        Optional<Sheet> first = cord.stream()
                .filter(sheet -> samePaper(sheet, rig))
                .findFirst()
                .map(s -> s.exposed().sheet());
        return first.stream()
                .flatMap(sheet -> LEARNED.stream()
                        .flatMap(way -> looks.stream()
                                .filter(l -> l.way() == way)
                                .map(CastLook::kit)
                                .distinct()
                                .flatMap(kit -> taughtOf(way, kit, sheet).stream())))
                .toList();
    }

    private Optional<KitFactors> taughtOf(CastWay way, String kit, Sheet first) {
        List<String> names = way == CastWay.VIEWING_FILTER ? names(kit) : List.of("");
        return names.isEmpty()
                ? Optional.empty()
                : sheets.taught(way.name(), names, first.slateId(), first.begunAt())
                        .filter(Taught::isWhole)
                        .map(Taught::toCore)
                        .map(KitFactors::onAnotherSlate)
                        .map(found -> found.of(kit));
    }

    /** All names that a kit has or had; none where none is named. */
    private List<String> names(String kit) {
        return kit.isEmpty() ? List.of() : kits.find(kit).map(Kit::names).orElse(List.of(kit));
    }

    /** A look under the name that its kit has today. */
    private static CastLook asCalledToday(CastLook look, List<Kit> kits) {
        return look.kit().isEmpty()
                ? look
                : look.through(KitRepository.of(kits, look.kit()).map(Kit::name).orElse(look.kit()));
    }

    /** Looks with what earlier slates taught. */
    Estimate weighed(Hung sheet, List<CastLook> counting) {
        return CastEvidence.weighed(counting, known(sheet.cord(), sheet.before(), counting));
    }

    /** What an estimate taught that the next slate can begin with: of kits that have a name, and of this eye's names for casts. */
    List<Taught> taught(Told told, Estimate together) {
        return told.alone()
                ? List.of()
                : together.factors().stream()
                        .filter(f -> LEARNED.contains(f.way()))
                        .filter(f ->
                                f.way() != CastWay.VIEWING_FILTER || !f.kit().isEmpty())
                        .map(Taught::of)
                        .toList();
    }

    private static List<Decision> casts(OnCord sheet) {
        return sheet.exposed().decisions().stream()
                .filter(d -> Decision.CAST.equals(d.kind()))
                .toList();
    }

    private static boolean samePaper(OnCord sheet, Rig rig) {
        return sheet.rig().paper().id().equals(rig.paper().id());
    }

    /** For the rose; none before the first sheet. */
    Optional<ColourView> view(List<OnCord> cord, Rig now) {
        List<CastLook> looks = looks(cord, now);
        if (looks.isEmpty()) {
            return Optional.empty();
        }
        Estimate together = CastEvidence.weighed(looks, known(cord, now, looks));
        return Optional.of(view(together, looked(cord, now), looks));
    }

    /** The same with looks that are not taken yet, or of those alone. */
    ColourView with(Hung sheet, Told told, List<CastLook> all, Estimate together) {
        List<Looked> looked = told.alone() ? List.of() : looked(sheet.cord(), sheet.before());
        // What is asked now is asked by the names of today.
        Stream<Looked> now = looked(sheet.id(), sheet.before().light().toPack(), told, List.of());
        return view(together, Stream.concat(looked.stream(), now).toList(), all);
    }

    /** All looks that count, these among them: at this slate's sheets on the same box of paper, the oldest first, after the pack it began with. */
    List<CastLook> counting(Hung sheet, Told told) {
        List<CastLook> looks = told.alone() ? List.of() : looks(sheet.cord(), sheet.before());
        return Stream.concat(looks.stream(), told.at(sheet.before().light().toPack()).stream())
                .toList();
    }

    private static ColourView view(Estimate together, List<Looked> looked, List<CastLook> looks) {
        String kit = lastKit(looks);
        List<CastLook> throughKit = looks.stream()
                .filter(l -> l.way() == CastWay.VIEWING_FILTER && l.kit().equals(kit))
                .toList();
        return new ColourView(
                looked.stream().map(l -> l.view(together)).toList(),
                LightView.of(Light.dials(together.pack())),
                together.uncertaintyPoints(),
                together.isSettled(),
                CastAdvice.outline(together.region()),
                together.of(CastWay.VIEWING_FILTER, kit)
                        .map(k -> kit(k, throughKit, together))
                        .orElse(null),
                together.steady().map(ColourSoFar::steady).orElse(null),
                PacksAround.stepFor(together.uncertaintyPoints()),
                NamedCast.scaleFor(together.uncertaintyPoints()),
                apart(together, looked).orElse(null));
    }

    /** The kit that was looked through last; empty where none was, or none is named. */
    static String lastKit(List<CastLook> looks) {
        return looks.stream()
                .filter(l -> l.way() == CastWay.VIEWING_FILTER)
                .map(CastLook::kit)
                .reduce("", (first, last) -> last);
    }

    /** What two places that should both be neutral differ by, in words. */
    private static Optional<String> apart(Estimate together, List<Looked> looked) {
        List<Looked> second =
                looked.stream().filter(l -> l.said().area() != null).toList();
        List<CastLook> first = looked.stream()
                .filter(l -> l.said().area() == null)
                .map(Looked::look)
                .filter(l -> l.way() != CastWay.METER)
                .toList();
        if (first.isEmpty() || second.isEmpty()) {
            return Optional.empty();
        }
        TwoAreas areas = TwoAreas.of(first, second.stream().map(Looked::look).toList(), together.factors());
        if (!areas.isApart()) {
            return Optional.empty();
        }
        Taste between = new Taste(held(areas.magenta()), held(areas.yellow()));
        return Optional.of(
                "When the first place is neutral, " + second.get(0).said().area() + " is "
                        + PrintTurns.meant(new Taste(-between.magenta(), -between.yellow()))
                        + ": no pack makes both neutral. Two lights in the scene, or layers of unlike contrast; decide which one matters.");
    }

    private static double held(double points) {
        return Math.max(-Taste.MOST, Math.min(Taste.MOST, points));
    }

    private static KitView kit(KitFactors kit, List<CastLook> looks, Estimate together) {
        long near = looks.stream()
                .filter(look -> far(look, kit, together) <= NEAR_POINTS)
                .count();
        return new KitView(
                kit.kit(), kit.magentaFactor(), kit.yellowFactor(), CastAdvice.limitShare(kit), looks.size(), (int)
                        near);
    }

    /** How far a look by itself puts neutral from where all do, points. */
    private static double far(CastLook look, KitFactors kit, Estimate together) {
        FilterShift pull = kit.pull(look);
        FilterPack at = look.pack();
        return Math.hypot(
                at.inMagenta()
                        - at.inCyan()
                        + pull.inMagenta()
                        - together.region().magenta(),
                at.inYellow()
                        - at.inCyan()
                        + pull.inYellow()
                        - together.region().yellow());
    }

    private static SteadyView steady(SteadyError steady) {
        return new SteadyView(steady.magenta(), steady.yellow(), 2 * steady.spread(), steady.isFound());
    }

    /** A look as it was said, with what is weighed. */
    private record Looked(String sheetId, SeenCast said, CastLook look) {
        LookedView view(Estimate together) {
            FilterPack pack = look.pack();
            PackPoint at = new PackPoint(pack.inMagenta() - pack.inCyan(), pack.inYellow() - pack.inCyan());
            FilterShift pull =
                    together.of(look.way(), look.kit()).map(by -> by.pull(look)).orElse(FilterShift.NONE);
            return new LookedView(
                    sheetId,
                    at,
                    new PackPoint(at.magenta() + pull.inMagenta(), at.yellow() + pull.inYellow()),
                    said.magentaPoints(),
                    said.yellowPoints(),
                    said.words());
        }
    }

    private List<Looked> looked(List<OnCord> cord, Rig now) {
        List<Kit> called = kits.alsoRetired();
        return cord.stream()
                .filter(sheet -> samePaper(sheet, now))
                .flatMap(sheet -> casts(sheet).stream()
                        .flatMap(d -> looked(
                                sheet.view().id(), sheet.rig().light().toPack(), CastLooks.kept(d.seen()), called)))
                .toList();
    }

    private static Stream<Looked> looked(String sheetId, FilterPack stood, Told told, List<Kit> called) {
        List<CastLook> looks = told.at(stood);
        return IntStream.range(0, looks.size())
                .mapToObj(i -> new Looked(sheetId, told.casts().get(i), asCalledToday(looks.get(i), called)));
    }
}
