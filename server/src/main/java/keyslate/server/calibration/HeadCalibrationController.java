package keyslate.server.calibration;

import keyslate.server.calibration.CalibrationViews.CalibrationView;
import keyslate.server.calibration.HeadAsked.GelsAsked;
import keyslate.server.calibration.HeadAsked.LightsAsked;
import keyslate.server.calibration.HeadAsked.PackTimesAsked;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What a head does to colour paper. */
@RestController
class HeadCalibrationController {
    private final HeadCalibrationService heads;

    HeadCalibrationController(HeadCalibrationService heads) {
        this.heads = heads;
    }

    /** How time follows the pack: one's own factors, or pairs of sheets that came out as dark. */
    @PostMapping("/api/stores/enlargers/{id}/pack-times")
    CalibrationView packTimes(@PathVariable String id, @RequestBody PackTimesAsked asked) {
        return heads.packTimes(id, asked);
    }

    /** The shares of red, green and blue light, where a head prints with them one after another. */
    @PostMapping("/api/stores/enlargers/{id}/lights")
    CalibrationView lights(@PathVariable String id, @RequestBody LightsAsked asked) {
        return heads.lights(id, asked);
    }

    /** The gels that packs are made of, where there are no dials. */
    @PostMapping("/api/stores/enlargers/{id}/gels")
    CalibrationView gels(@PathVariable String id, @RequestBody GelsAsked asked) {
        return heads.gels(id, asked);
    }
}
