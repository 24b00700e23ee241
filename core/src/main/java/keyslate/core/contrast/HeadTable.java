package keyslate.core.contrast;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import keyslate.core.contrast.ColourHead.Setting;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.QuantityException;

/**
 * What the dials of a colour head stand at for each grade, and what that makes of time and range.
 *
 * <p>CON-24: by a generic dichroic set (CON-13) one filter alone, both with one sum, or both at one time for all grades; or the user's own rows. Dials are not points: a head may be 10 % and 3 points off,
 * one standard deviation, and limits say what twice that does. No filter (dials at 0) is the reference. Derived in docs/formulas/contrast.md.
 *
 * @param settings by grade; a grade that is missing the head does not reach in this way
 */
public record HeadTable(Way way, Map<GradeFilter, Setting> settings) {
    /** How both dials are used. */
    public enum Way {
        /** Yellow for softer, magenta for harder, never both. */
        SINGLE,
        /** Both, together always the same number of points. */
        PAIRED,
        /** Both, so that every grade takes the same time. */
        CONSTANT_TIME,
        /** As typed or read from a file. */
        OWN
    }

    /** Points of both together where they are paired. */
    public static final double PAIRED_POINTS = 130;
    /** log10 over white light that every grade takes at constant time. */
    public static final double CONSTANT_SLOWER = 0.5;

    private static final double TWICE_SCALE = 0.2;
    private static final double TWICE_OFFSET = 6;
    /** Lamps of 2700 to 3400 K, log10 of green over blue. */
    private static final double TWICE_LAMP = 0.08;

    private static final double SMALL = 0.05;
    private static final double NO_FILTER_RANGE = 10;
    private static final double STOP = Math.log10(2);

    public HeadTable {
        settings = Map.copyOf(settings);
        settings.values().forEach(s -> {
            Check.within("yellow", s.yellow(), 0, ColourHead.MOST, "points");
            Check.within("magenta", s.magenta(), 0, ColourHead.MOST, "points");
            Check.positive("factor", s.timeFactor(), "");
        });
    }

    /** By a generic dichroic set. */
    public static HeadTable generic(VariableContrastPaper paper, Way way) {
        ColourHead head = new ColourHead(paper);
        Function<Grade, Setting> setting = switch (way) {
            case SINGLE -> head::single;
            case PAIRED -> head::paired;
            case CONSTANT_TIME -> grade -> head.dual(grade, CONSTANT_SLOWER);
            case OWN -> throw Check.infeasible("table", "a head's own table has to be typed");
        };
        Map<GradeFilter, Setting> settings = new EnumMap<>(GradeFilter.class);
        for (GradeFilter filter : GradeFilter.set()) {
            try {
                settings.put(filter, setting.apply(filter.grade()));
            } catch (QuantityException e) {
                // Beyond its dials: the grade is missing from the table.
            }
        }
        return new HeadTable(way, settings);
    }

    /** What it is set to for a grade; none where the head does not reach it. */
    public Optional<Setting> of(GradeFilter filter) {
        return Optional.ofNullable(settings.get(filter));
    }

    /** The hardest grade it reaches; none of an empty table. */
    public Optional<GradeFilter> hardest() {
        return settings.keySet().stream().max(Enum::compareTo);
    }

    /** The softest. */
    public Optional<GradeFilter> softest() {
        return settings.keySet().stream().min(Enum::compareTo);
    }

    /** What it makes of time and range on a paper: the light of the points that are meant, as far as dials may be off. */
    public FilterTable filters(VariableContrastPaper paper) {
        Map<GradeFilter, FilterTable.Entry> entries = new EnumMap<>(GradeFilter.class);
        settings.forEach((filter, s) -> entries.put(filter, entry(paper, s)));
        entries.put(
                GradeFilter.NONE,
                new FilterTable.Entry(0, 0, paper.isoRange(VariableContrastPaper.WHITE_LIGHT_RATIO), NO_FILTER_RANGE));
        return new FilterTable(GradeFilter.NONE, entries, true);
    }

    /** What may be wrong with a head. */
    public enum Error {
        YELLOW_OFFSET(TWICE_OFFSET),
        YELLOW_SCALE(TWICE_SCALE),
        MAGENTA_OFFSET(TWICE_OFFSET),
        MAGENTA_SCALE(TWICE_SCALE),
        LAMP(TWICE_LAMP);

        private final double limit;

        Error(double limit) {
            this.limit = limit;
        }

        /** How far it may go, 95 %: points, a share of the points, or log10 of green over blue. */
        public double limit() {
            return limit;
        }
    }

    /** What one unit of an error does to a grade: log10 of the time for whites, and R. */
    public double[] effect(VariableContrastPaper paper, GradeFilter filter, Error error) {
        Setting s = settings.get(filter);
        if (s == null) {
            return new double[] {0, 0};
        }
        double yellow = s.yellow() == 0 ? 0 : 1;
        double magenta = s.magenta() == 0 ? 0 : 1;
        double unit = SMALL * error.limit();
        double y = s.yellow()
                + yellow * unit * (error == Error.YELLOW_OFFSET ? 1 : error == Error.YELLOW_SCALE ? s.yellow() : 0);
        double m = s.magenta()
                + magenta * unit * (error == Error.MAGENTA_OFFSET ? 1 : error == Error.MAGENTA_SCALE ? s.magenta() : 0);
        double[] meant = lightOf(paper, s.yellow(), s.magenta(), 0);
        double[] off = lightOf(paper, y, m, error == Error.LAMP ? unit : 0);
        return new double[] {(off[0] - meant[0]) / unit, (off[1] - meant[1]) / unit};
    }

    private FilterTable.Entry entry(VariableContrastPaper paper, Setting s) {
        double[] meant = lightOf(paper, s.yellow(), s.magenta());
        double[] yellowOff = lightOf(paper, moved(s.yellow()), s.magenta());
        double[] magentaOff = lightOf(paper, s.yellow(), moved(s.magenta()));
        return new FilterTable.Entry(
                way == Way.OWN ? Math.log10(s.timeFactor()) : meant[0],
                Math.hypot(yellowOff[0] - meant[0], magentaOff[0] - meant[0]) / STOP,
                meant[1],
                Math.hypot(yellowOff[1] - meant[1], magentaOff[1] - meant[1]));
    }

    /** Where a dial may truly stand; one at 0 is out of the light. */
    private static double moved(double points) {
        return points == 0 ? 0 : points * (1 + TWICE_SCALE) + TWICE_OFFSET;
    }

    /** log10 of the time for whites over white light's, and R. */
    private static double[] lightOf(VariableContrastPaper paper, double yellow, double magenta) {
        return lightOf(paper, yellow, magenta, 0);
    }

    private static double[] lightOf(VariableContrastPaper paper, double yellow, double magenta, double greener) {
        double blue = (yellow * ColourHead.YELLOW_BLUE + magenta * ColourHead.MAGENTA_BLUE) / 100;
        double green = (yellow * ColourHead.YELLOW_GREEN + magenta * ColourHead.MAGENTA_GREEN) / 100;
        double ratio = VariableContrastPaper.WHITE_LIGHT_RATIO + greener - green + blue;
        double whites = paper.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, ratio)
                + blue
                - paper.logBlueFor(VariableContrastPaper.HIGHLIGHT_NET, VariableContrastPaper.WHITE_LIGHT_RATIO);
        return new double[] {whites, paper.isoRange(ratio)};
    }
}
