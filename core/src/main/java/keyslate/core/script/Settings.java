package keyslate.core.script;

import java.util.ArrayList;
import java.util.List;

/**
 * How a lamp's settings are changed between two exposures of one sheet.
 *
 * @param unseen whether nothing can be seen there, as with colour paper: then nothing is set either
 * @param dials whether its light is set on dials; else by gels that lie in order
 * @param ownTimer whether the printer sets the time
 */
public record Settings(boolean unseen, boolean dials, boolean ownTimer) {
    /** Settings under a safelight, on a lamp the application times. */
    public static final Settings SEEN = new Settings(false, false, false);

    /** What the hands do for it before the next exposure. */
    public List<Cue> cues(ExposureStep before, ExposureStep next) {
        boolean light = !before.light().equals(next.light());
        boolean time = ownTimer && !before.set().equals(next.set());
        List<Cue> cues = new ArrayList<>();
        if (unseen && (time || light && dials)) {
            cues.add(Cue.SET_IN_LIGHT);
        }
        if (light) {
            cues.add(Cue.CHANGE_LIGHT);
        }
        if (time) {
            cues.add(Cue.SET_TIMER);
        }
        return cues;
    }
}
