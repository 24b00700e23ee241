package keyslate.core.size;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import keyslate.core.quantity.Check;
import keyslate.core.quantity.Length;

/**
 * How to cut sheets of one size into prints and strips: {@link CutPlan} where it can be proven best, ribbons where many pieces are alike.
 *
 * <p>SIZ-15: pieces of one size that lie side by side are cut as one ribbon, k·w × h or w × k·h, and the ribbon at the end with the fence at w or h; a ribbon that
 * would be cut to its length from something longer of the same width is not: what is left falls off with its last piece, and one setting is saved. For every
 * size: single pieces (up to six in all), one to three ribbons, or ribbons as long as a side of the sheet; of all choices that come out of the sheet the one with the fewest different fences, then the fewest
 * cuts, then the largest offcut. With six pieces or fewer all of them single is among the choices and SIZ-13 proves it best; beyond, the plan is good and not
 * proven best.
 *
 * @param plan of the sheet down to pieces and ribbons
 * @param ribbons that are cut at the end
 * @param proven whether no plan needs fewer fences
 */
public record PaperCutting(CutPlan plan, List<Ribbon> ribbons, boolean proven) {
    public static final int MOST_WANTED = 4;
    public static final int MOST_OF_ONE = 40;

    private static final int MOST_RIBBONS = 3;
    private static final double SAME_MM = 0.0005;

    /** So many pieces of one size from each sheet; the name tells prints from strips. */
    public record Wanted(String name, Length width, Length height, int count) {
        public Wanted {
            Check.positive("piece width", width.inMm(), "mm");
            Check.positive("piece height", height.inMm(), "mm");
            Check.count("count", count, 1, MOST_OF_ONE);
        }
    }

    /**
     * Pieces side by side.
     *
     * @param name that stands in the plan
     * @param of what it becomes
     * @param pieces how many, 2 or more
     * @param fence at which it is cut, again and again
     * @param side of a piece across the ribbon
     * @param open whether it is longer than its pieces, so that what is left of it falls off with the last cut
     */
    public record Ribbon(String name, String of, int pieces, Length fence, Length side, boolean open) {
        /** In one that is not open the last piece is what is left. */
        public int cuts() {
            return open ? pieces : pieces - 1;
        }

        Length length() {
            return fence.times(pieces);
        }

        Ribbon opened() {
            return new Ribbon(name, of, pieces, fence, side, true);
        }
    }

    public PaperCutting {
        ribbons = List.copyOf(ribbons);
    }

    /** The distances the fence stands at, in order, each as often as it is set. */
    public List<Length> settings() {
        List<Length> settings =
                new ArrayList<>(plan.runs().stream().map(CutPlan.Run::fence).toList());
        ribbons.stream().map(Ribbon::fence).forEach(fence -> {
            boolean stands = !settings.isEmpty()
                    && Math.abs(settings.get(settings.size() - 1).inMm() - fence.inMm()) < SAME_MM;
            if (!stands) {
                settings.add(fence);
            }
        });
        return settings;
    }

    /** All cuts of one sheet. */
    public int cuts() {
        return plan.cuts() + ribbons.stream().mapToInt(Ribbon::cuts).sum();
    }

    /**
     * The line to memorise: every fence in its order, as often as the blade comes down on a stack with it; a ribbon's fence once, it is cut to its end.
     */
    public List<Length> line() {
        List<Length> line = new ArrayList<>();
        plan.runs().forEach(run -> line.addAll(Collections.nCopies(run.strokes(), run.fence())));
        ribbons.stream().map(Ribbon::fence).distinct().forEach(line::add);
        return line;
    }

    private int fences() {
        Set<Long> different = new LinkedHashSet<>();
        settings().forEach(s -> different.add(Math.round(s.inMm() / SAME_MM)));
        return different.size();
    }

    /**
     * The best of the choices, or nothing when the pieces do not come out of the sheet.
     *
     * @param wanted at least one size and at most {@value #MOST_WANTED}
     */
    public static Optional<PaperCutting> of(Length sheetWidth, Length sheetHeight, List<Wanted> wanted) {
        return of(sheetWidth, sheetHeight, wanted, Optional.empty());
    }

