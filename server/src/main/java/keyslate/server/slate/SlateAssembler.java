package keyslate.server.slate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.size.PrintFit;
import keyslate.server.Show;
import keyslate.server.local.LocalPlanner;
import keyslate.server.local.Shapes;
import keyslate.server.negative.Negatives;
import keyslate.server.negative.RollController;
import keyslate.server.slate.SlateViews.DifferenceView;
import keyslate.server.slate.SlateViews.KeptRecipeView;
import keyslate.server.slate.SlateViews.LocalPlanView;
import keyslate.server.slate.SlateViews.RecipeView;
import keyslate.server.slate.SlateViews.SetupView;
import keyslate.server.slate.SlateViews.SheetView;
import keyslate.server.slate.SlateViews.SlateCard;
import keyslate.server.slate.SlateViews.SlateView;
import keyslate.server.slate.SlateViews.StripView;
import keyslate.server.test.StripPlanner;
import keyslate.store.Database;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Component;

/** The view of a slate, with everything that is computed from it. */
@Component
public class SlateAssembler {
    private final Database database;
    private final SlateRepository slates;
    private final Rigs rigs;
    private final SheetAssembler sheets;
    private final Negatives negatives;
    private final RollController frames;
    private final StartingTime startingTime;
    private final PreviewRenderer preview;

    SlateAssembler(
            Database database,
            SlateRepository slates,
            Rigs rigs,
            SheetAssembler sheets,
            Negatives negatives,
            RollController frames,
            StartingTime startingTime,
            PreviewRenderer preview) {
        this.database = database;
        this.slates = slates;
        this.rigs = rigs;
        this.sheets = sheets;
        this.negatives = negatives;
        this.frames = frames;
        this.startingTime = startingTime;
        this.preview = preview;
    }

    /** The whole slate, all of it at one moment. */
    public SlateView view(Slate slate) {
        return database.inSnapshot(() -> viewNow(slate));
    }

    private SlateView viewNow(Slate slate) {
        Recipe recipe = slates.recipe(slate.recipeId());
        Rig rig = rigs.of(recipe);
        List<SheetView> onCord = sheets.of(slate.id());
        LocalPlanView local = LocalPlanner.plan(rig);
        LocalPlanView named = new LocalPlanView(
                local.areas(),
                LocalPlanner.named(local.script(), recipe.areas()),
                local.totalSetSeconds(),
                local.problem(),
                local.advice());
        return new SlateView(
                slate.id(),
                slate.version(),
                frames.view(rig.frame()),
                view(recipe),
                setup(rig),
                StripPlanner.plan(rig, negatives.small(rig.frame())),
                named,
                differences(rig, onCord),
                onCord,
                NextStep.of(slate, recipe, onCord),
                preview.basis(rig),
                slate.acceptedSheetId(),
                recipe.previousId() == null ? null : recipe.edit(),
                Optional.ofNullable(slate.redoId())
                        .map(slates::recipe)
                        .map(Recipe::edit)
                        .orElse(null));
    }

    /** The recipe a sheet was made with. */
    public KeptRecipeView kept(Sheet sheet) {
        Rig rig = rigs.of(slates.recipe(sheet.recipeId()));
        return new KeptRecipeView(view(rig.recipe()), setup(rig));
    }

    /** The slate as a small print on the bench. */
    public SlateCard card(Slate slate) {
        Recipe recipe = slates.recipe(slate.recipeId());
        Rig rig = rigs.of(recipe);
        List<SheetView> onCord = sheets.of(slate.id());
        String last = null;
        for (SheetView sheet : onCord) {
            if (sheet.hasPicture()) {
                last = sheet.id();
            }
        }
        double aspect = last == null
                ? rig.frameAspect()
                : onCord.get(onCord.size() - 1).hasPicture()
                        ? onCord.get(onCord.size() - 1).aspect()
                        : rig.frameAspect();
        return new SlateCard(
                slate.id(),
                recipe.title(),
                recipe.intent(),
                rig.frame().id(),
                rig.frame().pictureId() != null,
                aspect,
                NextStep.of(slate, recipe, onCord),
                onCord.size(),
                last);
    }

