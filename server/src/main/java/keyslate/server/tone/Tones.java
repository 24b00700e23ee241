package keyslate.server.tone;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.darkroom.Negative;
import keyslate.core.quantity.Stops;
import keyslate.core.script.Part;
import keyslate.core.tone.NamedTone;
import keyslate.core.tone.ToneInPrint;
import keyslate.core.tone.ToneWish;
import keyslate.server.Show;
import keyslate.server.preview.Previews;
import keyslate.server.rig.Rig;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.server.test.TestViews.PlannedPatchView;
import keyslate.server.test.TestViews.TestView;
import keyslate.server.tone.ToneViews.OnSheetView;
import keyslate.server.tone.ToneViews.ToneView;
import org.springframework.stereotype.Component;

/** What becomes of the named tones of a slate. */
@Component
public class Tones {
    /** Nearer than this nobody sees it. */
    private static final double SAME_STOPS = 1.0 / 24;

    private final Previews previews;

    Tones(Previews previews) {
        this.previews = previews;
    }

    /** Every named tone of what stands. */
    public List<ToneView> view(
            Rig rig, Optional<Negative> small, Previews.Basis basis, TestView test, List<OnCord> cord) {
        return rig.recipe().naming().tones().stream()
                .map(tone -> view(rig, small, basis, test, cord, tone))
                .toList();
    }

    private ToneView view(
            Rig rig, Optional<Negative> small, Previews.Basis basis, TestView test, List<OnCord> cord, NamedTone tone) {
        Part crop = rig.crop();
        Optional<ToneInPrint> print = small.map(n -> previews.tone(rig, n, basis, tone));
        return new ToneView(
                tone.name(),
                (tone.x() - crop.left()) / crop.width(),
                (tone.y() - crop.top()) / crop.height(),
                tone.wish().name(),
                tone.wantedNet(),
                print.map(ToneInPrint::net).orElse(null),
                print.flatMap(ToneInPrint::change).map(Stops::inStops).orElse(null),
                test.patches().stream()
                        .filter(p -> p.tones().contains(tone.name()))
                        .map(PlannedPatchView::number)
                        .findFirst()
                        .orElse(null),
                cord.stream().flatMap(sheet -> on(sheet, tone).stream()).toList(),
                says(tone, crop, print));
    }

    private static List<OnSheetView> on(OnCord sheet, NamedTone tone) {
        return holding(tone, sheet).stream()
                .map(patch -> new OnSheetView(sheet.view().id(), patch))
                .toList();
    }

    /** The patches of a test that hangs in which a tone lies; none of another sheet. */
    public static List<Integer> holding(NamedTone tone, OnCord sheet) {
        return sheet.patches().map(p -> p.holding(tone)).orElse(List.of());
    }

    private static String says(NamedTone tone, Part crop, Optional<ToneInPrint> print) {
        if (!crop.holds(tone.x(), tone.y())) {
            return "Cut off by the crop.";
        }
        if (print.isEmpty()) {
            return "To be " + density(tone.wantedNet()) + ". No scan tells what it is now.";
        }
        String now = "Now " + density(print.get().net()) + ", to be " + density(tone.wantedNet());
        Optional<Stops> change = print.get().change();
        if (change.isEmpty()) {
            return now + ": light alone does not bring it there.";
        }
        if (Math.abs(change.get().inStops()) < SAME_STOPS) {
            return now + (tone.wish() == ToneWish.TRUE_BLACK ? " or more: it is." : ": it is.");
        }
        return now + ": needs " + Show.stops(change.get()) + ".";
    }

    private static String density(double net) {
        return String.format(Locale.ROOT, "%.2f", Math.max(0, net));
    }
}