    /**
     * The best with the first cut at {@code first}, for sheets that were begun otherwise than planned; nothing when the pieces come out no more.
     *
     * @param first a fence of the plan; with none the best of all
     */
    public static Optional<PaperCutting> of(
            Length sheetWidth, Length sheetHeight, List<Wanted> wanted, Optional<Length> first) {
        Check.count("sizes", wanted.size(), 1, MOST_WANTED);
        double area = wanted.stream()
                .mapToDouble(w -> w.width().inMm() * w.height().inMm() * w.count())
                .sum();
        if (area > sheetWidth.inMm() * sheetHeight.inMm()) {
            return Optional.empty();
        }
        int pieces = wanted.stream().mapToInt(Wanted::count).sum();
        List<Choice> choices = new ArrayList<>();
        double[] sides = {sheetWidth.inMm(), sheetHeight.inMm()};
        collect(wanted, 0, new Choice(List.of(), List.of()), sides, choices);
        Comparator<PaperCutting> order = Comparator.comparingInt(PaperCutting::fences)
                .thenComparingInt(PaperCutting::cuts)
                .thenComparing(p -> -p.plan().largestOffcutSquareMm());
        // Each choice is a search of its own; of equals the first one wins, whichever is done first.
        return choices.parallelStream()
                .filter(c -> c.fits(sheetWidth, sheetHeight))
                .flatMap(c -> CutPlan.of(sheetWidth, sheetHeight, c.pieces(), first)
                        .map(plan -> new PaperCutting(plan, c.ribbons(), pieces <= CutPlan.MOST_PIECES))
                        .map(cutting -> OpenRibbons.of(cutting, sheetWidth, sheetHeight, first))
                        .stream())
                .min(order);
    }

    /** Pieces and ribbons that are asked of the sheet. */
    private record Choice(List<CutPlan.Piece> pieces, List<Ribbon> ribbons) {
        Choice with(List<CutPlan.Piece> more, List<Ribbon> moreRibbons) {
            List<CutPlan.Piece> all = new ArrayList<>(pieces);
            all.addAll(more);
            List<Ribbon> strips = new ArrayList<>(ribbons);
            strips.addAll(moreRibbons);
            return new Choice(all, strips);
        }

        /** Every ribbon that is to be cut is among the pieces. */
        private boolean isWhole() {
            return ribbons.size() <= count();
        }

        int count() {
            return pieces.stream().mapToInt(CutPlan.Piece::count).sum();
        }

        boolean fits(Length width, Length height) {
            double longest = Math.max(width.inMm(), height.inMm()) + SAME_MM;
            return count() <= CutPlan.MOST_PIECES
                    && pieces.size() <= CutPlan.MOST_SIZES
                    && isWhole()
                    && pieces.stream()
                            .allMatch(p -> Math.max(p.width().inMm(), p.height().inMm()) <= longest);
        }
    }

    private static void collect(List<Wanted> wanted, int at, Choice sofar, double[] sides, List<Choice> choices) {
        if (at == wanted.size()) {
            choices.add(sofar);
            return;
        }
        Wanted one = wanted.get(at);
        if (sofar.count() + one.count() <= CutPlan.MOST_PIECES) {
            CutPlan.Piece single = new CutPlan.Piece(one.name(), one.width(), one.height(), one.count());
            collect(wanted, at + 1, sofar.with(List.of(single), List.of()), sides, choices);
        }
        for (boolean along : new boolean[] {true, false}) {
            double side = (along ? one.width() : one.height()).inMm();
            for (int k : lengths(one.count(), side, sides)) {
                collect(wanted, at + 1, ribboned(sofar, one, k, along), sides, choices);
            }
        }
    }

