package keyslate.server.calibration;

import keyslate.server.calibration.CalibrationViews.CalibrationView;
import keyslate.server.calibration.CalibrationViews.ColumnAsked;
import keyslate.server.calibration.CalibrationViews.DryDownAsked;
import keyslate.server.calibration.CalibrationViews.EvennessAsked;
import keyslate.server.calibration.CalibrationViews.LagAsked;
import keyslate.server.calibration.CalibrationViews.MeterAsked;
import keyslate.server.calibration.CalibrationViews.MeterView;
import keyslate.server.calibration.CalibrationViews.OpeningsAsked;
import keyslate.server.calibration.CalibrationViews.PupilAsked;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Readings of a meter and a clock, and what they say of a thing; kept only where that is asked for. */
@RestController
class CalibrationController {
    private final CalibrationService calibrations;
    private final MeterService meter;

    CalibrationController(CalibrationService calibrations, MeterService meter) {
        this.calibrations = calibrations;
        this.meter = meter;
    }

    /** How long a lamp is dead in each burst, and how well bursts repeat. */
    @PostMapping("/api/stores/enlargers/{id}/lag")
    CalibrationView lag(@PathVariable String id, @RequestBody LagAsked asked) {
        return calibrations.lag(id, asked);
    }

    /** How even the light on the board is. */
    @PostMapping("/api/stores/enlargers/{id}/evenness")
    CalibrationView evenness(@PathVariable String id, @RequestBody EvennessAsked asked) {
        return calibrations.evenness(id, asked);
    }

    /** Which size a reading of the column is. */
    @PostMapping("/api/stores/enlargers/{id}/column")
    CalibrationView column(@PathVariable String id, @RequestBody ColumnAsked asked) {
        return calibrations.column(id, asked);
    }

    /** What the openings of a lens truly are. */
    @PostMapping("/api/stores/lenses/{id}/openings")
    CalibrationView openings(@PathVariable String id, @RequestBody OpeningsAsked asked) {
        return calibrations.openings(id, asked);
    }

    /** How the light of a lens follows the size. */
    @PostMapping("/api/stores/lenses/{id}/pupil")
    CalibrationView pupil(@PathVariable String id, @RequestBody PupilAsked asked) {
        return calibrations.pupil(id, asked);
    }

    /** By how much a paper dries down. */
    @PostMapping("/api/stores/papers/{id}/dry-down")
    CalibrationView dryDown(@PathVariable String id, @RequestBody DryDownAsked asked) {
        return calibrations.dryDown(id, asked);
    }

    /** What the simulated meter or ruler of the practice darkroom shows. */
    @PostMapping("/api/practice/meter")
    MeterView meter(@RequestBody MeterAsked asked) {
        return meter.shows(asked);
    }
}
