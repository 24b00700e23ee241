package keyslate.server.decide;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import keyslate.core.colour.SceneOffset;
import keyslate.core.light.Light;
import keyslate.core.quantity.FilterShift;
import keyslate.server.decide.DecisionViews.SceneView;
import keyslate.store.json.SeenCast;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.SheetRepository.KeptLight;
import keyslate.store.slate.SheetRepository.MeteredPrint;
import org.springframework.stereotype.Component;

/** What a colour meter asked for, beside what the prints were right with: an offset for each kind of scene. */
@Component
class MeterLog {
    private final SheetRepository sheets;

    MeterLog(SheetRepository sheets) {
        this.sheets = sheets;
    }

    /** Of one kind of scene, by other slates on this paper. */
    SceneOffset offset(String paperId, String slateId, String scene) {
        return offset(beyond(paperId, slateId).getOrDefault(key(scene), List.of()));
    }

    /** Of all kinds of scene that were metered. */
    List<SceneView> scenes(String paperId, String slateId) {
        return beyond(paperId, slateId).entrySet().stream()
                .map(e -> {
                    SceneOffset offset = offset(e.getValue());
                    return new SceneView(
                            e.getKey(), offset.magenta(), offset.yellow(), 2 * offset.openPoints(), offset.prints());
                })
                .toList();
    }

    /** Of each print the last reading on a kind of scene: one that was read again is one print still. */
    private Map<String, Collection<FilterShift>> beyond(String paperId, String slateId) {
        Map<String, Map<String, FilterShift>> beyond = new LinkedHashMap<>();
        for (MeteredPrint metered : sheets.meteredPrints(paperId)) {
            KeptLight print = metered.print();
            for (SeenCast cast : metered.casts()) {
                if (cast.metered() != null && !print.slateId().equals(slateId)) {
                    FilterShift asked = Light.of(cast.metered().pack()).toPack().toShift();
                    beyond.computeIfAbsent(key(cast.metered().scene()), k -> new LinkedHashMap<>())
                            .put(
                                    print.slateId(),
                                    print.neutral().toPack().toShift().minus(asked));
                }
            }
        }
        Map<String, Collection<FilterShift>> byScene = new LinkedHashMap<>();
        beyond.forEach((scene, prints) -> byScene.put(scene, prints.values()));
        return byScene;
    }

    private static SceneOffset offset(Collection<FilterShift> beyond) {
        return SceneOffset.of(List.copyOf(beyond));
    }

    private static String key(String scene) {
        return scene.strip().toLowerCase(Locale.ROOT);
    }
}