    /** How many pieces a ribbon may have: all of them, halves, thirds, or as many as lie along a side of the sheet. */
    private static Set<Integer> lengths(int count, double side, double[] sides) {
        Set<Integer> lengths = new LinkedHashSet<>();
        for (int ribbons = 1; ribbons <= MOST_RIBBONS; ribbons++) {
            lengths.add((count + ribbons - 1) / ribbons);
        }
        for (double along : sides) {
            lengths.add(Math.min(count, (int) ((along + SAME_MM) / side)));
        }
        lengths.removeIf(k -> k < 2);
        return lengths;
    }

    /** Full ribbons of k pieces, and a shorter one for the rest. */
    private static Choice ribboned(Choice sofar, Wanted one, int k, boolean along) {
        Map<Integer, Integer> times = new LinkedHashMap<>();
        times.put(k, one.count() / k);
        if (one.count() % k > 0) {
            times.put(one.count() % k, 1);
        }
        List<CutPlan.Piece> pieces = new ArrayList<>();
        List<Ribbon> made = new ArrayList<>();
        times.forEach((length, ribbons) -> {
            String name = length == 1 ? one.name() : "ribbon of " + length + " × " + one.name();
            Length width = along ? one.width().times(length) : one.width();
            Length height = along ? one.height() : one.height().times(length);
            // More ribbons than this cannot be planned; the choice falls out.
            pieces.add(new CutPlan.Piece(name, width, height, Math.min(ribbons, CutPlan.MOST_PIECES)));
            for (int i = 0; i < ribbons && length > 1; i++) {
                made.add(new Ribbon(
                        name,
                        one.name(),
                        length,
                        along ? one.width() : one.height(),
                        along ? one.height() : one.width(),
                        false));
            }
        });
        return sofar.with(pieces, made);
    }

    /**
     * Where a piece lies on the sheet before it is cut.
     *
     * @param name of the piece, "" for what is left over
     */
    public record Place(String name, Length left, Length top, Length width, Length height) {}

    /** Every piece and every offcut on the sheet, by cutting it once more on paper. */
    public List<Place> layout(Length sheetWidth, Length sheetHeight) {
        List<Place> open =
                new ArrayList<>(List.of(new Place("", Length.ofMm(0), Length.ofMm(0), sheetWidth, sheetHeight)));
        List<Place> done = new ArrayList<>();
        for (CutPlan.Run run : plan.runs()) {
            for (CutPlan.Cut cut : run.cuts()) {
                cutOne(open, done, cut, run.fence());
            }
        }
        // Without any cut before it the whole sheet is the ribbon.
        open.forEach(p -> done.add(
                plan.runs().isEmpty() && !ribbons.isEmpty()
                        ? part(
                                p,
                                0,
                                0,
                                p.width().inMm(),
                                p.height().inMm(),
                                Optional.of(ribbons.get(0).name()))
                        : p));
        return done.stream().flatMap(place -> strips(place).stream()).toList();
    }

    private static void cutOne(List<Place> open, List<Place> done, CutPlan.Cut cut, Length fence) {
        Place board = open.stream()
                .filter(p -> lies(p, cut.width(), cut.height()) || lies(p, cut.height(), cut.width()))
                .findFirst()
                .orElseThrow();
        open.remove(board);
        // The plan knows a rectangle by its sides alone; here it may lie turned.
        boolean turned = !lies(board, cut.width(), cut.height());
        boolean across = cut.acrossWidth() != turned;
        double d = fence.inMm();
        Place near = across
                ? part(board, 0, 0, d, board.height().inMm(), cut.leaves())
                : part(board, 0, 0, board.width().inMm(), d, cut.leaves());
        Place far = across
                ? part(board, d, 0, board.width().inMm() - d, board.height().inMm(), cut.rest())
                : part(board, 0, d, board.width().inMm(), board.height().inMm() - d, cut.rest());
        for (Place piece : List.of(near, far)) {
            (piece.name().isEmpty() ? open : done).add(piece);
        }
    }

    private static boolean lies(Place place, Length width, Length height) {
        return Math.abs(place.width().inMm() - width.inMm()) < SAME_MM
                && Math.abs(place.height().inMm() - height.inMm()) < SAME_MM;
    }

