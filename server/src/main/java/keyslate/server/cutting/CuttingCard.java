package keyslate.server.cutting;

import java.io.IOException;
import java.util.List;
import keyslate.server.Pages;
import keyslate.server.Pages.Ink;
import keyslate.server.cutting.CuttingViews.CutPlace;
import keyslate.server.cutting.CuttingViews.CutView;
import keyslate.server.cutting.CuttingViews.FenceStep;

/** A plan of cuts on a card to hang over the trimmer: the line in large letters, the steps, the sheet. */
final class CuttingCard {
    private static final double WIDE_MM = 210;
    private static final double HIGH_MM = 148;
    private static final double MARGIN_MM = 12;
    private static final double DRAWING_MM = 78;
    private static final double LARGE_PT = 44;
    private static final double READABLE_PT = 13;
    private static final double SMALL_PT = 9;
    private static final double LINE_MM = 8;

    private final CutView plan;
    private final String title;

    CuttingCard(CutView plan, String title) {
        this.plan = plan;
        this.title = title;
    }

    byte[] pdf() {
        return Pages.of("Cutting, " + title, List.of(new Pages.Page(0, 0, WIDE_MM, HIGH_MM)), this::draw);
    }

    private void draw(Ink ink) throws IOException {
        double room = WIDE_MM - 2 * MARGIN_MM;
        double large = Math.min(LARGE_PT, LARGE_PT * room / ink.wide(LARGE_PT, plan.line()));
        ink.text(MARGIN_MM, MARGIN_MM + 12, large, plan.line());
        ink.text(MARGIN_MM, MARGIN_MM + 22, READABLE_PT, title + ", in " + plan.unit() + ". " + plan.headline());
        double y = MARGIN_MM + 34;
        double steps = room - DRAWING_MM - 6;
        int number = 1;
        for (FenceStep step : plan.steps()) {
            ink.text(MARGIN_MM, y, READABLE_PT, number++ + ".  " + (step.again() ? "stays" : step.fence()));
            y = wrapped(ink, MARGIN_MM + 26, y, steps - 26, step.words()) + LINE_MM;
        }
        for (String line : plan.spoils()) {
            y = wrapped(ink, MARGIN_MM, y, steps, line) + LINE_MM / 2;
        }
        sheet(ink, WIDE_MM - MARGIN_MM - DRAWING_MM, MARGIN_MM + 28);
        ink.text(
                MARGIN_MM,
                HIGH_MM - MARGIN_MM,
                SMALL_PT,
                "Guard down, fingers behind the bar, the store closed. In the dark a torn edge is safer than scissors.");
    }

    /** Small words broken where they would run into the drawing; answers where the next line begins. */
    private static double wrapped(Ink ink, double x, double top, double room, String words) throws IOException {
        double y = top;
        StringBuilder line = new StringBuilder();
        for (String word : words.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (ink.wide(SMALL_PT, longer) > room && !line.isEmpty()) {
                ink.text(x, y, SMALL_PT, line.toString());
                y += LINE_MM / 2;
                line = new StringBuilder(word);
            } else {
                line = new StringBuilder(longer);
            }
        }
        ink.text(x, y, SMALL_PT, line.toString());
        return y;
    }

    private void sheet(Ink ink, double left, double top) throws IOException {
        double scale = DRAWING_MM / Math.max(plan.sheetWidthMm(), plan.sheetHeightMm());
        ink.width(0.5);
        ink.rectangle(left, top, plan.sheetWidthMm() * scale, plan.sheetHeightMm() * scale);
        ink.width(0.25);
        for (CutPlace place : plan.places()) {
            double x = left + place.leftMm() * scale;
            double y = top + place.topMm() * scale;
            ink.dashed(place.name().isEmpty() ? 1 : 0);
            ink.rectangle(x, y, place.widthMm() * scale, place.heightMm() * scale);
            if (ink.wide(SMALL_PT, place.name()) < place.widthMm() * scale - 2) {
                ink.text(x + 1, y + place.heightMm() * scale / 2 + 1, SMALL_PT, place.name());
            }
        }
        ink.dashed(0);
    }
}
