package keyslate.core.darkroom;

import keyslate.core.colour.AdditiveHead;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.core.local.AreaMask;

/** The simulated papers. */
public final class StandIns {
    /** The lights of the simulated head, where its owner has it print with three; nobody is told. */
    private static final AdditiveHead LIGHTS = new AdditiveHead(0.22, 0.29, 0.25);

    private StandIns() {}

    /** Variable-contrast paper. */
    public static StandInPaper mono(VariableContrastPaper paper) {
        return new Mono(new MonoPrint(paper));
    }

    /** Colour paper. */
    public static StandInPaper colour() {
        return new InColour(new ColourPrint());
    }

    private record Mono(MonoPrint print) implements StandInPaper {
        private Raster sheet(Negative negative, AreaMask.View view, SheetLight light, long box, double used) {
            PaperTruth truth = PaperTruth.ofBatch(box, LAG_OFFSET_SECONDS).inDeveloperUsed(used);
            return print.print(negative.firstPlane(), view, MonoModel.exposure(light, 0), truth);
        }

        @Override
        public Look scan(Negative negative, AreaMask.View view, SheetLight light, long box, double used, long noise) {
            Raster sheet = sheet(negative, view, light, box, used);
            return Look.grey(sheet.width(), sheet.height(), Scanner.grey(sheet, ScannerLook.USUAL, box ^ noise));
        }

        @Override
        public Look seen(Negative negative, AreaMask.View view, SheetLight light, long box, double used) {
            Raster sheet = sheet(negative, view, light, box, used);
            return Look.grey(sheet.width(), sheet.height(), ToneEncoding.toGrey(sheet));
        }
    }

    private record InColour(ColourPrint print) implements StandInPaper {
        private ColourPrint.Picture sheet(
                Negative negative, AreaMask.View view, SheetLight light, long box, double used) {
            ColourTruth truth = ColourTruth.ofBatch(box, LAG_OFFSET_SECONDS).inDeveloperUsed(used);
            return print.print(((Negative.Colour) negative).density(), view, ColourModel.sheet(light, LIGHTS), truth);
        }

        @Override
        public Look scan(Negative negative, AreaMask.View view, SheetLight light, long box, double used, long noise) {
            ColourPrint.Picture sheet = sheet(negative, view, light, box, used);
            return Look.ofCodes(sheet.width(), sheet.height(), Scanner.colour(sheet, ScannerLook.USUAL, box ^ noise));
        }

        @Override
        public Look seen(Negative negative, AreaMask.View view, SheetLight light, long box, double used) {
            ColourPrint.Picture sheet = sheet(negative, view, light, box, used);
            return Look.ofCodes(sheet.width(), sheet.height(), sheet.rgb());
        }
    }
}
