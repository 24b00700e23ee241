package keyslate.core.darkroom;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import keyslate.core.darkroom.Reach.Area;
import keyslate.core.darkroom.Reach.Uncovered;
import keyslate.core.local.AreaMask;
import keyslate.core.script.WedgeDisc;

/** Which share of a burst each place of the sheet gets; outlines that were drawn before are kept. */
final class ReachMasks {
    private static final int KEPT = 48;

    private final Map<Key, float[]> masks = new LinkedHashMap<>(KEPT, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, float[]> eldest) {
            return size() > KEPT;
        }
    };

    /** The same outline on the same raster has the same weights. */
    private record Key(Area area, AreaMask.View view, int columns, int rows) {}

    /** Shares 0 to 1 on a raster of {@code columns} × {@code rows}, row by row. */
    float[] shares(Reach reach, AreaMask.View view, int columns, int rows) {
        float[] shares = new float[columns * rows];
        if (reach.burned().isPresent()) {
            System.arraycopy(mask(reach.burned().get(), view, columns, rows), 0, shares, 0, shares.length);
        } else {
            Arrays.fill(shares, 1);
        }
        for (Area held : reach.heldBack()) {
            float[] mask = mask(held, view, columns, rows);
            for (int i = 0; i < shares.length; i++) {
                shares[i] *= 1 - mask[i];
            }
        }
        reach.uncovered().ifPresent(part -> cover(shares, part, columns, rows));
        reach.disc().ifPresent(disc -> dim(shares, disc, columns, rows));
        return shares;
    }

    private float[] mask(Area area, AreaMask.View view, int columns, int rows) {
        Key key = new Key(area, view, columns, rows);
        synchronized (masks) {
            float[] kept = masks.get(key);
            if (kept != null) {
                return kept;
            }
        }
        float[] made = AreaMask.rasterise(area.shape(), area.softEdge(), view, columns, rows);
        synchronized (masks) {
            masks.put(key, made);
        }
        return made;
    }

    private static void dim(float[] shares, WedgeDisc disc, int columns, int rows) {
        for (int i = 0; i < shares.length; i++) {
            shares[i] *= (float) disc.shareAt((i % columns + 0.5) / columns, (i / columns + 0.5) / rows);
        }
    }

    private static void cover(float[] shares, Uncovered part, int columns, int rows) {
        for (int i = 0; i < shares.length; i++) {
            double x = (i % columns + 0.5) / columns;
            double y = (i / columns + 0.5) / rows;
            boolean lit = x >= part.left()
                    && x < part.left() + part.width()
                    && y >= part.top()
                    && y < part.top() + part.height();
            if (!lit) {
                shares[i] = 0;
            }
        }
    }
}
