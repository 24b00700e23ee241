package keyslate.server.contrast;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import keyslate.core.contrast.ColourHead;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.HeadTable;
import keyslate.core.contrast.SplitByStrips;
import keyslate.core.contrast.SplitExposure;
import keyslate.core.contrast.Threads;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.contrast.VariableContrastPaper.FilterLight;
import keyslate.core.light.Light;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Stops;
import keyslate.core.script.BaseExposure;
import keyslate.server.Show;
import keyslate.server.contrast.ContrastViews.ContrastAsked;
import keyslate.server.contrast.ContrastViews.ContrastProposal;
import keyslate.server.contrast.ContrastViews.DialsView;
import keyslate.server.contrast.ContrastViews.PartView;
import keyslate.server.contrast.ContrastViews.StripView;
import keyslate.server.contrast.ContrastViews.ThreadView;
import keyslate.server.contrast.ContrastViews.WantedTone;
import keyslate.server.contrast.ContrastViews.Way;
import keyslate.server.contrast.ToneGround.Thread;
import keyslate.server.rig.Grades;
import keyslate.server.rig.LightView;
import keyslate.server.web.FieldErrors;
import org.jspecify.annotations.Nullable;

/** What moved threads, a filter or two filters ask for (CON-20), and what becomes of every tone. */
final class ContrastAdvice {
    private static final double MOST_STOPS = 3;
    private static final double SHORTEST_PART = 0.1;
    /** Less than this nobody sees in a middle or a dark tone. */
    private static final double MISSED_NET = 0.04;
    /** In a light tone half of it is seen. */
    private static final double LIGHT_NET = 0.3;

    private static final double MISSED_LIGHT_NET = 0.02;

    private static final double ONE_SECOND = 1;

    private static final Map<SplitByStrips.School, String> SCHOOLS = Map.of(
            SplitByStrips.School.AS_MARKED, "Both parts as marked, added: a little dark, for each adds to the other.",
            SplitByStrips.School.OVERLAID,
                    "The soft part as marked, the hard one on top of it until the black is right.",
            SplitByStrips.School.EXACT, "Whites and black both right with what each part adds to the other.",
            SplitByStrips.School.FAIR_HALVES,
                    "Half of the light of the whites through each: equal shares of light, not of the clock.");

    private final ToneGround ground;
    private final VariableContrastPaper paper;
    private final FieldErrors errors = new FieldErrors();
    private final Map<String, Double> moved = new LinkedHashMap<>();
    private final Way way;
    private final Stops more;
    private final Optional<GradeFilter> own;
    private final GradeFilter soft;
    private final GradeFilter hard;
    private final boolean hardFirst;
    private final Optional<SplitByStrips.School> school;

    private ContrastAdvice(ToneGround ground, ContrastAsked asked) {
        this.ground = ground;
        this.school = Optional.ofNullable(asked.school());
        this.paper = ground.paper();
        this.way = asked.way() == null ? Way.ONE_FILTER : asked.way();
        this.more = Stops.of(errors.check(
                "/moreStops",
                0.0,
                () -> Check.within(
                        "change",
                        asked.moreStops() == null ? 0 : asked.moreStops(),
                        -MOST_STOPS,
                        MOST_STOPS,
                        "stops")));
        this.own = Optional.ofNullable(asked.light()).map(l -> filter("/light", l, GradeFilter.G2));
        this.soft = filter("/soft", asked.soft(), GradeFilter.G00);
        this.hard = filter("/hard", asked.hard(), GradeFilter.G5);
        this.hardFirst = Boolean.TRUE.equals(asked.hardFirst());
        List<WantedTone> threads = asked.threads() == null ? List.of() : asked.threads();
        for (int i = 0; i < threads.size(); i++) {
            move("/threads/" + i, threads.get(i));
        }
        if (soft.compareTo(hard) >= 0) {
            errors.add("/hard", "E_RANGE", "The hard filter has to be harder than the soft one.");
        }
        errors.throwIfAny();
    }

    private GradeFilter filter(String pointer, @Nullable String notation, GradeFilter usual) {
        return notation == null
                ? usual
                : errors.check(
                        pointer,
                        usual,
                        () -> ground.rig().medium().core().read(notation).toFilter());
    }

