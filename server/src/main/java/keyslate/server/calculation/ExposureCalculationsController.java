package keyslate.server.calculation;

import java.util.List;
import keyslate.core.curve.PaperSpeed;
import keyslate.core.exposure.ApertureMark;
import keyslate.core.exposure.ApertureTrade;
import keyslate.core.exposure.LampLag;
import keyslate.core.exposure.Reciprocity;
import keyslate.core.exposure.TimerSteps;
import keyslate.core.exposure.WorkableTime;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.FNumber;
import keyslate.core.quantity.Stops;
import keyslate.server.web.RefusedException;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Times, openings, timers, lamps. */
@RestController
@RequestMapping("/api/calculations")
class ExposureCalculationsController {
    private static final double NOTICED_STOPS = 1.0 / 24;

    /** One of the other time and the change. */
    record ExposureChangeRequest(
            ExposureTime seconds,
            @Nullable ExposureTime toSeconds,
            @Nullable Stops changeStops) {}

    /** Positive stops = more light. */
    record ExposureChangeAnswer(
            double seconds, double toSeconds, double changeStops, double factor, List<String> formulas) {}

    @Calculates("Stops between two times, or the time some stops away (EXP-01, EXP-02)")
    @PostMapping("/exposure-change")
    ExposureChangeAnswer exposureChange(@RequestBody ExposureChangeRequest asked) {
        ExposureTime from = asked.seconds();
        ExposureTime to = asked.toSeconds();
        if ((to == null) == (asked.changeStops() == null)) {
            throw RefusedException.of("/changeStops", "E_SHAPE", "Give either toSeconds or changeStops.");
        }
        ExposureTime end = to != null ? to : from.plus(asked.changeStops());
        Stops between = end.stopsFrom(from);
        return new ExposureChangeAnswer(
                from.inSeconds(), end.inSeconds(), between.inStops(), between.toFactor(), List.of("EXP-01", "EXP-02"));
    }

    /** An engraved number on a ring with 1, 2 or 3 marks a stop. */
    record ApertureMarkRequest(double engraved, int marksPerStop) {}

    /** {@code residualStops}: how far what is engraved is from the true number. */
    record ApertureMarkAnswer(double engraved, double trueFNumber, double residualStops, List<String> formulas) {}

    @Calculates("The true f-number of an engraved mark (EXP-05)")
    @PostMapping("/aperture-mark")
    ApertureMarkAnswer apertureMark(@RequestBody ApertureMarkRequest asked) {
        Given given = new Given();
        ApertureMark mark =
                given.of("/engraved", () -> ApertureMark.ofEngraved(asked.engraved(), asked.marksPerStop()));
        given.complete();
        return new ApertureMarkAnswer(
                mark.engraved(),
                mark.trueNumber().inFStops(),
                mark.residualFrom(FNumber.of(asked.engraved())).inStops(),
                List.of("EXP-05"));
    }

    /** A time at one opening. */
    record ApertureTradeRequest(ExposureTime seconds, FNumber fromFNumber, FNumber toFNumber) {}

    /** Positive stops = more light from the lens. */
    record ApertureTradeAnswer(double seconds, double lightStops, List<String> formulas) {}

    @Calculates("The time for another opening, by true f-numbers (EXP-04, EXP-06)")
    @PostMapping("/aperture-trade")
    ApertureTradeAnswer apertureTrade(@RequestBody ApertureTradeRequest asked) {
        ExposureTime time = asked.seconds();
        FNumber from = asked.fromFNumber();
        FNumber to = asked.toFNumber();
        return new ApertureTradeAnswer(
                ApertureTrade.timeAt(time, from, to).inSeconds(),
                from.lightChangeTo(to).inStops(),
                List.of("EXP-04", "EXP-06"));
    }

    /** A timer with one step from the step itself to its longest time. */
    record TimerSettingRequest(ExposureTime seconds, double stepSeconds, double longestSeconds) {}

    /** Positive error = too much light. */
    record TimerSettingAnswer(double setSeconds, double errorStops, List<String> formulas) {}

    @Calculates("What to set on a timer, and the error of rounding (EXP-08)")
    @PostMapping("/timer-setting")
    TimerSettingAnswer timerSetting(@RequestBody TimerSettingRequest asked) {
        Given given = new Given();
        ExposureTime time = asked.seconds();
        TimerSteps timer =
                given.of("/stepSeconds", () -> TimerSteps.everywhere(asked.stepSeconds(), asked.longestSeconds()));
        given.complete();
        TimerSteps.Setting set = timer.nearest(time);
        Given.noteIf(
                Math.abs(set.error().inStops()) > NOTICED_STOPS,
                "The steps of this timer leave an error that is seen: over 1/24 stop.");
        return new TimerSettingAnswer(set.time().inSeconds(), set.error().inStops(), List.of("EXP-08"));
    }

    /** So many equal bursts that match one single exposure. */
    record LampLagRequest(int bursts, ExposureTime burstSeconds, ExposureTime singleSeconds) {}

    /** Dead time of each burst. */
    record LampLagAnswer(double lagSeconds, List<String> formulas) {}

