package keyslate.server.tone;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
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
import keyslate.server.sheet.SheetViews.RectView;
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
        Part strip = crop.within(part(test.area()));
        OptionalInt patch = patch(
                tone,
                strip,
                test.patches().stream().map(PlannedPatchView::place).toList());
        return new ToneView(
                tone.name(),
                (tone.x() - crop.left()) / crop.width(),
                (tone.y() - crop.top()) / crop.height(),
                tone.wish().name(),
                tone.wantedNet(),
                print.map(ToneInPrint::net).orElse(null),
                print.flatMap(ToneInPrint::change).map(Stops::inStops).orElse(null),
                patch.isPresent() ? patch.getAsInt() : null,
                cord.stream().flatMap(sheet -> on(sheet, tone).stream()).toList(),
                says(tone, crop, print));
    }

    private static Optional<OnSheetView> on(OnCord sheet, NamedTone tone) {
        OptionalInt patch = patch(tone, sheet);
        return patch.isPresent() ? Optional.of(new OnSheetView(sheet.view().id(), patch.getAsInt())) : Optional.empty();
    }

    /** The patch of a test that hangs in which a tone lies. */
    public static OptionalInt patch(NamedTone tone, OnCord sheet) {
        return patch(
                tone,
                sheet.exposed().piece().view(),
                sheet.view().patches().stream().map(p -> p.place()).toList());
    }

    private static OptionalInt patch(NamedTone tone, Part view, List<RectView> patches) {
        return IntStream.rangeClosed(1, patches.size())
                .filter(n -> tone.liesIn(view, part(patches.get(n - 1))))
                .findFirst();
    }

    private static Part part(RectView r) {
        return new Part(r.left(), r.top(), r.width(), r.height());
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
