package keyslate.server.medium;

import java.util.List;
import java.util.stream.Stream;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.medium.Medium;
import keyslate.core.medium.Monochrome;

/**
 * One kind of paper: what the core computes, and how the application speaks of it and leads through it.
 *
 * @param stations of its slates, in working order
 * @param room in which its paper is exposed: SAFELIGHT or BLACKOUT
 * @param lightName what stands in the beam, in a word
 * @param lights the lights to choose from, where they are few
 * @param marks asked for on a strip, in the order they are looked for
 * @param choosesContrast whether a print can be asked to be harder or flatter
 */
public record MediumPart(
        Medium core,
        List<Station> stations,
        String room,
        String lightName,
        List<String> lights,
        List<Mark> marks,
        boolean choosesContrast) {
    /** The one mark that a proof of any film asks for: from there on the film edge cannot be told from the paper's black. */
    public static final Mark FILM_EDGE = new Mark(
            "blacksAt",
            "k",
            "Film edge black from",
            "film edge black",
            "the first patch whose film edge is full black",
            true);

    /** The one mark that pieces of different lights ask for. */
    public static final Mark PIECE =
            new Mark("rightAt", "m", "The right piece", "right piece", "the piece that looks right", false);

    /** Monochrome paper may lie under a safelight. */
    public static final String SAFELIGHT = "SAFELIGHT";
    /** Colour paper may not lie under any. */
    public static final String BLACKOUT = "BLACKOUT";

    /**
     * A station of the work.
     *
     * @param key that goes there
     * @param group dry, dark, wet or light
     */
    public record Station(String key, String path, String name, String group) {}

    /**
     * A mark on a strip.
     *
     * @param field of a reading that it fills
     * @param key that takes it up
     * @param asks what is looked for, as the page asks for it
     * @param black whether it is not asked for where no black is wanted
     */
    public record Mark(String field, String key, String label, String flag, String asks, boolean black) {}

    public MediumPart {
        stations = List.copyOf(stations);
        lights = List.copyOf(lights);
        marks = List.copyOf(marks);
    }

    /** The same kind, computed otherwise; a head offers the grades that it reaches. */
    MediumPart with(Monochrome other) {
        List<String> reached = Stream.concat(other.paper().set().stream(), Stream.of(GradeFilter.NONE))
                .distinct()
                .map(GradeFilter::written)
                .filter(lights::contains)
                .toList();
        return new MediumPart(other, stations, room, lightName, reached, marks, choosesContrast);
    }

    /** The same kind on another head. */
    MediumPart with(Medium other) {
        return new MediumPart(other, stations, room, lightName, lights, marks, choosesContrast);
    }

    /** The marks that are asked for, with or without those of a black. */
    public List<Mark> marksFor(boolean blackWanted) {
        return marks.stream().filter(m -> blackWanted || !m.black()).toList();
    }

    /** Whether contrast is chosen by the light: not on graded paper, whose lights are one. */
    public boolean choosesFilter() {
        return choosesContrast && lights.size() > 1;
    }

    /** Whether nothing can be seen where its paper is exposed. */
    public boolean isBlackout() {
        return BLACKOUT.equals(room);
    }

    public String id() {
        return core.id();
    }

    /** Whether no light at all may fall on its paper. */
    public boolean isExposedInFullDark() {
        return BLACKOUT.equals(room);
    }
}