    private void move(String pointer, @Nullable WantedTone wanted) {
        boolean known = wanted != null
                && ground.threads().stream().anyMatch(t -> t.name().equals(wanted.name()));
        if (!known) {
            errors.add(pointer + "/name", "E_SHAPE", "No tone of this picture has that name.");
            return;
        }
        moved.put(
                wanted.name(),
                errors.check(
                        pointer + "/net",
                        0.0,
                        () -> Check.within(
                                "density",
                                wanted.net() == null ? Double.NaN : wanted.net(),
                                0,
                                VariableContrastPaper.NET_MAXIMUM,
                                "")));
    }

    /** What is found: the exposure to set, and all its light together. */
    record Found(BaseExposure base, FilterLight light) {}

    static Found find(ToneGround ground, ContrastAsked asked) {
        return new ContrastAdvice(ground, asked).found();
    }

    /** The tones as moved threads want them; none where no thread was moved. */
    static List<Threads.Tone> wanted(ToneGround ground, ContrastAsked asked) {
        ContrastAdvice advice = new ContrastAdvice(ground, asked);
        return advice.moved.isEmpty() ? List.of() : advice.hung().tones();
    }

    static ContrastProposal propose(ToneGround ground, ContrastAsked asked, String basis) {
        ContrastAdvice advice = new ContrastAdvice(ground, asked);
        return advice.words(advice.found(), basis);
    }

    private Found found() {
        BaseExposure base = way == Way.ONE_FILTER ? oneFilter() : twoFilters();
        for (BaseExposure.Part part : base.parts()) {
            Check.within("exposure time", part.time().inSeconds(), SHORTEST_PART, ExposureTime.LONGEST_SECONDS, "s");
        }
        return new Found(base, ToneGround.light(paper, base));
    }

    private BaseExposure stands() {
        return ground.rig().exposure();
    }

    private BaseExposure.Part one(BaseExposure base) {
        return ground.rig().medium().core().asOne(base);
    }

    private BaseExposure oneFilter() {
        BaseExposure.Part one = one(stands());
        if (moved.isEmpty() && own.isEmpty()) {
            return stands().with(one.light(), one.time().plus(more));
        }
        GradeFilter standing = one.light().toFilter();
        Threads threads = moved.isEmpty() ? anchorAlone() : hung();
        Threads.Fit fit = own.map(f -> threads.through(paper.lightThrough(f)))
                .orElseGet(() -> threads.best(standing, paper.set()));
        GradeFilter filter = threads.filterOf(fit).orElse(standing);
        return stands().with(
                        Light.filter(filter),
                        ExposureTime.ofSeconds(fit.seconds()).plus(more));
    }

    private BaseExposure twoFilters() {
        if (paper.isOfOneGrade()) {
            throw Check.infeasible("light", "two filters are for variable-contrast paper: this one has one contrast");
        }
        SplitExposure.Pair pair = school.map(this::byStrips)
                .orElseGet(() -> new SplitExposure(paper, soft.grade(), hard.grade())
                        .of(target(), ExposureTime.ofSeconds(ONE_SECOND)));
        if (Math.min(pair.softSeconds(), pair.hardSeconds()) < SHORTEST_PART) {
            throw Check.infeasible(
                    "light",
                    "one of these two filters alone does it as it stands: move a thread, put strips together, or take others");
        }
        BaseExposure.Part first = part(soft, pair.softSeconds());
        BaseExposure.Part second = part(hard, pair.hardSeconds());
        return hardFirst ? stands().split(second, first) : stands().split(first, second);
    }

    /** As strips through the two filters say (CON-21). */
    private SplitExposure.Pair byStrips(SplitByStrips.School how) {
        SplitExposure.Pair found = new SplitByStrips(paper, strip(soft), strip(hard)).pair(how);
        double factor = more.toFactor();
        return new SplitExposure.Pair(factor * found.softSeconds(), factor * found.hardSeconds());
    }

    private SplitByStrips.Marks strip(GradeFilter filter) {
        return ground.strips().apply(filter);
    }

    private static BaseExposure.Part part(GradeFilter filter, double seconds) {
        return new BaseExposure.Part(Light.filter(filter), ExposureTime.ofSeconds(seconds));
    }

    /** All the light that two filters are to give, in one second. */
    private FilterLight target() {
        double log = more.toLogExposure();
        if (moved.isEmpty() && own.isEmpty()) {
            return more(ground.stands(), log);
        }
        Threads threads = moved.isEmpty() ? anchorAlone() : hung();
        Threads.Fit fit = own.map(f -> threads.through(paper.lightThrough(f))).orElseGet(threads::bestOfAll);
        return more(fit.light(), log + Math.log10(fit.seconds()));
    }