    private static Place part(Place of, double right, double down, double width, double height, Optional<String> name) {
        return new Place(
                name.orElse(""),
                Length.ofMm(of.left().inMm() + right),
                Length.ofMm(of.top().inMm() + down),
                Length.ofMm(width),
                Length.ofMm(height));
    }

    /** A ribbon as the pieces it becomes. */
    private List<Place> strips(Place place) {
        Optional<Ribbon> ribbon =
                ribbons.stream().filter(r -> r.name().equals(place.name())).findFirst();
        if (ribbon.isEmpty()) {
            return List.of(place);
        }
        Ribbon r = ribbon.get();
        boolean across = Math.abs(place.height().inMm() - r.side().inMm()) < SAME_MM
                && place.width().inMm() > r.length().inMm() - SAME_MM;
        List<Place> strips = new ArrayList<>();
        double rest =
                (across ? place.width() : place.height()).inMm() - r.length().inMm();
        for (int i = 0; i < r.pieces(); i++) {
            strips.add(slice(place, across, i * r.fence().inMm(), r.fence().inMm(), Optional.of(r.of())));
        }
        if (rest > SAME_MM) {
            strips.add(slice(place, across, r.length().inMm(), rest, Optional.empty()));
        }
        return strips;
    }

    private static Place slice(Place of, boolean across, double from, double length, Optional<String> name) {
        return across
                ? part(of, from, 0, length, of.height().inMm(), name)
                : part(of, 0, from, of.width().inMm(), length, name);
    }

    /**
     * What comes of another beginning: a later fence of the plan on the whole sheet.
     *
     * @param comesOut whether the pieces still come out, in more cuts or with other offcuts
     */
    public record Beginning(Length fence, boolean comesOut) {}

    /** Fences of the plan that could be taken for its first one. */
    public List<Beginning> otherBeginnings(Length sheetWidth, Length sheetHeight) {
        List<CutPlan.Piece> asked = asked();
        Length first =
                plan.runs().isEmpty() ? Length.ofMm(0) : plan.runs().get(0).fence();
        return plan.fences().stream()
                .filter(f -> Math.abs(f.inMm() - first.inMm()) > SAME_MM)
                .map(f -> new Beginning(
                        f,
                        CutPlan.of(sheetWidth, sheetHeight, asked, Optional.of(f))
                                .isPresent()))
                .toList();
    }

    private List<CutPlan.Piece> asked() {
        Map<String, CutPlan.Piece> pieces = new LinkedHashMap<>();
        for (CutPlan.Run run : plan.runs()) {
            for (CutPlan.Cut cut : run.cuts()) {
                near(cut).ifPresent(p -> pieces.merge(p.name(), p, PaperCutting::together));
                far(cut, run.fence()).ifPresent(p -> pieces.merge(p.name(), p, PaperCutting::together));
            }
        }
        return List.copyOf(pieces.values());
    }

    private static CutPlan.Piece together(CutPlan.Piece a, CutPlan.Piece b) {
        return new CutPlan.Piece(a.name(), a.width(), a.height(), a.count() + b.count());
    }

    private Optional<CutPlan.Piece> near(CutPlan.Cut cut) {
        Length fence = plan.runs().stream()
                .filter(r -> r.cuts().contains(cut))
                .findFirst()
                .orElseThrow()
                .fence();
        return cut.leaves()
                .map(name -> cut.acrossWidth()
                        ? new CutPlan.Piece(name, fence, cut.height(), 1)
                        : new CutPlan.Piece(name, cut.width(), fence, 1));
    }

    private static Optional<CutPlan.Piece> far(CutPlan.Cut cut, Length fence) {
        return cut.rest()
                .map(name -> cut.acrossWidth()
                        ? new CutPlan.Piece(name, Length.ofMm(cut.width().inMm() - fence.inMm()), cut.height(), 1)
                        : new CutPlan.Piece(
                                name, cut.width(), Length.ofMm(cut.height().inMm() - fence.inMm()), 1));
    }
}
