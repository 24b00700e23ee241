package keyslate.server.tone;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the page sees of named tones. */
public final class ToneViews {
    private ToneViews() {}

    /**
     * A named tone.
     *
     * @param x place on the printed picture, 0 at its left edge; outside 0 to 1 where the crop cuts it off; {@code y} alike
     * @param wish WHITE_HOLDS, MIDDLE, TRUE_BLACK or OWN
     * @param wantedDensity over the paper's white
     * @param density it has in the preview; none without a picture
     * @param changeStops of light that the sheet would need more to bring it there; none where no light does
     * @param patch of the planned test it lies in; none where it lies in none
     * @param onSheets patches of the tests that hang
     */
    public record ToneView(
            String name,
            double x,
            double y,
            String wish,
            double wantedDensity,
            @Nullable Double density,
            @Nullable Double changeStops,
            @Nullable Integer patch,
            List<OnSheetView> onSheets,
            String says) {}

    /** The patch of a test that hangs. */
    public record OnSheetView(String sheetId, int patch) {}
}