    private static FilterLight more(FilterLight light, double log) {
        return new FilterLight(light.blueLog() + log, light.greenLog() + log);
    }

    /** The moved tones and the first one weigh most; the others stay as they are as far as they can. */
    private Threads hung() {
        List<Threads.Tone> tones = new ArrayList<>();
        for (int i = 0; i < ground.threads().size(); i++) {
            Thread thread = ground.threads().get(i);
            Double wanted = moved.get(thread.name());
            if (wanted != null) {
                tones.add(new Threads.Tone(thread.lightLog(), wanted, orDarker(thread, wanted), Threads.ANCHOR_WEIGHT));
            } else {
                tones.add(standing(thread, i == 0 ? Threads.ANCHOR_WEIGHT : 1));
            }
        }
        return new Threads(paper, tones);
    }

    /** A true black may be darker than it was named; one that was moved by hand is where it was put. */
    private static boolean orDarker(Thread thread, double wanted) {
        return thread.orDarker() && wanted == thread.wish().orElseThrow().wantedNet();
    }

    private Threads anchorAlone() {
        return new Threads(paper, List.of(standing(ground.threads().get(0), Threads.ANCHOR_WEIGHT)));
    }

    private Threads.Tone standing(Thread thread, double weight) {
        return new Threads.Tone(thread.lightLog(), ground.net(thread.lightLog(), ground.stands()), false, weight);
    }

    private ContrastProposal words(Found found, String basis) {
        List<ThreadView> threads =
                ground.threads().stream().map(t -> view(t, found.light())).toList();
        List<String> rests = new ArrayList<>(List.of(basis));
        BaseExposure.Part was = one(stands());
        BaseExposure.Part one = one(found.base());
        rests.addAll(
                FilterFactors.say(paper, was.light().toFilter(), one.light().toFilter()));
        school.ifPresent(how -> rests.add(SCHOOLS.get(how) + " By the strips through " + soft.label() + " and "
                + hard.label() + ", each filter taken as its own marks show it (CON-21)."));
        Optional<DialsView> dials = found.base().isSplit() ? Optional.empty() : dials(rests, one);
        return new ContrastProposal(
                headline(found.base()),
                why(found, threads),
                rests,
                found.base().parts().stream().map(ContrastAdvice::view).toList(),
                view(one),
                dials.orElse(null),
                ground.curve(found.light()),
                threads,
                ground.off(found.light()));
    }

    /** What strips through each filter of the set showed, where they showed anything. */
    static List<StripView> strips(ToneGround ground) {
        return GradeFilter.set().stream()
                .map(ground.strips())
                .filter(m -> m.whites().isPresent() || m.blacks().isPresent())
                .map(m -> new StripView(
                        LightView.of(Light.filter(m.filter())),
                        m.whites().map(ExposureTime::inSeconds).orElse(null),
                        m.blacks().map(ExposureTime::inSeconds).orElse(null)))
                .toList();
    }

    static PartView view(BaseExposure.Part part) {
        return new PartView(LightView.of(part.light()), part.time().inSeconds());
    }

    private ThreadView view(Thread thread, FilterLight light) {
        double net = ground.net(thread.lightLog(), light);
        Double wanted = moved.get(thread.name());
        double off = wanted == null || orDarker(thread, wanted) && net > wanted ? 0 : net - wanted;
        double seen = wanted != null && wanted < LIGHT_NET ? MISSED_LIGHT_NET : MISSED_NET;
        double missed = Math.abs(off) > seen ? off : 0;
        return new ThreadView(
                thread.name(),
                ground.stops(thread.lightLog()),
                net,
                thread.wish().map(w -> w.wantedNet()).orElse(null),
                missed);
    }

    static ThreadView standing(ToneGround ground, Thread thread) {
        return new ThreadView(
                thread.name(),
                ground.stops(thread.lightLog()),
                ground.net(thread.lightLog(), ground.stands()),
                thread.wish().map(w -> w.wantedNet()).orElse(null),
                0);
    }

