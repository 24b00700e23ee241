package keyslate.core.darkroom;

import keyslate.core.contrast.VariableContrastPaper;

/** The simulated papers. */
public final class StandIns {
    private StandIns() {}

    /** Variable-contrast paper. */
    public static StandInPaper mono(VariableContrastPaper paper) {
        MonoPrint print = new MonoPrint(paper);
        return (negative, view, light, box, used, noise) -> {
            PaperTruth truth =
                    PaperTruth.ofBatch(box, StandInPaper.LAG_OFFSET_SECONDS).inDeveloperUsed(used);
            Raster sheet = print.print(negative.firstPlane(), view, MonoModel.exposure(light, 0), truth);
            return Look.grey(sheet.width(), sheet.height(), Scanner.grey(sheet, ScannerLook.USUAL, box ^ noise));
        };
    }

    /** Colour paper. */
    public static StandInPaper colour() {
        ColourPrint print = new ColourPrint();
        return (negative, view, light, box, used, noise) -> {
            ColourTruth truth =
                    ColourTruth.ofBatch(box, StandInPaper.LAG_OFFSET_SECONDS).inDeveloperUsed(used);
            ColourPrint.Picture sheet =
                    print.print(((Negative.Colour) negative).density(), view, ColourModel.sheet(light), truth);
            return Look.ofCodes(sheet.width(), sheet.height(), Scanner.colour(sheet, ScannerLook.USUAL, box ^ noise));
        };
    }
}
