package keyslate.server.slate;

import java.util.List;
import keyslate.server.Show;
import keyslate.server.slate.SlateViews.DecisionView;
import keyslate.server.slate.SlateViews.NextStepView;
import keyslate.server.slate.SlateViews.SheetView;
import keyslate.store.slate.Recipe;
import keyslate.store.slate.Slate;

/** What a slate waits for. */
final class NextStep {
    private NextStep() {}

    static NextStepView of(Slate slate, Recipe recipe, List<SheetView> sheets) {
        if (slate.acceptedSheetId() != null) {
            String label = sheets.stream()
                    .filter(s -> s.id().equals(slate.acceptedSheetId()))
                    .map(SheetView::label)
                    .findFirst()
                    .orElse("The print");
            return new NextStepView(
                    "keep", label + " is accepted.", "The recipe is kept and can be made again.", "Open recipe");
        }
        List<SheetView> made =
                sheets.stream().filter(s -> !"ABANDONED".equals(s.state())).toList();
        if (made.isEmpty()) {
            return first(recipe);
        }
        SheetView last = made.get(made.size() - 1);
        String station = "STRIP".equals(last.kind()) ? "test" : "print";
        if ("EXPOSING".equals(last.state())) {
            return new NextStepView(
                    station,
                    last.label() + " is under the lamp.",
                    last.burstsDone() + " of " + last.script().size() + " bursts are given.",
                    "Continue");
        }
        return "STRIP".equals(last.kind()) ? afterStrip(recipe, last) : afterPrint(recipe, last);
    }

    private static NextStepView first(Recipe recipe) {
        boolean carried = "rescaled".equals(recipe.setup().baseSource());
        return new NextStepView(
                "test",
                "Expose a first strip about " + Show.seconds(recipe.setup().baseSeconds()) + ".",
                carried ? "The time is carried over from an earlier print." : "No time is known yet for this set-up.",
                "Plan strip");
    }

    private static NextStepView afterStrip(Recipe recipe, SheetView strip) {
        if (strip.decisions().isEmpty()) {
            return new NextStepView(
                    "test",
                    "Read " + strip.label().toLowerCase(java.util.Locale.ROOT) + ".",
                    "Mark where the whites hold and the first true black.",
                    "Read strip");
        }
        return new NextStepView(
                "print",
                "Expose a work print: grade " + recipe.setup().filter() + ", "
                        + Show.seconds(recipe.setup().baseSeconds()) + ".",
                recipe.areas().isEmpty()
                        ? strip.label() + " is read. Hold back and burn after you see the straight print."
                        : areas(recipe),
                "Go to Print");
    }

    private static NextStepView afterPrint(Recipe recipe, SheetView print) {
        List<DecisionView> judged = print.decisions();
        if (judged.isEmpty() && recipe.id().equals(print.recipeId())) {
            return new NextStepView(
                    "judge",
                    "Judge " + print.label().toLowerCase(java.util.Locale.ROOT) + ".",
                    "Lay it beside the sheet before it, in the light it will hang in.",
                    "Go to Judge");
        }
        return new NextStepView(
                "print",
                "Expose the next print: grade " + recipe.setup().filter() + ", "
                        + Show.seconds(recipe.setup().baseSeconds()) + ".",
                recipe.areas().isEmpty()
                        ? "Changed since " + print.label().toLowerCase(java.util.Locale.ROOT) + "."
                        : areas(recipe),
                "Go to Print");
    }

    private static String areas(Recipe recipe) {
        long held = recipe.areas().stream().filter(a -> a.changeStops() < 0).count();
        long burned = recipe.areas().stream().filter(a -> a.changeStops() > 0).count();
        return held + " held back, " + burned + " burned. Everything else holds.";
    }
}