    private String headline(BaseExposure base) {
        if (!base.isSplit()) {
            return "Set "
                    + (paper.isOfOneGrade()
                            ? ""
                            : Grades.written(ground.rig(), base.main().light()) + ", ")
                    + Show.seconds(base.main().time().inSeconds()) + ".";
        }
        List<String> parts = base.parts().stream()
                .map(p -> Show.seconds(p.time().inSeconds()) + " through " + label(p))
                .toList();
        return "Give " + parts.get(0) + ", then " + parts.get(1) + ".";
    }

    private static String label(BaseExposure.Part part) {
        return part.light().toFilter().label();
    }

    private String why(Found found, List<ThreadView> threads) {
        List<String> words = new ArrayList<>();
        if (found.base().equals(stands())) {
            words.add("As it stands.");
        }
        List<ThreadView> missed = threads.stream().filter(t -> t.missed() != 0).toList();
        if (!moved.isEmpty()) {
            words.add(
                    missed.isEmpty()
                            ? "Every thread is where you put it."
                            : "One curve does not meet all: "
                                    + Show.listed(missed.stream()
                                            .map(ContrastAdvice::missed)
                                            .toList()) + ".");
        } else if (own.isPresent()) {
            words.add("“" + threads.get(0).name() + "” stays at "
                    + density(threads.get(0).net()) + ".");
        }
        if (found.base().isSplit()) {
            words.add(adds(found));
        }
        end(found, missed).ifPresent(words::add);
        return String.join(" ", words);
    }

    private static String missed(ThreadView thread) {
        return "“" + thread.name() + "” " + density(Math.abs(thread.missed())) + " too "
                + (thread.missed() > 0 ? "dark" : "light");
    }

    /** What the soft part gives alone, and what the hard one adds to it. */
    private String adds(Found found) {
        BaseExposure.Part softPart = found.base().parts().get(hardFirst ? 1 : 0);
        FilterLight alone = ToneGround.light(paper, BaseExposure.of(softPart.light(), softPart.time()));
        Thread light = ground.threads().get(0);
        SplitExposure.Single single = new SplitExposure(paper, soft.grade(), hard.grade())
                .equivalent(
                        softPart.time().inSeconds(),
                        found.base().parts().get(hardFirst ? 0 : 1).time().inSeconds());
        double softNet = ground.net(light.lightLog(), alone);
        return String.format(
                Locale.ROOT,
                "“%s”: %s by the soft part, %s with the hard one. It prints like grade %.1f at %s: a split makes no tone that one"
                        + " grade cannot, it keeps the choice open for local work.",
                light.name(),
                density(softNet),
                density(ground.net(light.lightLog(), found.light())),
                single.grade().onScale(),
                Show.seconds(single.time().inSeconds()));
    }

    /** What else may be the cause where the set ends. */
    private Optional<String> end(Found found, List<ThreadView> missed) {
        if (missed.isEmpty() || found.base().isSplit()) {
            return Optional.empty();
        }
        GradeFilter filter = found.base().main().light().toFilter();
        return switch (filter) {
            case G5 ->
                Optional.of(
                        "The hardest there is does not reach it: short development, a thin negative or a flat subject."
                                + " Intensify a copy, tone, or choose a frame that was given more.");
            case G00 ->
                Optional.of(
                        "The softest there is does not reach it: hold back and burn, flash the paper, or mask the negative.");
            default -> Optional.empty();
        };
    }

    /** Dials of a head: by its table, else by a generic set; only where grades are made by dials at all. */
    private Optional<DialsView> dials(List<String> rests, BaseExposure.Part one) {
        if (!ground.rig().enlarger().dials()) {
            return Optional.empty();
        }
        Optional<HeadTable> own =
                ground.rig().constants().head(ground.rig().enlarger().id());
        HeadTable head = own.orElseGet(() -> HeadTable.generic(new VariableContrastPaper(), HeadTable.Way.SINGLE));
        Optional<ColourHead.Setting> setting = head.of(one.light().toFilter());
        rests.add(
                setting.isEmpty()
                        ? "A head of this kind does not reach grade " + label(one) + " by its dials."
                        : own.isPresent()
                                ? "Dials by the table of this head (CON-24)."
                                : "Dials by a generic dichroic set (CON-14); a table of this head's own, at Stores, wins over it.");
        return setting.map(s -> new DialsView(s.yellow(), s.magenta(), s.timeFactor()));
    }

    private static String density(double net) {
        return String.format(Locale.ROOT, "%.2f", Math.max(0, net));
    }
}
