package keyslate.server.bench;

import java.util.List;
import keyslate.server.slate.SlateViews.SlateCard;

/** The bench and what stands in the stores. */
public final class BenchViews {
    private BenchViews() {}

    /** Home: the slate touched last is on the easel. */
    public record BenchView(
            List<SlateCard> slates, List<BathView> baths, List<PaperView> papers, String clock, boolean demo) {}

    /** A bath with the share of its capacity that is used. */
    public record BathView(
            String id,
            String name,
            String mixedAt,
            double capacityM2,
            double usedM2,
            double usedShare,
            int sheetsLeft) {}

    /** A box of paper. */
    public record PaperView(
            String id,
            String name,
            String base,
            String batch,
            double widthMm,
            double heightMm,
            int sheetsInBox,
            double sheetsLeft,
            int reserveSheets) {}

    /** An enlarger. */
    public record EnlargerView(
            String id, String name, String head, double lagSeconds, String lagSource, double columnMm) {}

    /** A lens with the marks on its ring. */
    public record LensView(
            String id, String name, double focalMm, double coversMm, int marksPerStop, List<Double> marks) {}

    /** All that a set-up can choose from. */
    public record StoresView(
            List<EnlargerView> enlargers, List<LensView> lenses, List<PaperView> papers, List<String> filters) {}
}
