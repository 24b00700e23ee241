package keyslate.server.slate;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import keyslate.core.exposure.LampLag;
import keyslate.core.quantity.ExposureTime;
import keyslate.server.Show;
import keyslate.server.local.LocalPlanner;
import keyslate.server.slate.SlateViews.DecisionView;
import keyslate.server.slate.SlateViews.GivenPatchView;
import keyslate.server.slate.SlateViews.RectView;
import keyslate.server.slate.SlateViews.ScriptStepView;
import keyslate.server.slate.SlateViews.SheetView;
import keyslate.server.test.StripPlanner;
import keyslate.store.slate.Burst;
import keyslate.store.slate.Decision;
import keyslate.store.slate.LampRecord;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The sheets on the cord, as they were really made. */
@Component
public class SheetAssembler {
    private static final TypeReference<List<String>> KEYS = new TypeReference<>() {};

    private final SlateRepository slates;
    private final SheetRepository sheets;
    private final Rigs rigs;

    SheetAssembler(SlateRepository slates, SheetRepository sheets, Rigs rigs) {
        this.slates = slates;
        this.sheets = sheets;
        this.rigs = rigs;
    }

    /** All sheets of a slate in order. */
    public List<SheetView> of(String slateId) {
        List<Decision> decisions = sheets.decisionsOf(slateId);
        Map<String, Integer> countOfKind = new HashMap<>();
        List<SheetView> views = new ArrayList<>();
        Rig before = null;
        for (Sheet sheet : sheets.of(slateId)) {
            Rig rig = rigs.of(slates.recipe(sheet.recipeId()));
            int n = countOfKind.merge(sheet.kind(), 1, Integer::sum);
            String label = ("STRIP".equals(sheet.kind()) ? "Strip " : "Work print ") + n;
            views.add(view(sheet, rig, label, before, decisions));
            before = rig;
        }
        return views;
    }

    /** The script of a sheet; keys instead of names in held and burned. */
    public List<ScriptStepView> script(String sheetId) {
        return sheets.burstsOf(sheetId).stream()
                .map(b -> new ScriptStepView(
                        b.place(),
                        b.kind(),
                        b.filter(),
                        b.setSeconds(),
                        b.receivedSeconds(),
                        b.patch(),
                        b.patchTotalSeconds(),
                        keys(b.held()),
                        b.burned()))
                .toList();
    }

    public static List<String> keys(String json) {
        return JsonMapper.shared().readValue(json, KEYS);
    }

    /** Seconds of full light that each burst really gave, by its place, after the lamp's assumed lag. */
    public Map<Integer, Double> receivedByBurst(String sheetId, LampLag lag) {
        Map<Integer, Double> received = new LinkedHashMap<>();
        for (LampRecord l : sheets.lampOf(sheetId)) {
            if (l.givenSeconds() != null && l.givenSeconds() > 0) {
                received.merge(
                        l.burstPlace(), lag.receivedSeconds(ExposureTime.ofSeconds(l.givenSeconds())), Double::sum);
            }
        }
        return received;
    }

    /** How many bursts are complete: the next one to give is this plus one. */
    public int burstsDone(String sheetId) {
        return (int) sheets.lampOf(sheetId).stream()
                .filter(l -> "COMPLETE".equals(l.outcome()))
                .map(LampRecord::burstPlace)
                .distinct()
                .count();
    }

    private SheetView view(Sheet sheet, Rig rig, String label, Rig before, List<Decision> decisions) {
        Recipe recipe = rig.recipe();
        List<ScriptStepView> script = script(sheet.id());
        RectView view = new RectView(sheet.viewLeft(), sheet.viewTop(), sheet.viewWidth(), sheet.viewHeight());
        boolean strip = "STRIP".equals(sheet.kind());
        return new SheetView(
                sheet.id(),
                sheet.number(),
                sheet.kind(),
                label,
                sheet.state(),
                sheet.begunAt(),
                summary(rig, script, strip),
                before == null ? List.of() : Differences.inWords(before, rig),
                recipe.setup().filter(),
                recipe.setup().apertureMark(),
                recipe.setup().baseSeconds(),
                recipe.id(),
                sheet.paperUsed(),
                sheet.magnification(),
                view,
                rig.frameAspect() * view.width() / view.height(),
                sheet.pictureId() != null,
                sheet.speedOffsetStops(),
                strip ? patches(sheet, rig, script) : List.of(),
                LocalPlanner.named(script, recipe.areas()),
                burstsDone(sheet.id()),
                decisions.stream()
                        .filter(d -> d.sheetId().equals(sheet.id()))
                        .map(SheetAssembler::view)
                        .toList(),
                sheet.note());
    }

    private static String summary(Rig rig, List<ScriptStepView> script, boolean strip) {
        String aperture = Show.aperture(rig.aperture().engraved());
        String grade = "grade " + rig.filter().label();
        if (!strip || script.isEmpty()) {
            return Show.seconds(rig.base().inSeconds()) + ", " + grade;
        }
        String from = Show.seconds(script.get(0).patchTotalSeconds()).replace(" s", "");
        String to = Show.seconds(script.get(script.size() - 1).patchTotalSeconds());
        return from + " to " + to + ", " + aperture;
    }

    private List<GivenPatchView> patches(Sheet sheet, Rig rig, List<ScriptStepView> script) {
        Map<Integer, Double> received = receivedByBurst(sheet.id(), rig.lag());
        String direction = rig.recipe().strip().direction();
        double middle = middleSeconds(script);
        List<GivenPatchView> patches = new ArrayList<>();
        double sum = 0;
        for (ScriptStepView s : script) {
            sum += received.getOrDefault(s.place(), 0.0);
            double given = Math.rint(sum * 1000) / 1000;
            double stops = given > 0 ? Math.log(given / middle) / Math.log(2) : Double.NEGATIVE_INFINITY;
            patches.add(new GivenPatchView(
                    s.place(),
                    s.patchTotalSeconds(),
                    given,
                    Double.isFinite(stops) ? stops : -30,
                    StripPlanner.patchPlace(direction, s.place(), script.size())));
        }
        return patches;
    }

    private static double middleSeconds(List<ScriptStepView> script) {
        double first = script.get((script.size() - 1) / 2).patchTotalSeconds();
        double second = script.get(script.size() / 2).patchTotalSeconds();
        return Math.sqrt(first * second);
    }

    private static DecisionView view(Decision d) {
        return new DecisionView(
                d.kind(),
                d.madeAt(),
                d.whitesAt(),
                d.blacksAt(),
                d.darkerStops(),
                d.harderGrades(),
                d.remark(),
                d.headline(),
                d.why(),
                d.overruled(),
                d.takenFilter(),
                d.takenSeconds());
    }

    /** The script rows of a sheet that is begun. */
    public static Burst row(String sheetId, ScriptStepView s) {
        return new Burst(
                sheetId,
                s.place(),
                s.kind(),
                s.filter(),
                s.setSeconds(),
                s.receivedSeconds(),
                s.patch(),
                s.patchTotalSeconds(),
                JsonMapper.shared().writeValueAsString(s.held()),
                s.burned());
    }
}
