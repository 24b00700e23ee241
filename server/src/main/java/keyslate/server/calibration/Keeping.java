package keyslate.server.calibration;

import java.time.Clock;
import java.util.List;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.calibration.CalibrationViews.CalibrationView;
import keyslate.server.calibration.CalibrationViews.PlaceView;
import keyslate.server.rig.Constants.Name;
import keyslate.server.stores.ConstantViews;
import keyslate.store.Database;
import keyslate.store.bench.Constant;
import keyslate.store.bench.ConstantRepository;
import keyslate.store.json.Json;
import keyslate.store.json.StoredConstant;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Shows what was found and, where it is asked to, keeps it beside the readings it came from. */
@Component
class Keeping {
    private final Database database;
    private final ConstantRepository constants;
    private final Clock clock;

    Keeping(Database database, ConstantRepository constants, Clock clock) {
        this.database = database;
        this.constants = constants;
        this.clock = clock;
    }

    /**
     * What was found, before it is kept.
     *
     * @param thingId what it holds for
     * @param besideId the lens, enlarger or box it holds with; empty where there is none
     * @param source {@link Constant#MEASURED} or {@link Constant#ENTERED}
     */
    record Found(
            String thingId,
            String besideId,
            Name name,
            String source,
            StoredConstant value,
            @Nullable Object readings) {
        static Found measured(
                String thingId, String besideId, Name name, StoredConstant value, @Nullable Object readings) {
            return new Found(thingId, besideId, name, Constant.MEASURED, value, readings);
        }
    }

    CalibrationView kept(
            Found found, @Nullable Boolean keep, String headline, List<String> why, List<PlaceView> places) {
        Constant constant = new Constant(
                Ids.fresh(),
                found.thingId(),
                found.besideId(),
                found.name().name(),
                Clocks.now(clock),
                found.source(),
                found.value(),
                found.readings() == null ? null : Json.write(found.readings()),
                "",
                null);
        boolean isKept = Boolean.TRUE.equals(keep);
        if (isKept) {
            database.inTransaction(() -> constants.add(constant));
        }
        return new CalibrationView(headline, why, ConstantViews.view(constant), places, isKept ? constant.id() : null);
    }
}
