package keyslate.core.trial.printer;

import java.util.ArrayList;
import java.util.List;
import keyslate.core.calibration.BatchReadings;
import keyslate.core.calibration.ColumnScale;
import keyslate.core.calibration.FilterReadings;
import keyslate.core.calibration.LagReadings;
import keyslate.core.calibration.Measured;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.exposure.Reciprocity;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Magnification;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.GradedLights;
import keyslate.core.reading.SlateEvidence.Tone;
import keyslate.core.rescale.ExposureChain;
import keyslate.core.rescale.Known;
import keyslate.core.rescale.Link;
import keyslate.core.rescale.Links;
import keyslate.core.size.ThinLens;
import keyslate.core.trial.printer.MoveTable.Side;

/** A print made again with another set-up, as Set up rescales it: with what ships with the application, or after the calibrations by meter and clock. */
public final class CarryOver {
    private static final GradedLights LIGHTS = GradedLights.usual(new VariableContrastPaper());

    private final MoveTable table;
    private final boolean calibrated;

    private CarryOver(MoveTable table, boolean calibrated) {
        this.table = table;
        this.calibrated = calibrated;
    }

    /**
     * The first sheet of the move.
     *
     * @param setSeconds on the timer
     * @param limit that is stated, 95 %
     */
    public record Sheet(double setSeconds, Stops limit) {}

    /** The first sheet. */
    public static Sheet follow(MoveTable table, boolean calibrated) {
        return new CarryOver(table, calibrated).sheet();
    }

    private Sheet sheet() {
        Known lagBefore = lag(Side.BEFORE);
        Known lagAfter = table.sameEnlarger() ? lagBefore : lag(Side.AFTER);
        ExposureTime received = ExposureTime.ofSeconds(table.acceptedSet().inSeconds() - lagBefore.figure());
        double sizeLimit = table.byColumn() ? standAt() : 0;
        List<Link> links = new ArrayList<>(table.sameEnlarger() ? bySizes(sizeLimit) : byMeter());
        links.add(filter());
        links.add(table.otherBatch() ? batch() : new Link(Link.Cause.BATCH, Stops.ZERO, Stops.ZERO));
        ExposureTime carried = new ExposureChain(links).apply(received, Reciprocity.NONE);
        links.add(Links.lag(received, lagBefore, carried, lagAfter, table.sameEnlarger()));
        double set = Printers.tenth(carried.inSeconds() + lagAfter.figure());
        links.add(Links.timer(carried, ExposureTime.ofSeconds(set - lagAfter.figure())));
        return new Sheet(set, new ExposureChain(links).limit());
    }

    private List<Link> bySizes(double sizeLimit) {
        boolean sameMark = table.sameLens() && table.mark(Side.BEFORE).equals(table.mark(Side.AFTER));
        Link opening = Links.opening(
                table.mark(Side.BEFORE).trueNumber(),
                opening(Side.BEFORE),
                table.mark(Side.AFTER).trueNumber(),
                opening(Side.AFTER),
                sameMark);
        return List.of(sizes(sizeLimit), opening);
    }

    private Link sizes(double sizeLimit) {
        Known before = pupil(Side.BEFORE);
        if (table.sameLens()) {
            return Links.size(table.size(Side.BEFORE), 0, table.size(Side.AFTER), sizeLimit, before);
        }
        return Links.sizeThroughAnother(
                table.size(Side.BEFORE), before, table.size(Side.AFTER), sizeLimit, pupil(Side.AFTER));
    }

    private List<Link> byMeter() {
        Link meter = Links.meter(table.lux(Side.BEFORE), table.lux(Side.AFTER), Links.METER_STOPS);
        return List.of(meter, new Link(Link.Cause.LAMP, Stops.ZERO, Stops.of(Links.LAMPS.limit())));
    }

    /** From the filter that stood to the one that stands; under another enlarger both lie in sets of their own, and what each costs against no filter is read where it was calibrated. */
    private Link filter() {
        GradeFilter from = table.filter(Side.BEFORE);
        GradeFilter to = table.filter(Side.AFTER);
        if (table.sameEnlarger() && from == to) {
            return Links.filter(0, Stops.ZERO, Stops.ZERO);
        }
        if (!calibrated) {
            double log =
                    LIGHTS.factorLog(Light.filter(to), Tone.WHITES) - LIGHTS.factorLog(Light.filter(from), Tone.WHITES);
            return Links.filter(log, open(from), open(to));
        }
        GradeFilter against = table.sameEnlarger() ? from : GradeFilter.NONE;
        FilterReadings.Light after = table.strip(Side.AFTER, to);
        FilterReadings.Light before = table.strip(Side.BEFORE, from);
        double log = after.whitesLogSeconds() - before.whitesLogSeconds();
        double limitFrom = before.limitStops();
        double limitTo = after.limitStops();
        if (against == GradeFilter.NONE) {
            FilterReadings.Light bareAfter = table.strip(Side.AFTER, GradeFilter.NONE);
            FilterReadings.Light bareBefore = table.strip(Side.BEFORE, GradeFilter.NONE);
            log += bareBefore.whitesLogSeconds() - bareAfter.whitesLogSeconds();
            limitFrom = Math.hypot(limitFrom, bareBefore.limitStops());
            limitTo = Math.hypot(limitTo, bareAfter.limitStops());
        }
        return Links.filter(log, Stops.of(limitFrom), Stops.of(limitTo));
    }

    /** Of a filter of a set that was not measured. */
    private static Stops open(GradeFilter filter) {
        return Stops.of(Math.hypot(LIGHTS.limitStops(Light.filter(filter)), Links.UNMEASURED_FILTER.inStops()));
    }

    private Link batch() {
        if (!calibrated) {
            return Links.batch(Links.BATCH);
        }
        Measured more = BatchReadings.more(List.of(table.greys()), FilterReadings.USUAL_UNCERTAINTY);
        return Links.batch(Known.measured(more.figure(), more.limit()));
    }

    private Known lag(Side side) {
        if (!calibrated) {
            return Links.LAG;
        }
        LagReadings.Result read = table.lag(side).result();
        return Known.measured(read.lag().figure(), read.lag().limit());
    }

    private Known opening(Side side) {
        if (!calibrated) {
            return Links.OPENING;
        }
        Measured read = table.openings(side).offsets().get(table.mark(side));
        return Known.measured(read.figure(), read.limit());
    }

    private Known pupil(Side side) {
        if (!calibrated) {
            return Links.PUPIL;
        }
        Measured read = table.pupil(side).inversePupil();
        return Known.measured(read.figure(), read.limit());
    }

    /** The limit of the size that the scale gives. */
    private double standAt() {
        Magnification wanted = table.size(Side.AFTER);
        double focal = table.focalMm(Side.AFTER);
        if (!calibrated) {
            ThinLens lens = ThinLens.ofMm(focal);
            table.standsAt(
                    lens.filmToLens(wanted).inMm() + lens.lensToPaper(wanted).inMm());
            double m = wanted.inTimes();
            return Links.COLUMN_MM / (focal * (1 - 1 / (m * m)));
        }
        ColumnScale scale = table.column().scale();
        double reading = scale.reading(wanted).figure();
        table.standsAt(reading);
        return scale.magnification(reading).limit();
    }
}
