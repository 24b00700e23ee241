package keyslate.server.stores;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.stores.StoresViews.ConstantView;
import keyslate.server.stores.StoresViews.Facts;
import keyslate.server.stores.StoresViews.ThingAsked;
import keyslate.server.stores.StoresViews.ThingView;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.bench.KitRepository;
import keyslate.store.bench.Thing;
import keyslate.store.json.StoredFacts;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Things besides enlargers, lenses, paper and baths, as they are asked and shown. */
@Component
public class Things {
    private final KitRepository kits;
    private final Clock clock;

    Things(KitRepository kits, Clock clock) {
        this.kits = kits;
        this.clock = clock;
    }

    /** A thing to be put on its shelf; each field that cannot be is said. */
    public Thing added(FieldErrors errors, ThingAsked asked) {
        ThingKind kind =
                errors.check("/kind", ThingKind.EASEL, () -> EquipmentChecks.oneOf(ThingKind.class, asked.kind()));
        String id = Ids.fresh();
        return new Thing(
                id,
                kind.name(),
                named(errors, kind, asked.name(), id),
                kind.checked(errors, asked.facts() == null ? noFacts() : asked.facts()),
                Clocks.now(clock),
                null);
    }

    /** The same thing as it is now said to be; what is left out stays. */
    public Thing changed(FieldErrors errors, Thing before, ThingAsked asked) {
        ThingKind kind = ThingKind.valueOf(before.kind());
        String name = asked.name() == null ? before.name() : named(errors, kind, asked.name(), before.id());
        StoredFacts facts = asked.facts() == null ? before.facts() : kind.checked(errors, asked.facts());
        return new Thing(
                before.id(),
                before.kind(),
                name,
                kind == ThingKind.VIEWING_KIT ? facts.formerly(formerNames(before, name)) : facts,
                before.addedAt(),
                null);
    }

    private String named(FieldErrors errors, ThingKind kind, @Nullable String asked, String id) {
        if (kind != ThingKind.VIEWING_KIT) {
            return Texts.checked(errors, "/name", asked, 1, EquipmentChecks.LONGEST_NAME);
        }
        String name = KitChecks.name(errors, asked);
        KitChecks.refuseTaken(errors, kits, name, id);
        return name;
    }

    /** A kit that is called otherwise keeps what was looked through it. */
    private static List<String> formerNames(Thing before, String name) {
        return Stream.concat(
                        Optional.ofNullable(before.facts().formerNames()).orElse(List.of()).stream(),
                        Stream.of(before.name()))
                .filter(former -> !former.equalsIgnoreCase(name))
                .distinct()
                .toList();
    }

    private static Facts noFacts() {
        return new Facts(null, null, null, null, null, null, null, null, null, null, null);
    }

    static ThingView view(Thing t, List<ConstantView> constants) {
        StoredFacts f = t.facts();
        return new ThingView(
                t.id(),
                t.kind(),
                t.name(),
                new Facts(
                        f.longMm(),
                        f.shortMm(),
                        f.bordersFixedMm(),
                        f.place(),
                        f.timeFactor(),
                        f.pieces(),
                        f.feed(),
                        f.darkUntil(),
                        f.kelvin(),
                        f.says(),
                        f.strengths()),
                ThingKind.says(f),
                constants);
    }
}
