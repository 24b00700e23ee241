package keyslate.core.contrast;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Grade;

/** The filters of a variable-contrast set, softest first, and none at all. The label is what is printed on the filter and no number. */
public enum GradeFilter {
    G00("00", -1),
    G0("0", 0),
    G0_5("½", 0.5),
    G1("1", 1),
    G1_5("1½", 1.5),
    G2("2", 2),
    G2_5("2½", 2.5),
    G3("3", 3),
    G3_5("3½", 3.5),
    G4("4", 4),
    G4_5("4½", 4.5),
    G5("5", 5),
    /** No filter in the beam: about grade 2 until it was measured, and more light. Not one of the set. */
    NONE("none", 2);

    private static final List<GradeFilter> SET =
            Arrays.stream(values()).filter(f -> f != NONE).toList();
    private static final String NO_FILTER = "no filter";

    private final String label;
    private final Grade grade;

    GradeFilter(String label, double onScale) {
        this.label = label;
        this.grade = Grade.of(onScale);
    }

    public String label() {
        return label;
    }

    public Grade grade() {
        return grade;
    }

    /** The filters that there are, softest first. */
    public static List<GradeFilter> set() {
        return SET;
    }

    /** How it is written: "grade 2½", or "no filter". */
    public String written() {
        return this == NONE ? NO_FILTER : "grade " + label;
    }

    /** The filter nearest to a place on the scale; of two equally near the softer, which risks less. */
    public static GradeFilter nearest(Grade wanted) {
        return SET.stream()
                .min(Comparator.comparingDouble(f -> Math.abs(f.grade.onScale() - wanted.onScale())))
                .orElseThrow();
    }

    /** The two filters nearest to this one, the harder one first: its neighbours, at an end of the set the next two; about grade 2 where there is none. */
    public List<GradeFilter> neighbours() {
        int at = SET.indexOf(this == NONE ? nearest(grade) : this);
        int harder = at + 1 < SET.size() ? at + 1 : at - 2;
        int softer = at > 0 ? at - 1 : at + 2;
        return List.of(SET.get(harder), SET.get(softer));
    }

    /** The filter with this label; "1/2" and "0.5" are understood as well as "½". */
    public static GradeFilter ofLabel(String label) {
        if (List.of(NO_FILTER, NONE.label).contains(label.strip())) {
            return NONE;
        }
        String plain = label.strip().replaceFirst("^(?:0?[.,]5|1/2)$", "½").replaceFirst("[.,]5$|\\s?1/2$", "½");
        return SET.stream()
                .filter(f -> f.label.equals(plain))
                .findFirst()
                .orElseThrow(() -> Check.outOfRange(
                        "grade",
                        "grade must be 00, 0, ½, 1 and so on to 5, or “no filter”, was “" + label.strip() + "”"));
    }
}
