package keyslate.server.slate;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import keyslate.core.colour.AdditiveHead;
import keyslate.core.colour.FirstPack;
import keyslate.core.colour.NeutralRemoval;
import keyslate.core.colour.PackTimes;
import keyslate.core.colour.PackTimes.Following;
import keyslate.core.colour.Primary;
import keyslate.core.light.Light;
import keyslate.core.medium.Colour;
import keyslate.core.quantity.FilterPack;
import keyslate.server.Show;
import keyslate.server.rig.Follows;
import keyslate.server.rig.LightView;
import keyslate.server.rig.Rig;
import keyslate.server.slate.SlateViews.GreyView;
import keyslate.server.slate.SlateViews.PackView;
import keyslate.server.slate.SlateViews.ThirdView;
import org.jspecify.annotations.Nullable;

/** The pack of a rig on its head. */
final class PackViews {
    private PackViews() {}

    /** How its time follows it; none where its light is no pack. */
    static Optional<PackView> of(Rig rig) {
        if (!(rig.medium().core() instanceof Colour colour)) {
            return Optional.empty();
        }
        PackTimes times = colour.times();
        String source =
                rig.constants().packTimesSource(rig.enlarger().id()).name().toLowerCase(Locale.ROOT);
        return Optional.of(new PackView(
                times.cyan(),
                times.magenta(),
                times.yellow(),
                Follows.of(times.following()),
                source,
                grey(rig, times),
                rig.thirds()
                        .flatMap(t -> rig.thirdsSet().map(set -> thirds(t, set)))
                        .orElse(null),
                note(rig.light().toPack())));
    }

    private static @Nullable String note(FilterPack pack) {
        return FirstPack.isUnfiltered(pack)
                ? "No magenta and no yellow beyond any grey: a masked negative prints far from neutral with it, so that its first sheet is spent on measuring. The middle of the dials or a data sheet comes nearer."
                : null;
    }

    private static List<ThirdView> thirds(AdditiveHead.Times times, AdditiveHead.Times set) {
        return Stream.of(Primary.values())
                .map(p -> new ThirdView(
                        p.word(), times.of(p).inSeconds(), set.of(p).inSeconds()))
                .toList();
    }

    private static @Nullable GreyView grey(Rig rig, PackTimes times) {
        FilterPack pack = rig.light().toPack();
        NeutralRemoval clean = NeutralRemoval.of(pack.toShift());
        if (clean.neutralPoints() == 0) {
            return null;
        }
        double byFactors =
                rig.base().inSeconds() * times.following(Following.ON).timeFactor(pack, clean.pack());
        return new GreyView(
                clean.neutralPoints(),
                LightView.of(Light.dials(clean.pack())),
                rig.base().times(clean.timeFactor()).inSeconds(),
                Show.grey(clean, ""),
                times.addUp()
                        ? null
                        : String.format(
                                Locale.ROOT,
                                "The factors of this head add up to %.2f: by them it would be %s.",
                                times.sum(),
                                Show.seconds(byFactors)));
    }
}
