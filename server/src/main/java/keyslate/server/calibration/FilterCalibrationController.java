package keyslate.server.calibration;

import keyslate.server.calibration.CalibrationViews.CalibrationView;
import keyslate.server.calibration.FilterAsked.BatchAsked;
import keyslate.server.calibration.FilterAsked.FiltersAsked;
import keyslate.server.calibration.FilterAsked.HeadTableAsked;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Filters, dials and batches, read from sheets; kept only where that is asked for. */
@RestController
class FilterCalibrationController {
    private final FilterCalibrationService calibrations;

    FilterCalibrationController(FilterCalibrationService calibrations) {
        this.calibrations = calibrations;
    }

    /** Times and ranges of the filters of an enlarger on a paper. */
    @PostMapping("/api/stores/papers/{id}/filters")
    CalibrationView filters(@PathVariable String id, @RequestBody FiltersAsked asked) {
        return calibrations.filters(id, asked);
    }

    /** How the dials of a head make grades. */
    @PostMapping("/api/stores/enlargers/{id}/head-table")
    CalibrationView head(@PathVariable String id, @RequestBody HeadTableAsked asked) {
        return calibrations.head(id, asked);
    }

    /** How much more light a paper needs than another box of it. */
    @PostMapping("/api/stores/papers/{id}/batch")
    CalibrationView batch(@PathVariable String id, @RequestBody BatchAsked asked) {
        return calibrations.batch(id, asked);
    }
}
