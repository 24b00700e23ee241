package keyslate.server.calibration;

import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import keyslate.core.darkroom.StandInEquipment;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.QuantityException;
import keyslate.server.calibration.CalibrationViews.MeterAsked;
import keyslate.server.calibration.CalibrationViews.MeterView;
import keyslate.server.print.SimulatedEquipment;
import keyslate.server.web.ConflictException;
import keyslate.server.web.FieldErrors;
import keyslate.store.bench.Enlarger;
import keyslate.store.bench.Lens;
import keyslate.store.bench.StoresRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** The simulated meter and ruler of the practice darkroom; each reading errs anew. */
@Service
class MeterService {
    private static final Map<Shows, String> UNITS = Map.of(Shows.LUX, "lx", Shows.DOSE, "lx s", Shows.LENGTH, "mm");

    private final StoresRepository stores;
    private final boolean practice;
    private final AtomicLong readings = new AtomicLong();

    MeterService(StoresRepository stores, @Value("${keyslate.practice:false}") boolean practice) {
        this.stores = stores;
        this.practice = practice;
    }

    private enum Shows {
        LUX,
        DOSE,
        LENGTH
    }

    MeterView shows(MeterAsked asked) {
        if (!practice) {
            throw new ConflictException(
                    "no-meter", "There is a simulated meter in the practice darkroom alone. Type what yours shows.");
        }
        FieldErrors errors = new FieldErrors();
        Shows shows = errors.check("/shows", Shows.LUX, () -> which(asked.shows()));
        Enlarger enlarger = asked.enlargerId() == null
                ? null
                : stores.enlarger(asked.enlargerId()).orElse(null);
        Lens lens = asked.lensId() == null ? null : stores.lens(asked.lensId()).orElse(null);
        if (enlarger == null) {
            errors.add("/enlargerId", "E_SHAPE", "Choose an enlarger.");
        }
        if (lens == null) {
            errors.add("/lensId", "E_SHAPE", "Choose the lens that is on.");
        }
        errors.throwIfAny();
        StandInEquipment stand = SimulatedEquipment.of(enlarger, lens);
        long reading = SimulatedEquipment.mixed(readings.incrementAndGet());
        Double shown = errors.check("", null, () -> switch (shows) {
            case LUX -> stand.lux(mark(asked, lens), size(asked), corner(asked), reading);
            case DOSE -> stand.dose(mark(asked, lens), size(asked), number("set time", asked.setSeconds()), reading);
            case LENGTH ->
                stand.projectedMm(
                        Check.within("mark", number("mark", asked.markMm()), 1, 500, "mm"),
                        number("column reading", asked.columnReading()),
                        reading);
        });
        errors.throwIfAny();
        return new MeterView(shown, UNITS.get(shows));
    }

    private static Shows which(@Nullable String asked) {
        for (Shows one : Shows.values()) {
            if (one.name().equals(asked)) {
                return one;
            }
        }
        throw new QuantityException(QuantityException.Kind.WRONG_SHAPE, "reading", "it shows LUX, DOSE or LENGTH");
    }

    private static ApertureMark mark(MeterAsked asked, Lens lens) {
        return ApertureMark.onRing(number("mark", asked.mark()), lens.openMark(), lens.marksPerStop());
    }

    private static Magnification size(MeterAsked asked) {
        return Magnification.of(number("size", asked.magnification()));
    }

    private static int corner(MeterAsked asked) {
        return asked.corner() == null ? -1 : Check.count("corner", asked.corner(), 0, 3);
    }

    private static double number(String name, @Nullable Double given) {
        return Check.finite(name, given == null ? Double.NaN : given);
    }
}
