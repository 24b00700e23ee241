package keyslate.server.recipe;

import java.util.List;
import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.server.rig.Rig;

/** The light a paper begins with, and where it comes from. */
record StartingLight(Light light, String because) {
    /** The middle of what was kept on this box, else what its owner entered for it, else a plain default that says so. */
    static StartingLight of(Rig rig, List<Light> kept) {
        Optional<Light> usual = rig.medium().core().usual(kept);
        if (usual.isPresent()) {
            return new StartingLight(
                    usual.get(),
                    usual.get().notation() + " is the middle of "
                            + (kept.size() == 1 ? "the print" : "the " + kept.size() + " prints") + " you kept on "
                            + rig.paper().name() + ".");
        }
        String entered = rig.paper().startLight();
        if (entered != null) {
            Light light = rig.medium().core().read(entered);
            return new StartingLight(
                    light, light.notation() + " as entered for " + rig.paper().name() + ".");
        }
        Light plain = rig.medium().core().plainLight();
        return new StartingLight(plain, plain.notation() + " is a plain default and not a measurement.");
    }
}
