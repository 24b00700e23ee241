package keyslate.server.transfer;

import java.util.Optional;
import keyslate.server.transfer.SlateFile.FileFrame;
import keyslate.server.transfer.SlateFile.FileHistory;
import keyslate.server.transfer.SlateFile.FileNotes;
import keyslate.server.transfer.SlateFile.FileRoll;
import keyslate.store.negative.Frame;
import keyslate.store.negative.FrameNotes;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollHistory;

/** Rolls and frames of the slate file to those of the store, and back. */
final class FilmMapping {
    /** Of files from before films were cut. */
    private static final int USUAL_STRIP = 6;

    private FilmMapping() {}

    static FileRoll toFile(Roll r, RollHistory h) {
        return new FileRoll(
                r.id(),
                r.title(),
                r.film(),
                r.kind(),
                r.longMm(),
                r.shortMm(),
                r.stripFrames(),
                r.oddFirst(),
                r.addedAt(),
                h.equals(RollHistory.none(r.id())) ? null : toFile(h));
    }

    private static FileHistory toFile(RollHistory h) {
        return new FileHistory(
                h.takenOn(), h.camera(), h.sleeve(), h.nominalIso(), h.exposedIso(), h.development(), h.remark());
    }

    static Roll toStore(FileRoll r) {
        return new Roll(
                r.id(),
                r.title(),
                r.film(),
                r.kind(),
                r.longMm(),
                r.shortMm(),
                r.stripFrames() == null ? USUAL_STRIP : r.stripFrames(),
                Boolean.TRUE.equals(r.oddFirst()),
                r.addedAt(),
                null);
    }

    /** What is known of the film, if the file says anything of it. */
    static Optional<RollHistory> historyOf(FileRoll r) {
        return Optional.ofNullable(r.history())
                .map(h -> new RollHistory(
                        r.id(),
                        h.takenOn(),
                        h.camera(),
                        h.sleeve(),
                        h.nominalIso(),
                        h.exposedIso(),
                        h.development(),
                        h.remark()));
    }

    static FileFrame toFile(Frame f, FrameNotes n) {
        return new FileFrame(
                f.id(),
                f.number(),
                f.title(),
                f.caption(),
                f.upright(),
                f.pictureId(),
                f.rating(),
                n.equals(FrameNotes.none(f.id())) ? null : toFile(n));
    }

    private static FileNotes toFile(FrameNotes n) {
        return new FileNotes(
                n.people(),
                n.consent(),
                n.defects(),
                n.beyondRescue(),
                n.baseDensity(),
                n.shadowDensity(),
                n.highlightDensity(),
                n.reader(),
                n.marks());
    }

    static Frame toStore(FileFrame f, String rollId) {
        return new Frame(f.id(), rollId, f.number(), f.title(), f.caption(), f.upright(), f.pictureId(), f.rating());
    }

    /** What is known of the negative, if the file says anything of it. */
    static Optional<FrameNotes> notesOf(FileFrame f) {
        return Optional.ofNullable(f.notes())
                .map(n -> new FrameNotes(
                        f.id(),
                        n.people(),
                        n.consent(),
                        n.defects(),
                        n.beyondRescue(),
                        n.baseDensity(),
                        n.shadowDensity(),
                        n.highlightDensity(),
                        n.reader(),
                        n.marks()));
    }
}
