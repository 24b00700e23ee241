package keyslate.server.shelf;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import keyslate.server.Clocks;
import keyslate.server.shelf.ShelfViews.SlatePage;
import keyslate.server.slate.SlateAssembler;
import keyslate.server.web.ConflictException;
import keyslate.server.web.NotFoundException;
import keyslate.store.Database;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Putting away hides and loses nothing. Deleting is for what no paper was exposed for, and for the practice darkroom; the data
 * file itself refuses anything else.
 */
@Service
public class ShelfService {
    /** So many small prints are drawn before more are asked for. */
    public static final int PAGE = 12;

    private final Database database;
    private final SlateRepository slates;
    private final SheetRepository sheets;
    private final RollRepository rolls;
    private final SlateAssembler assembler;
    private final Clock clock;

    ShelfService(
            Database database,
            SlateRepository slates,
            SheetRepository sheets,
            RollRepository rolls,
            SlateAssembler assembler,
            Clock clock) {
        this.database = database;
        this.slates = slates;
        this.sheets = sheets;
        this.rolls = rolls;
        this.assembler = assembler;
        this.clock = clock;
    }

    /** A page of slates: those that follow one, or the first ones, of which the very first lies on the easel. */
    public SlatePage slates(boolean putAway, @Nullable String after) {
        return database.inSnapshot(() -> {
            Optional<Slate> last = Optional.ofNullable(after).map(this::slate);
            int first = putAway ? PAGE : 1 + PAGE;
            List<Slate> found =
                    last.map(s -> slates.after(s, putAway, PAGE)).orElseGet(() -> slates.first(putAway, first));
            int before = last.map(s -> slates.countTo(s, putAway)).orElse(0);
            return new SlatePage(
                    found.stream().map(assembler::card).toList(), slates.count(putAway) - before - found.size());
        });
    }

    public void putSlateAway(String id, boolean away) {
        database.inTransaction(() -> {
            slate(id);
            refuseUnderLamp(id);
            slates.putAway(id, away ? Clocks.now(clock) : null);
        });
    }

    public void putRollAway(String id, boolean away) {
        database.inTransaction(() -> {
            roll(id);
            rolls.putAway(id, away ? Clocks.now(clock) : null);
        });
    }

    /**
     * Deletes a slate.
     *
     * @throws ConflictException when paper was exposed for it, or lies under the lamp
     */
    public void deleteSlate(String id) {
        database.inTransaction(() -> delete(slate(id)));
    }

    /**
     * Deletes a roll with its frames, their slates and its proofs, or nothing of them.
     *
     * @throws ConflictException when paper was exposed for one of them
     */
    public void deleteRoll(String id) {
        database.inTransaction(() -> {
            roll(id);
            rolls.framesOf(id).forEach(frame -> slates.ofFrame(frame.id()).forEach(this::delete));
            slates.proofsOf(id).forEach(this::delete);
            rolls.delete(id);
        });
    }

    private void delete(Slate slate) {
        refuseUnderLamp(slate.id());
        if (slates.isExposed(slate.id())) {
            throw new ConflictException(
                    "exposed", "Paper was exposed for it, and what was exposed is kept. It can be put away.");
        }
        slates.delete(slate.id());
    }

    private void refuseUnderLamp(String slateId) {
        if (sheets.exposing().stream().anyMatch(s -> s.slateId().equals(slateId))) {
            throw new ConflictException(
                    "sheet-under-lamp", "A sheet of it is under the lamp. Finish it or give it up first.");
        }
    }

    private Slate slate(String id) {
        return slates.find(id).orElseThrow(NotFoundException.of("slate"));
    }

    private void roll(String id) {
        rolls.roll(id).orElseThrow(NotFoundException.of("roll"));
    }
}
