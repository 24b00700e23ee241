package keyslate.server.kit;

import keyslate.server.kit.KitViews.KitAsked;
import keyslate.server.kit.KitViews.ViewingKit;
import keyslate.server.kit.KitViews.ViewingKits;
import keyslate.server.stores.KitChecks;
import keyslate.server.stores.StoresViews.Facts;
import keyslate.server.stores.StoresViews.ThingAsked;
import keyslate.server.stores.Things;
import keyslate.server.web.FieldErrors;
import keyslate.store.Database;
import keyslate.store.bench.Kit;
import keyslate.store.bench.KitRepository;
import keyslate.store.bench.StoresRepository;
import keyslate.store.bench.Thing;
import org.springframework.stereotype.Service;

/** The kits of viewing filters on the shelf, as they are taken in hand at a print. */
@Service
class KitService {
    private final Database database;
    private final KitRepository kits;
    private final StoresRepository stores;
    private final Things things;

    KitService(Database database, KitRepository kits, StoresRepository stores, Things things) {
        this.database = database;
        this.kits = kits;
        this.stores = stores;
        this.things = things;
    }

    ViewingKits all() {
        return database.inSnapshot(this::inUse);
    }

    private ViewingKits inUse() {
        return new ViewingKits(kits.all().stream().map(ViewingKit::of).toList());
    }

    /** Puts a kit on the shelf, or changes the one of its name, and takes it in hand. */
    ViewingKits keep(KitAsked asked) {
        return database.inTransaction(() -> {
            Thing kit = checked(asked);
            stores.put(kit);
            stores.retire(kit.id(), null);
            kits.take(kit.id());
            return inUse();
        });
    }

    private Thing checked(KitAsked asked) {
        FieldErrors errors = new FieldErrors();
        String name = KitChecks.name(errors, asked.name());
        if (asked.says() == null) {
            errors.add("/says", "E_SHAPE", "Say what stands on the filters: their strength, or the correction.");
        }
        KitChecks.strengths(errors, "/strengths", asked.strengths());
        errors.throwIfAny();
        Facts facts = new Facts(
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                asked.says().name(),
                asked.strengths());
        ThingAsked thing = new ThingAsked(Kit.KIND, name, facts);
        Thing made = kits.find(name)
                .filter(kit -> kit.name().equalsIgnoreCase(name))
                .flatMap(kit -> stores.thing(kit.id()))
                .map(before -> things.changed(errors, before, thing))
                .orElseGet(() -> things.added(errors, thing));
        errors.throwIfAny();
        return made;
    }
}