    private List<DifferenceView> differences(Rig rig, List<SheetView> onCord) {
        return onCord.isEmpty()
                ? List.of()
                : Differences.between(
                        rigs.of(slates.recipe(onCord.get(onCord.size() - 1).recipeId())), rig);
    }

    private static RecipeView view(Recipe r) {
        Recipe.Setup s = r.setup();
        Recipe.Strip strip = r.strip();
        return new RecipeView(
                r.id(),
                r.title(),
                r.intent(),
                s.enlargerId(),
                s.lensId(),
                s.apertureMark(),
                s.paperId(),
                s.sheetWidthMm(),
                s.sheetHeightMm(),
                s.borderMm(),
                s.fit(),
                s.cropPlace(),
                s.filter(),
                s.baseSeconds(),
                s.baseSource(),
                s.baseBecause(),
                new StripView(
                        strip.kind(),
                        strip.centreSeconds(),
                        strip.stepStops(),
                        strip.stepSeconds(),
                        strip.patches(),
                        strip.direction(),
                        strip.patchMm(),
                        strip.breadthMm(),
                        strip.place()),
                Shapes.toViews(r.areas()));
    }

    private SetupView setup(Rig rig) {
        PrintFit fit = rig.fit();
        ApertureMark open =
                ApertureMark.ofEngraved(rig.lens().openMark(), rig.lens().marksPerStop());
        double fromOpen =
                rig.aperture().trueNumber().lightChangeTo(open.trueNumber()).inStops();
        double lostMm = Math.max(
                rig.negativeWidth().inMm() - fit.cropWidth().inMm(),
                rig.negativeHeight().inMm() - fit.cropHeight().inMm());
        return new SetupView(
                rig.enlarger().name(),
                rig.enlarger().head(),
                rig.lens().name(),
                rig.lens().focalMm(),
                rig.paper().name(),
                rig.paper().batch(),
                rig.paper().sheetsLeft(),
                rig.sheetWidth().inMm(),
                rig.sheetHeight().inMm(),
                fit.imageWidth().inMm(),
                fit.imageHeight().inMm(),
                fit.magnification().inTimes(),
                rig.thinLens().lensToPaper(fit.magnification()).inMm(),
                rig.thinLens().filmToLens(fit.magnification()).inMm(),
                rig.enlarger().columnMm(),
                rig.aperture().trueNumber().inFStops(),
                fromOpen,
                rig.crop(),
                fit.lostFraction(),
                lostMm < 0.05 ? 0 : lostMm,
                rig.enlarger().lagSeconds(),
                rig.enlarger().lagSource(),
                warnings(rig, fit, fromOpen),
                startingTime.propose(rig));
    }

    private static List<String> warnings(Rig rig, PrintFit fit, double stopsFromOpen) {
        List<String> warnings = new ArrayList<>();
        double diagonal =
                Math.hypot(rig.negativeWidth().inMm(), rig.negativeHeight().inMm());
        if (diagonal > rig.lens().coversMm() + 0.5) {
            warnings.add("The " + rig.lens().name() + " covers a diagonal of "
                    + Show.number(rig.lens().coversMm()) + " mm; this negative has " + Show.number(diagonal)
                    + " mm. The corners will be dark.");
        }
        double height = rig.thinLens().lensToPaper(fit.magnification()).inMm();
        if (height > rig.enlarger().columnMm()) {
            warnings.add("This size needs the lens " + Show.number(height / 10) + " cm above the easel; the column of "
                    + rig.enlarger().name() + " ends at "
                    + Show.number(rig.enlarger().columnMm() / 10) + " cm.");
        }
        if (stopsFromOpen < 0.9) {
            warnings.add("The lens is wide open or nearly so: right for focusing, soft at the edges for a print.");
        }
        if (rig.paper().sheetsLeft() <= rig.paper().reserveSheets()) {
            warnings.add(
                    rig.paper().name() + ": " + Show.number(rig.paper().sheetsLeft()) + " sheets left, your reserve.");
        }
        return warnings;
    }
}
