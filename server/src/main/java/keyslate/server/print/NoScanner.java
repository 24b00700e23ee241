package keyslate.server.print;

import java.util.Optional;
import keyslate.core.darkroom.Look;
import keyslate.server.rig.Rig;
import keyslate.store.slate.ExposedSheet;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The user's own darkroom: the paper is real, and its picture comes when it is handed in. */
@Component
@ConditionalOnProperty(name = "keyslate.practice", havingValue = "false", matchIfMissing = true)
class NoScanner implements PaperProcess {
    @Override
    public Optional<Look> process(ExposedSheet sheet, Rig rig) {
        return Optional.empty();
    }
}
