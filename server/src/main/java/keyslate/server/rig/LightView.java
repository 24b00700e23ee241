package keyslate.server.rig;

import java.util.List;
import keyslate.core.light.Light;

/** A light as it is shown: how it is written, and the points of cyan, magenta and yellow where it is a pack. */
public record LightView(String notation, List<Double> points) {
    public static LightView of(Light light) {
        return new LightView(light.words(), light.points());
    }
}
