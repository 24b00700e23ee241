package keyslate.server.print;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import keyslate.server.Pages;
import keyslate.server.Pages.Ink;
import keyslate.server.Pages.Page;
import keyslate.server.Show;
import keyslate.server.sheet.SheetViews.StepView;

/** A run on a card for the wall, for hands and for the day when no screen is there: each exposure on a line of large letters, as it is spoken. */
final class RunCard {
    private static final double WIDE_MM = 148;
    private static final double HIGH_MM = 210;
    private static final double MARGIN_MM = 10;
    private static final double TITLE_PT = 20;
    private static final double LARGE_PT = 24;
    private static final double WORDS_PT = 12;
    private static final double SMALL_PT = 8;
    private static final double ROW_MM = 17;
    private static final double FIRST_ROW_MM = 34;
    private static final int ROWS = (int) ((HIGH_MM - FIRST_ROW_MM - 2 * MARGIN_MM) / ROW_MM);

    private final String title;
    private final String stands;
    private final List<StepView> steps;

    /** @param stands what is set before the first exposure */
    RunCard(String title, String stands, List<StepView> steps) {
        this.title = title;
        this.stands = stands;
        this.steps = steps;
    }

    byte[] pdf() {
        int count = Math.max(1, (steps.size() + ROWS - 1) / ROWS);
        List<Page> pages = new ArrayList<>();
        for (int p = 0; p < count; p++) {
            pages.add(new Page(0, p * HIGH_MM, WIDE_MM, HIGH_MM));
        }
        return Pages.of("Run, " + title, pages, ink -> draw(ink, count));
    }

    private void draw(Ink ink, int pages) throws IOException {
        for (int p = 0; p < pages; p++) {
            double top = p * HIGH_MM;
            fitted(ink, MARGIN_MM, top + MARGIN_MM + 7, TITLE_PT, title, WIDE_MM - 2 * MARGIN_MM);
            fitted(ink, MARGIN_MM, top + MARGIN_MM + 15, WORDS_PT, stands, WIDE_MM - 2 * MARGIN_MM);
            ink.text(
                    MARGIN_MM,
                    top + HIGH_MM - MARGIN_MM,
                    SMALL_PT,
                    "Seconds are those to set. An alarm comes before paper: leave. Floor clear, dry hands, local rules apply.");
        }
        for (int i = 0; i < steps.size(); i++) {
            row(ink, steps.get(i), i / ROWS * HIGH_MM + FIRST_ROW_MM + i % ROWS * ROW_MM);
        }
    }

    private void row(Ink ink, StepView step, double top) throws IOException {
        ink.width(0.2);
        ink.line(MARGIN_MM, top, WIDE_MM - MARGIN_MM, top);
        ink.text(MARGIN_MM, top + 10, LARGE_PT, String.valueOf(step.place()));
        String seconds = Show.seconds(step.setSeconds()) + (step.presses() > 1 ? " × " + step.presses() : "");
        fitted(ink, MARGIN_MM + 14, top + 10, LARGE_PT, seconds, 46);
        double words = MARGIN_MM + 64;
        double room = WIDE_MM - MARGIN_MM - words;
        String before = step.setInLight() ? "In the light: " + step.before() : step.before();
        fitted(ink, words, top + 6, WORDS_PT, before.isEmpty() ? step.light().notation() : before, room);
        fitted(ink, words, top + 12, WORDS_PT, step.words(), room);
    }

    /** Letters that grow smaller where they would run over. */
    private static void fitted(Ink ink, double x, double y, double points, String words, double room)
            throws IOException {
        double wide = ink.wide(points, words);
        ink.text(x, y, wide > room ? points * room / wide : points, words);
    }
}
