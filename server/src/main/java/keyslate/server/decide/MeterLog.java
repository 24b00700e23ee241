package keyslate.server.decide;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import keyslate.core.colour.SceneOffset;
import keyslate.core.colour.Taste;
import keyslate.core.light.Light;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.FilterShift;
import keyslate.server.decide.DecisionViews.SceneView;
import keyslate.store.json.SeenCast;
import keyslate.store.json.StoredTaste;
import keyslate.store.slate.SheetRepository;
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
        return SceneOffset.of(beyond(paperId, slateId).getOrDefault(key(scene), List.of()));
    }

    /** Of all kinds of scene that were metered, the usual ones among them. */
    List<SceneView> scenes(String paperId, String slateId) {
        return beyond(paperId, slateId).entrySet().stream()
                .map(e -> {
                    SceneOffset offset = SceneOffset.of(e.getValue());
                    return new SceneView(
                            e.getKey(), offset.magenta(), offset.yellow(), 2 * offset.openPoints(), offset.prints());
                })
                .toList();
    }

    private Map<String, List<FilterShift>> beyond(String paperId, String slateId) {
        Map<String, List<FilterShift>> beyond = new LinkedHashMap<>();
        for (MeteredPrint print : sheets.meteredPrints(paperId, slateId)) {
            Taste taste = print.taste().map(StoredTaste::toCore).orElse(Taste.NEUTRAL);
            FilterPack right = taste.neutralOf(Light.of(print.light()).toPack());
            for (SeenCast cast : print.casts()) {
                if (cast.metered() != null) {
                    FilterPack asked = Light.of(cast.metered().pack()).toPack();
                    beyond.computeIfAbsent(key(cast.metered().scene()), k -> new ArrayList<>())
                            .add(right.toShift().minus(asked.toShift()));
                }
            }
        }
        return beyond;
    }

    private static String key(String scene) {
        return scene.strip().toLowerCase(Locale.ROOT);
    }
}
