package keyslate.server.contrast;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import keyslate.core.contrast.FilterTable;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.SchoolFactors;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.quantity.Stops;
import keyslate.server.Show;

/** What a change of filter does to the time, as several would say it: the curve at three tones, the strips of this bench, and rules of thumb, named. */
final class FilterFactors {
    private static final VariableContrastPaper GENERIC = new VariableContrastPaper();
    private static final double LIGHT = 0.10;
    private static final double MIDDLE = 0.60;
    private static final double SHADOW = 1.54;
    private static final double TELLS_STOPS = 0.02;

    private FilterFactors() {}

    static List<String> say(VariableContrastPaper paper, GradeFilter from, GradeFilter to) {
        if (from == to) {
            return List.of();
        }
        List<String> says = new ArrayList<>();
        says.add(String.format(
                Locale.ROOT,
                "From %s to %s the time × %.2f keeps a light tone of 0.10, × %.2f a middle of 0.60, × %.2f a shadow of"
                        + " 1.54: a factor is right at one tone only (CON-05).",
                from.written(),
                to.written(),
                paper.pivotFactor(from, to, LIGHT),
                paper.pivotFactor(from, to, MIDDLE),
                paper.pivotFactor(from, to, SHADOW)));
        own(paper, from, to).ifPresent(says::add);
        if (from != GradeFilter.NONE && to != GradeFilter.NONE) {
            says.add(rule("Doubling for each grade from 3 on", SchoolFactors.DOUBLE_PER_GRADE_FROM_3, paper, from, to));
            says.add(rule("Twice the time from 4 on", SchoolFactors.DOUBLE_FROM_4, paper, from, to));
        } else {
            says.add("Putting a filter in or out is a step of its own, apart from the step from grade to grade.");
        }
        return says;
    }

    /** What was measured or learned of the two, or of one of them, beside the curve of a generic paper. */
    private static Optional<String> own(VariableContrastPaper paper, GradeFilter from, GradeFilter to) {
        FilterTable table = paper.measured();
        Optional<FilterTable.Entry> first = table.of(from);
        Optional<FilterTable.Entry> second = table.of(to);
        if (first.isEmpty() && second.isEmpty()) {
            return Optional.empty();
        }
        String holds = String.format(
                Locale.ROOT,
                "Whites hold with × %.2f, ",
                paper.pivotFactor(from, to, VariableContrastPaper.HIGHLIGHT_NET));
        if (first.isEmpty() || second.isEmpty()) {
            GradeFilter told = first.isEmpty() ? to : from;
            return Optional.of(holds + told.written() + " as sheets of this bench told, "
                    + (first.isEmpty() ? from : to).written() + " as in a set that nobody measured.");
        }
        return Optional.of(holds
                + String.format(
                        Locale.ROOT,
                        "as sheets of this bench told (± %.2f stop); a set that nobody measured takes × %.2f.",
                        Math.hypot(first.get().limitStops(), second.get().limitStops()),
                        GENERIC.pivotFactor(from, to, VariableContrastPaper.HIGHLIGHT_NET)));
    }

    private static String rule(
            String name, SchoolFactors rule, VariableContrastPaper paper, GradeFilter from, GradeFilter to) {
        double factor = rule.factor(from.grade(), to.grade());
        Stops more = Stops.ofFactor(factor / paper.pivotFactor(from, to, LIGHT));
        return String.format(Locale.ROOT, "%s would take × %.2f", name, factor)
                + (Math.abs(more.inStops()) < TELLS_STOPS
                        ? ", the same."
                        : ", " + Show.stopsApart(Stops.of(Math.abs(more.inStops())))
                                + (more.inStops() > 0 ? " more" : " less") + " than keeps the light tone (CON-12).");
    }
}
