package keyslate.server.sheet;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import keyslate.server.web.RefusedException;
import org.springframework.stereotype.Component;

/** The kinds of sheet there are, by name. */
@Component
public class SheetKinds {
    private final Map<String, SheetKind> kinds;

    SheetKinds(List<SheetKind> kinds) {
        this.kinds = kinds.stream().collect(Collectors.toMap(SheetKind::id, Function.identity()));
    }

    public SheetKind of(String id) {
        return kinds.get(id);
    }

    public boolean knows(String id) {
        return kinds.containsKey(id);
    }

    /** The kind that was asked for; refused when there is none of that name. */
    public SheetKind asked(String id) {
        if (id == null || !knows(id)) {
            throw RefusedException.of("/kind", "E_SHAPE", "There is no such kind of sheet.");
        }
        return of(id);
    }
}
