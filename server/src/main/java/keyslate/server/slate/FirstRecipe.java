package keyslate.server.slate;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.script.BaseExposure;
import keyslate.core.script.LocalWork;
import keyslate.core.size.Placement;
import keyslate.core.size.PrintFit;
import keyslate.core.size.Projection;
import keyslate.core.test.GuessPlan;
import keyslate.server.Ids;
import keyslate.server.medium.Media;
import keyslate.server.recipe.StartingTime;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.subject.Subject;
import keyslate.server.test.Strips;
import keyslate.server.web.ConflictException;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import keyslate.store.negative.Roll;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Component;

/** What a new slate begins with: what fits film and format, a strip, and the time that is known, or a default that says it is one. */
@Component
class FirstRecipe {
    private static final double USUAL_MARK = 8;
    private static final double USUAL_BORDER_MM = 6;
    private static final int MOST_PROOFS = 100;
    private static final ExposureTime ANY_TIME = ExposureTime.ofSeconds(10);
    /** A head that stands this high lights the whole board. */
    private static final double USUAL_DISTANCE_MM = 600;

    private static final String NO_BENCH =
            "A slate needs an enlarger, a lens and paper. Answer the three questions on the Bench first.";

    private final StoresRepository stores;
    private final SlateRepository slates;
    private final SheetRepository sheets;
    private final RecipeRepository recipes;
    private final Media media;
    private final Rigs rigs;
    private final StartingTime startingTime;

    FirstRecipe(
            StoresRepository stores,
            SlateRepository slates,
            SheetRepository sheets,
            RecipeRepository recipes,
            Media media,
            Rigs rigs,
            StartingTime startingTime) {
        this.stores = stores;
        this.slates = slates;
        this.sheets = sheets;
        this.recipes = recipes;
        this.media = media;
        this.rigs = rigs;
        this.startingTime = startingTime;
    }

    Recipe of(String slateId, Subject subject, Recipe.Naming naming, String now) {
        Recipe.Setup setup =
                subject.isProof() ? standard(subject.roll()).orElseGet(() -> usual(subject)) : usual(subject);
        Paper paper = stores.paper(setup.paperId()).orElseThrow();
        Recipe.Base base = new Recipe.Base(
                BaseExposure.of(media.of(paper.kind()).core().plainLight(), ANY_TIME),
                "default",
                "A plain default: nothing is known yet.");
        GuessPlan any = new GuessPlan(Optional.empty(), 1, Optional.empty(), Optional.empty());
        Recipe.Local local = new Recipe.Local(List.of(), LocalWork.Way.ONE_EXPOSURE);
        Recipe bare = new Recipe(Ids.fresh(), slateId, null, now, "new slate", naming, setup, base, any, local);
        Rig rig = rigs.of(bare, subject);
        StartingTime.Proposal start = startingTime.propose(rig);
        Recipe.Base started = new Recipe.Base(
                BaseExposure.of(
                        rig.medium().core().read(start.light().notation()), ExposureTime.ofSeconds(start.seconds())),
                start.source(),
                String.join("\n", start.arithmetic()));
        return new Recipe(bare.id(), slateId, null, now, "new slate", naming, setup, started, Strips.usual(rig), local);
    }

    private Recipe.Setup usual(Subject subject) {
        Paper paper = paperFor(subject.roll());
        Lens lens = lensFor(subject.roll());
        return new Recipe.Setup(
                enlargerFor(paper).id(),
                lens.id(),
                usualMark(lens),
                paper.id(),
                paper.widthMm(),
                paper.heightMm(),
                lastAsked(subject),
                subject.isProof()
                        ? Optional.of(new Recipe.Contact(Projection.Source.LENS, USUAL_DISTANCE_MM, ""))
                        : Optional.empty());
    }

    /** The borders and the kept part that a frame was printed with last; the whole picture inside even borders where it never was. */
    private Placement lastAsked(Subject subject) {
        List<Slate> before = subject instanceof Subject.Single single
                ? slates.ofFrame(single.frame().id())
                : List.of();
        return before.stream()
                .reduce((earlier, later) -> later)
                .map(s -> recipes.get(s.recipeId()).setup())
                .filter(setup -> setup.contact().isEmpty())
                .map(setup -> setup.placement().unsized())
                .orElseGet(() -> Placement.even(subject.isProof() ? 0 : USUAL_BORDER_MM, PrintFit.Way.WHOLE_PICTURE));
    }

    /** The mark of the ring that is nearest to the usual one. */
    private static double usualMark(Lens lens) {
        return ApertureMark.ring(lens.openMark(), lens.smallestMark(), lens.marksPerStop()).stream()
                .map(ApertureMark::engraved)
                .min(Comparator.comparingDouble(m -> Math.abs(Math.log(m / USUAL_MARK))))
                .orElse(USUAL_MARK);
    }

    /** Whether nothing of it was retired. */
    private boolean isInUse(Recipe.Setup setup) {
        return stores.enlargers().stream().anyMatch(e -> e.id().equals(setup.enlargerId()))
                && stores.lenses().stream().anyMatch(l -> l.id().equals(setup.lensId()))
                && stores.papers().stream().anyMatch(p -> p.id().equals(setup.paperId()));
    }

    /** The set-up of the standard proof on this kind of film: a fixed one makes the proofs of different rolls comparable. */
    private Optional<Recipe.Setup> standard(Roll roll) {
        return sheets.acceptedProofs(MOST_PROOFS).stream()
                .map(sheet -> recipes.get(sheet.recipeId()).setup())
                .filter(setup -> stores.paper(setup.paperId())
                                .map(p -> p.kind().equals(roll.kind()))
                                .orElse(false)
                        && isInUse(setup))
                .findFirst();
    }

    /** The first box for the kind of film, or else the first there is. */
    private Paper paperFor(Roll roll) {
        List<Paper> papers = stores.papers();
        return papers.stream()
                .filter(p -> p.kind().equals(roll.kind()))
                .findFirst()
                .or(() -> papers.stream().findFirst())
                .orElseThrow(() -> new ConflictException("no-paper", NO_BENCH));
    }

    /** The first enlarger that can give the paper its light. */
    private Enlarger enlargerFor(Paper paper) {
        List<Enlarger> enlargers = stores.enlargers();
        boolean dials = !media.of(paper.kind()).core().plainLight().points().isEmpty();
        return enlargers.stream()
                .filter(e -> e.dials() || !dials)
                .findFirst()
                .or(() -> enlargers.stream().findFirst())
                .orElseThrow(() -> new ConflictException("no-enlarger", NO_BENCH));
    }

    /** The shortest lens that covers the format: the one that needs the least head height. */
    private Lens lensFor(Roll roll) {
        double diagonal = Math.hypot(roll.longMm(), roll.shortMm());
        List<Lens> lenses = stores.lenses();
        if (lenses.isEmpty()) {
            throw new ConflictException("no-lens", NO_BENCH);
        }
        return lenses.stream()
                .filter(l -> l.coversMm() + 0.5 >= diagonal)
                .findFirst()
                .orElse(lenses.get(lenses.size() - 1));
    }
}
