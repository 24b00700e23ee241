package keyslate.server.rig;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import keyslate.core.contrast.GradeFilter;
import keyslate.core.contrast.GradeScale;
import keyslate.core.contrast.PaperGrades;
import keyslate.core.contrast.Threads;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.quantity.Grade;
import keyslate.core.quantity.Stops;
import keyslate.core.reading.NextRecipe;
import keyslate.core.rescale.Known;
import keyslate.server.Show;
import keyslate.store.bench.Paper;
import keyslate.store.bench.StoresRepository;
import org.springframework.stereotype.Component;

/** What another grade of a graded paper would do: contrast is chosen there by taking another box. */
@Component
public class OtherGrades {
    /** Whole grades, as such papers are made. */
    private static final List<Grade> MADE =
            List.of(Grade.of(0), Grade.of(1), Grade.of(2), Grade.of(3), Grade.of(4), Grade.of(5));
    /** Threads that another grade brings no nearer than this, Σ w·D², ask for none. */
    private static final double NEARER = 0.002;

    private final StoresRepository stores;

    OtherGrades(StoresRepository stores) {
        this.stores = stores;
    }

    /** In words, what a negative that needs an R asks for instead of the paper that stands; none where that is the nearest. */
    public Optional<String> forRange(Rig rig, ExposureTime time, double neededRange) {
        if (!rig.paper().hasOneGrade()) {
            return Optional.empty();
        }
        return PaperGrades.nearest(MADE, neededRange)
                .filter(g -> g.onScale() != standing(rig).onScale())
                .map(g -> instead(rig, time, g));
    }

    /** The same for a wish in grades. */
    public Optional<String> harderBy(Rig rig, ExposureTime time, double grades) {
        if (!rig.paper().hasOneGrade() || grades == 0) {
            return Optional.empty();
        }
        double wanted = Math.max(0, Math.min(5, standing(rig).onScale() + grades));
        return forRange(rig, time, GradeScale.isoRangeOf(Grade.of(wanted)));
    }

    /** The same for tones that are wanted elsewhere. */
    public Optional<String> forTones(Rig rig, List<Threads.Tone> tones) {
        if (!rig.paper().hasOneGrade()) {
            return Optional.empty();
        }
        double stands = new Threads(Grades.paper(rig), tones)
                .through(Grades.paper(rig).lightThrough(GradeFilter.NONE))
                .cost();
        return PaperGrades.best(MADE, tones)
                .filter(g -> g.onScale() != standing(rig).onScale())
                .filter(g -> PaperGrades.fit(g, tones).cost() < stands - NEARER)
                .map(g -> words(
                        rig, g, ExposureTime.ofSeconds(PaperGrades.fit(g, tones).seconds())));
    }

    private static Grade standing(Rig rig) {
        return Grade.of(rig.paper().grade());
    }

    private String instead(Rig rig, ExposureTime time, Grade grade) {
        double factor = PaperGrades.timeFactor(
                Grades.paper(rig), GradeFilter.NONE, PaperGrades.paper(grade), GradeFilter.NONE, NextRecipe.HELD_NET);
        return words(rig, grade, time.times(factor));
    }

    /** A box that was compared with the one in hand takes what was found (CAL-09); else both are taken to be as fast, and that is said. */
    private String words(Rig rig, Grade grade, ExposureTime alike) {
        Optional<Paper> box = stores.papers().stream()
                .filter(p -> p.name().equals(rig.paper().name()) && p.hasOneGrade())
                .filter(p -> p.grade() == grade.onScale())
                .max(Comparator.comparingDouble(Paper::sheetsLeft));
        Optional<Known> compared =
                box.flatMap(p -> rig.constants().between(rig.paper().id(), p.id()));
        ExposureTime time = alike.plus(Stops.of(compared.map(Known::figure).orElse(0.0)));
        return "Paper grade " + Show.number(grade.onScale()) + " would be nearer, about "
                + Show.seconds(time.inSeconds()) + " there"
                + (compared.isPresent() ? ", as the boxes were compared" : " if it is as fast as this one")
                + " (CON-26). "
                + box.map(p -> "It lies in your stores"
                                + (p.counted() ? ", " + (long) Math.floor(p.sheetsLeft()) + " sheets" : "")
                                + ": take that box, and the time goes along.")
                        .orElse("No box of it is in your stores.");
    }
}
