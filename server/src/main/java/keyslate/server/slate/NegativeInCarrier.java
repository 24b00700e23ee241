package keyslate.server.slate;

import java.util.Optional;
import keyslate.server.rig.Rig;
import keyslate.server.subject.Subject;
import keyslate.server.subject.Subjects;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.SlateRepository;
import org.springframework.stereotype.Component;

/** Whether another negative may still lie in the carrier: the one of the last sheet that was enlarged there. */
@Component
class NegativeInCarrier {
    private final SheetRepository sheets;
    private final SlateRepository slates;
    private final Subjects subjects;

    NegativeInCarrier(SheetRepository sheets, SlateRepository slates, Subjects subjects) {
        this.sheets = sheets;
        this.slates = slates;
        this.subjects = subjects;
    }

    /** What is to be taken out before the next exposure, in a sentence; none where the carrier holds what is printed. */
    Optional<String> another(Rig now) {
        return sheets.lastEnlargedUnder(now.enlarger().id())
                .flatMap(sheet -> slates.find(sheet.slateId()))
                .map(subjects::of)
                .filter(last -> now.inContact() || !name(last).equals(name(now.subject())))
                .map(last -> name(last) + " was enlarged last: take it out of the carrier"
                        + (now.inContact() ? ", which stays empty." : ", this is " + name(now.subject()) + "."));
    }

    private static String name(Subject subject) {
        return subject.roll().title() + ", " + subject.name();
    }
}
