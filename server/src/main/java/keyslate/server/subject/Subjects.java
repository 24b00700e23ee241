package keyslate.server.subject;

import keyslate.server.web.NotFoundException;
import keyslate.store.negative.Frame;
import keyslate.store.negative.Roll;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.Slate;
import org.springframework.stereotype.Component;

/** Finds what a slate prints. */
@Component
public class Subjects {
    private final RollRepository rolls;

    Subjects(RollRepository rolls) {
        this.rolls = rolls;
    }

    public Subject of(Slate slate) {
        return slate.frameId() == null
                ? proof(slate.rollId())
                : of(rolls.frame(slate.frameId()).orElseThrow(NotFoundException.of("frame")));
    }

    public Subject.Single of(Frame frame) {
        return new Subject.Single(frame, roll(frame.rollId()));
    }

    /** The whole of a roll. */
    public Subject.Proof proof(String rollId) {
        return new Subject.Proof(roll(rollId), rolls.framesOf(rollId));
    }

    private Roll roll(String id) {
        return rolls.roll(id).orElseThrow(NotFoundException.of("roll"));
    }
}
