package keyslate.server.subject;

import java.util.Collections;
import java.util.List;
import keyslate.core.film.FilmSheet;
import keyslate.core.film.ProofLayout;
import keyslate.core.quantity.Length;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Roll;

/** What a slate prints. */
public sealed interface Subject {
    Roll roll();

    /** The negative as it lies under the light, as its picture stands. */
    Length width();

    Length height();

    /** What it is called where its roll is known: "frame 15", or "proof". */
    String name();

    /** A title for a new slate of it. */
    String title();

    /** The pictures it is drawn from, in order; a null where one was never scanned. */
    List<String> pictureIds();

    /** Names what is seen of it: the same text, the same picture. */
    default String shown() {
        return pictureIds().toString();
    }

    /** Whether anything of it was scanned. */
    default boolean hasPicture() {
        return pictureIds().stream().anyMatch(id -> id != null);
    }

    /** Whether it is a whole roll on one sheet. */
    default boolean isProof() {
        return this instanceof Proof;
    }

    /** One frame. */
    record Single(Frame frame, Roll roll) implements Subject {
        @Override
        public Length width() {
            return Length.ofMm(frame.upright() ? roll.shortMm() : roll.longMm());
        }

        @Override
        public Length height() {
            return Length.ofMm(frame.upright() ? roll.longMm() : roll.shortMm());
        }

        @Override
        public String name() {
            return "frame " + frame.number();
        }

        @Override
        public String title() {
            return frame.title().isEmpty() ? "Frame " + frame.number() : frame.title();
        }

        @Override
        public List<String> pictureIds() {
            return Collections.singletonList(frame.pictureId());
        }
    }

    /** All frames of a roll, in the order of their numbers. */
    record Proof(Roll roll, List<Frame> frames) implements Subject {
        private static final int LONGEST_TITLE = 80;

        public Proof {
            frames = List.copyOf(frames);
        }

        /** How it is cut today; a film without frames is as long as one. */
        public FilmSheet cut() {
            return FilmSheet.cut(Math.max(1, frames.size()), roll.stripFrames(), roll.oddFirst());
        }

        /** How its strips lie under the glass. */
        public ProofLayout layout() {
            return layout(cut());
        }

        /** How strips of its film lie under the glass when it is cut like that. */
        public ProofLayout layout(FilmSheet cut) {
            return ProofLayout.of(cut, Length.ofMm(roll.longMm()), Length.ofMm(roll.shortMm()));
        }

        @Override
        public Length width() {
            return layout().width();
        }

        @Override
        public Length height() {
            return layout().height();
        }

        @Override
        public String name() {
            return "proof";
        }

        @Override
        public String title() {
            String title = "Proof of " + roll.title();
            return title.length() <= LONGEST_TITLE ? title : title.substring(0, LONGEST_TITLE - 1) + "…";
        }

        @Override
        public String shown() {
            return layout() + " " + pictureIds();
        }

        @Override
        public List<String> pictureIds() {
            return frames.stream().map(Frame::pictureId).toList();
        }
    }
}
