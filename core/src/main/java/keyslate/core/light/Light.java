package keyslate.core.light;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import keyslate.core.colour.FilterSet;
import keyslate.core.colour.Primary;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.FilterPack;
import keyslate.core.quantity.QuantityException;

/**
 * What stands in the beam for one exposure. The paper decides what it does; everybody else keeps it, writes it down by
 * {@link #notation} and reads it back by {@link #of}.
 */
public sealed interface Light {
    /** A filter of a variable-contrast set, or none. */
    record Filter(GradeFilter filter) implements Light {
        private static final String WORD = "grade ";

        @Override
        public String notation() {
            return filter.written();
        }

        @Override
        public GradeFilter toFilter() {
            return filter;
        }
    }

    /** The dials of a colour head: cyan, magenta, yellow in points. */
    record Dials(FilterPack pack) implements Light {
        private static final Pattern WRITTEN = Pattern.compile(
                "(\\d{1,3}(?:[.,]\\d+)?)\\s*/\\s*(\\d{1,3}(?:[.,]\\d+)?)\\s*/\\s*(\\d{1,3}(?:[.,]\\d+)?)");

        @Override
        public String notation() {
            return points(pack.inCyan()) + "/" + points(pack.inMagenta()) + "/" + points(pack.inYellow());
        }

        @Override
        public FilterPack toPack() {
            return pack;
        }

        @Override
        public List<Double> points() {
            return List.of(pack.inCyan(), pack.inMagenta(), pack.inYellow());
        }

        /** A point as it is set: whole where it is whole, else to a tenth. */
        private static String points(double points) {
            double tenth = Math.rint(points * 10) / 10;
            return tenth == Math.rint(tenth) ? Long.toString((long) tenth) : String.format(Locale.ROOT, "%.1f", tenth);
        }
    }

    /**
     * One of the three lights of an additive head, as a third of a pack.
     *
     * @param share of what white light gives its layer, above 0, 1 at most, to a ten-thousandth (COL-34)
     * @param pack what the three together print as, in ideal points to a tenth
     */
    record Third(Primary primary, double share, FilterPack pack) implements Light {
        private static final Pattern WRITTEN = Pattern.compile("(red|green|blue) (\\d(?:\\.\\d+)?) of ([\\d.,/\\s]+)");
        private static final double FINEST_SHARE = 1e4;
        private static final double TENTH = 10;

        public Third {
            share = Math.rint(Check.within("share of white light", share, 1 / FINEST_SHARE, 1, "") * FINEST_SHARE)
                    / FINEST_SHARE;
            pack = FilterPack.of(tenth(pack.inCyan()), tenth(pack.inMagenta()), tenth(pack.inYellow()));
        }

        private static double tenth(double points) {
            return Math.rint(points * TENTH) / TENTH;
        }

        @Override
        public String notation() {
            return primary.word() + " " + Check.shown(share) + " of "
                    + Light.dials(pack).notation();
        }

        @Override
        public String words() {
            return primary.word() + " light";
        }

        /** Density that the pack has over its layer. */
        public double density() {
            return FilterSet.IDEAL.layerDensity(pack, primary.ordinal());
        }

        /** Seconds of white light through the pack that give its layer as much as a second of this light. */
        public double whitePerSecond() {
            return share * Math.pow(10, density());
        }
    }

    /** How it is written down: "grade 2½", "0/52/47". */
    String notation();

    /** How it is said where it is set or given. */
    default String words() {
        return notation();
    }

    /** The filter of a variable-contrast set; refused when something else stands in the beam. */
    default GradeFilter toFilter() {
        throw new QuantityException(
                QuantityException.Kind.WRONG_SHAPE, "light", "this paper is printed through a filter of a grade");
    }

    /** The pack of a colour head; refused when something else stands in the beam. */
    default FilterPack toPack() {
        throw new QuantityException(
                QuantityException.Kind.WRONG_SHAPE, "light", "this paper is printed through a pack, such as 0/50/40");
    }

    /** Cyan, magenta and yellow of a pack; empty where the light is none. */
    default List<Double> points() {
        return List.of();
    }

    static Light filter(GradeFilter filter) {
        return new Filter(filter);
    }

    static Light dials(FilterPack pack) {
        return new Dials(pack);
    }

    /**
     * Reads a notation back: "grade 2½" or "2½", "0/52/47", "red 0.25 of 0/52/47".
     *
     * @throws QuantityException for anything else, and for points outside 0 to 400
     */
    static Light of(String notation) {
        String plain = notation.strip();
        Matcher dials = Dials.WRITTEN.matcher(plain);
        if (dials.matches()) {
            return dials(FilterPack.of(number(dials.group(1)), number(dials.group(2)), number(dials.group(3))));
        }
        Matcher third = Third.WRITTEN.matcher(plain);
        if (third.matches()) {
            return new Third(
                    Primary.valueOf(third.group(1).toUpperCase(Locale.ROOT)),
                    number(third.group(2)),
                    of(third.group(3)).toPack());
        }
        return filter(
                GradeFilter.ofLabel(plain.startsWith(Filter.WORD) ? plain.substring(Filter.WORD.length()) : plain));
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }
}