    @Calculates("Lag of a lamp from a test (EXP-10)")
    @PostMapping("/lamp-lag")
    LampLagAnswer lampLag(@RequestBody LampLagRequest asked) {
        ExposureTime burst = asked.burstSeconds();
        ExposureTime single = asked.singleSeconds();
        return new LampLagAnswer(LampLag.fromTest(asked.bursts(), burst, single).inSeconds(), List.of("EXP-10"));
    }

    /** A burst of a lamp that rises and glows on with two time constants. */
    record LampLightRequest(double setSeconds, double riseSeconds, double afterglowSeconds) {}

    /** In seconds of full light. */
    record LampLightAnswer(double receivedSeconds, double deadSeconds, List<String> formulas) {}

    @Calculates("Light of a burst of a first-order lamp (EXP-12)")
    @PostMapping("/lamp-light")
    LampLightAnswer lampLight(@RequestBody LampLightRequest asked) {
        double received =
                LampLag.firstOrderReceivedSeconds(asked.setSeconds(), asked.riseSeconds(), asked.afterglowSeconds());
        return new LampLightAnswer(received, asked.setSeconds() - received, List.of("EXP-12"));
    }

    /**
     * A time outside what can be worked with.
     *
     * @param limitSeconds the shortest time that is wanted, or with {@code tooLong} the longest
     * @param furthestEngraved the smallest opening of the lens, or with {@code tooLong} the widest
     */
    record WorkableTimeRequest(
            ExposureTime seconds,
            double engraved,
            int marksPerStop,
            ExposureTime limitSeconds,
            double furthestEngraved,
            boolean tooLong) {}

    /** Positive change = closed; what is missing stays for neutral density or patience. */
    record WorkableTimeAnswer(
            double changeStops, double engraved, double seconds, double stillMissingStops, List<String> formulas) {}

    @Calculates("The opening that makes a time workable (EXP-18)")
    @PostMapping("/workable-time")
    WorkableTimeAnswer workableTime(@RequestBody WorkableTimeRequest asked) {
        Given given = new Given();
        ExposureTime time = asked.seconds();
        ExposureTime limit = asked.limitSeconds();
        ApertureMark now = given.of("/engraved", () -> ApertureMark.ofEngraved(asked.engraved(), asked.marksPerStop()));
        ApertureMark furthest = given.of(
                "/furthestEngraved", () -> ApertureMark.ofEngraved(asked.furthestEngraved(), asked.marksPerStop()));
        given.complete();
        WorkableTime found = asked.tooLong()
                ? WorkableTime.atMost(time, now, limit, asked.marksPerStop(), furthest)
                : WorkableTime.atLeast(time, now, limit, asked.marksPerStop(), furthest);
        return new WorkableTimeAnswer(
                found.change().inStops(),
                found.mark().engraved(),
                found.time().inSeconds(),
                found.stillMissing().inStops(),
                List.of("EXP-18"));
    }

    /**
     * A time on a paper that loses speed.
     *
     * @param exponent p, 0.7 to 1; 1 = no loss
     * @param fromSeconds where the loss begins
     * @param timesFactor factor of time that the light asks for, 1 = the same light
     */
    record LongExposureRequest(ExposureTime seconds, double exponent, double fromSeconds, double timesFactor) {}

    /** {@code meteredSeconds}: what a meter would have said for the time given. */
    record LongExposureAnswer(double seconds, double meteredSeconds, double changeStops, List<String> formulas) {}

    @Calculates("Another light on a paper that loses speed in long exposures (EXP-21, EXP-22)")
    @PostMapping("/long-exposure")
    LongExposureAnswer longExposure(@RequestBody LongExposureRequest asked) {
        Given given = new Given();
        ExposureTime time = asked.seconds();
        Reciprocity paper = given.of("/exponent", () -> new Reciprocity(asked.exponent(), asked.fromSeconds()));
        given.complete();
        ExposureTime there = paper.scaled(time, asked.timesFactor());
        return new LongExposureAnswer(
                there.inSeconds(),
                paper.metered(time).inSeconds(),
                there.stopsFrom(time).inStops(),
                List.of("EXP-21", "EXP-22"));
    }

    /** ISO speeds P of two papers, and how much a print darkens when it dries, 0 to 20 %. */
    record PaperSpeedRequest(ExposureTime seconds, double fromSpeed, double toSpeed, double dryDownPercent) {}

    /** The time on the other paper, dry-down allowed for. */
    record PaperSpeedAnswer(double seconds, List<String> formulas) {}

    @Calculates("The time on a paper of another speed, dry-down allowed for (EXP-27, EXP-28)")
    @PostMapping("/paper-speed")
    PaperSpeedAnswer paperSpeed(@RequestBody PaperSpeedRequest asked) {
        ExposureTime time = asked.seconds();
        ExposureTime other = PaperSpeed.timeOn(time, asked.fromSpeed(), asked.toSpeed());
        return new PaperSpeedAnswer(
                PaperSpeed.allowingForDryDown(other, asked.dryDownPercent()).inSeconds(), List.of("EXP-27", "EXP-28"));
    }
}
