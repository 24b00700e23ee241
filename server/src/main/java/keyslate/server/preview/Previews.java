package keyslate.server.preview;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import keyslate.core.colour.Viewing;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.darkroom.LaidPieces;
import keyslate.core.darkroom.Look;
import keyslate.core.darkroom.Negative;
import keyslate.core.darkroom.PrintModel;
import keyslate.core.darkroom.Reach;
import keyslate.core.darkroom.SheetLight;
import keyslate.core.medium.Monochrome;
import keyslate.core.quantity.QuantityException;
import keyslate.core.quantity.Stops;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Part;
import keyslate.core.tone.NamedTone;
import keyslate.core.tone.ToneInPrint;
import keyslate.server.local.PrintKind;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.sheet.Patches;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.sheet.SheetPlan;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Scan;
import org.springframework.stereotype.Component;
import org.springframework.util.DigestUtils;

/** What the next sheet should look like: computed from the scan, never a measurement, and anchored on one where possible. */
@Component
public class Previews {
    private final Rigs rigs;

    Previews(Rigs rigs) {
        this.rigs = rigs;
    }

    /**
     * What a preview rests on.
     *
     * @param measured whether a scan of a sheet told how the paper acts
     * @param offsets of the paper, stops, as {@link PrintModel#match} learned them
     */
    public record Basis(boolean measured, String text, List<Double> offsets) {}

    /** The last sheet of the cord on the same paper whose picture told how it acts. */
    public Basis basis(Rig rig, List<OnCord> cord) {
        OnCord told = null;
        for (OnCord sheet : cord) {
            boolean tells = sheet.exposed().telling().isPresent();
            if (tells && sheet.rig().paper().id().equals(rig.paper().id())) {
                told = sheet;
            }
        }
        if (told == null) {
            return new Basis(
                    false,
                    "Computed from the scan with an assumed paper speed: may be a stop off.",
                    PrintModel.AS_LABELLED);
        }
        Scan scan = told.exposed().telling().orElseThrow();
        String label = told.view().label();
        return new Basis(
                true,
                "Computed from the scan, set to the tone of " + Character.toLowerCase(label.charAt(0))
                        + label.substring(1) + ".",
                asKnownToday(told.rig(), scan.offsets()));
    }

    /**
     * Offsets were learned against the light as it was known then. Where lens or opening were measured since, that light is reckoned otherwise, and the paper is
     * taken for so much slower or faster.
     */
    private List<Double> asKnownToday(Rig stood, List<Double> offsets) {
        Rig known = rigs.asKnownToday(stood);
        if (known.constants().equals(stood.constants())) {
            return offsets;
        }
        double stops = Stops.ofLogExposure(stood.logPerSecond() - known.logPerSecond() + slower(stood, known))
                .inStops();
        return offsets.stream().map(o -> o + stops).toList();
    }

    /** log10 by which the filter of a sheet is known to be slower today: its paper was then as much faster. */
    private static double slower(Rig stood, Rig known) {
        if (!(stood.medium().core() instanceof Monochrome before)
                || !(known.medium().core() instanceof Monochrome now)) {
            return 0;
        }
        GradeFilter filter = stood.one().light().toFilter();
        return now.paper().logTimeThrough(VariableContrastPaper.SPEED_NET, filter)
                - before.paper().logTimeThrough(VariableContrastPaper.SPEED_NET, filter);
    }

    /** Names what a preview shows: negative, light, times, crop, areas and paper; the same key, the same picture. */
    public String key(Rig rig, Basis basis) {
        Recipe recipe = rig.recipe();
        String shown = String.join(
                "|",
                rig.subject().shown(),
                recipe.base().exposure().toString(),
                recipe.local().toString(),
                rig.crop().toString(),
                rig.evenness().toString(),
                Double.toString(rig.logPerSecond()),
                Double.toString(rig.lag().inSeconds()),
                rig.paper().id(),
                rig.medium().core() instanceof Monochrome mono
                        ? Integer.toHexString(mono.paper().measured().hashCode())
                        : "",
                basis.offsets().toString());
        return digest(shown);
    }

    /** Names what is seen of a print with each cast: negative and crop, whatever light stands. */
    public String castsKey(Rig rig) {
        return digest(rig.subject().shown() + "|" + rig.crop());
    }

    private static String digest(String shown) {
        return DigestUtils.md5DigestAsHex(shown.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * The print of a rig.
     *
     * @param part of the negative that is printed, as large as the picture is to be
     * @param viewing how it is looked at
     */
    public Look look(Rig rig, Negative part, Basis basis, boolean withLocalWork, Viewing viewing) {
        return rig.medium()
                .core()
                .model()
                .seen(viewing)
                .look(part, rig.view(rig.crop()), light(rig, withLocalWork), basis.offsets());
    }

    /**
     * What a test of a rig should look like, its pieces laid as they are looked at.
     *
     * @param plan as it would be begun
     * @param parts of the negative, as large as a piece is to be
     * @param viewing how they are looked at
     */
    public Look test(Rig rig, Function<Part, Negative> parts, Basis basis, SheetPlan plan, Viewing viewing) {
        List<Look> pieces = new ArrayList<>();
        for (int n = 1; n <= plan.pieces().size(); n++) {
            Part view = plan.pieces().get(n - 1);
            int piece = n;
            List<ExposureStep> steps =
                    plan.steps().stream().filter(s -> s.piece() == piece).toList();
            pieces.add(rig.medium()
                    .core()
                    .model()
                    .seen(viewing)
                    .look(parts.apply(view), rig.view(view), light(rig, steps), basis.offsets()));
        }
        return LaidPieces.picture(pieces, Patches.layout(rig, pieces.size()));
    }

    private static SheetLight light(Rig rig, List<ExposureStep> steps) {
        Function<String, Reach.Area> areas = areas(rig.recipe());
        List<SheetLight.Burst> bursts = new ArrayList<>();
        for (ExposureStep step : steps) {
            step.planned(rig.lag())
                    .forEach(
                            g -> bursts.add(SheetLight.burst(step, g.times(rig.openingFactor(step.opening())), areas)));
        }
        return new SheetLight(rig.logPerSecond(), bursts).lying(rig.evenness());
    }

    /**
     * A named tone in the print of a rig, local work included.
     *
     * @param negative the whole frame
     */
    public ToneInPrint tone(Rig rig, Negative negative, Basis basis, NamedTone tone) {
        return ToneInPrint.of(
                tone, rig.medium().core().model(), negative, rig.frameAspect(), light(rig, true), basis.offsets());
    }

    private static SheetLight light(Rig rig, boolean withLocalWork) {
        return SheetLight.planned(rig.logPerSecond(), steps(rig, withLocalWork), rig.lag(), areas(rig.recipe()))
                .lying(rig.evenness());
    }

    private static List<ExposureStep> steps(Rig rig, boolean withLocalWork) {
        if (withLocalWork) {
            try {
                return PrintKind.script(rig);
            } catch (QuantityException e) {
                // Holds that two hands cannot fit are shown without local work; the plan says why.
            }
        }
        return PrintKind.straight(rig);
    }

    /** The areas of a recipe as the darkroom wants them, by key. */
    public static Function<String, Reach.Area> areas(Recipe recipe) {
        Map<String, Reach.Area> byKey = recipe.local().areas().stream()
                .collect(Collectors.toMap(Recipe.Area::key, a -> new Reach.Area(a.shape(), a.softEdge())));
        return key -> Optional.ofNullable(byKey.get(key)).orElseThrow();
    }
}
