package keyslate.server.recipe;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import keyslate.core.quantity.Check;
import keyslate.core.size.Projection;
import keyslate.server.Show;
import keyslate.server.recipe.RecipeChange.SetupChange;
import keyslate.server.rig.Rig;
import keyslate.server.web.FieldErrors;
import keyslate.server.web.Texts;
import keyslate.store.slate.Recipe.Contact;
import keyslate.store.slate.Recipe.Setup;
import org.jspecify.annotations.Nullable;

/** The edit of how the light comes to the paper: enlarged, or in contact from a lens or a bare lamp. */
final class ContactEdit {
    private static final String ENLARGED = "ENLARGED";
    /** A head that stands high lights the whole board. */
    private static final double USUAL_MM = 600;

    private ContactEdit() {}

    /** A first way to print in contact: through the lens from a usual height. */
    static Contact usual() {
        return new Contact(Projection.Source.LENS, USUAL_MM, "");
    }

    static Optional<Contact> of(Edit edit, Setup now, SetupChange change) {
        Optional<Projection.Source> source = source(edit, now, change.projection());
        if (source.isEmpty()) {
            if (change.distanceMm() != null) {
                edit.errors()
                        .add(
                                "/setup/distanceMm",
                                "E_INFEASIBLE",
                                "An enlarged print has no distance of its own: it follows from the size.");
            }
            return Optional.empty();
        }
        Contact stands = now.contact().orElse(usual());
        double distance = edit.errors()
                .check(
                        "/setup/distanceMm",
                        stands.distanceMm(),
                        () -> Check.within(
                                "distance",
                                Edit.or(change.distanceMm(), stands.distanceMm()),
                                Projection.Contact.NEAREST_MM,
                                Projection.Contact.FARTHEST_MM,
                                "mm"));
        String reading = change.columnReading() == null
                ? stands.columnReading()
                : Texts.checked(
                        edit.errors(), "/setup/columnReading", change.columnReading(), 0, Contact.LONGEST_READING);
        return Optional.of(new Contact(source.get(), distance, reading));
    }

    private static Optional<Projection.Source> source(Edit edit, Setup now, @Nullable String asked) {
        if (asked == null) {
            return now.contact().map(Contact::source);
        }
        if (ENLARGED.equals(asked)) {
            return Optional.empty();
        }
        Optional<Projection.Source> found = Arrays.stream(Projection.Source.values())
                .filter(s -> s.name().equals(asked))
                .findFirst();
        if (found.isEmpty()) {
            String known = Stream.concat(
                            Stream.of(ENLARGED),
                            Arrays.stream(Projection.Source.values()).map(Enum::name))
                    .collect(Collectors.joining(", "));
            edit.errors().add("/setup/projection", "E_SHAPE", "This choice does not exist; there are " + known + ".");
            return now.contact().map(Contact::source);
        }
        return found;
    }

    /** A roll has no size but its own. */
    static void check(FieldErrors errors, Rig moved) {
        if (moved.subject().isProof() && !moved.inContact()) {
            errors.add("/setup/projection", "E_INFEASIBLE", "A proof is printed in contact.");
        }
    }

    static void sayWhatMoved(Edit edit, Setup now, Setup moved) {
        boolean sameSource =
                now.contact().map(Contact::source).equals(moved.contact().map(Contact::source));
        edit.sayIf(!sameSource, inWords(moved));
        edit.sayIf(
                sameSource
                        && !now.contact()
                                .map(Contact::distanceMm)
                                .equals(moved.contact().map(Contact::distanceMm)),
                moved.contact()
                        .map(c -> Show.number(c.distanceMm() / 10) + " cm to the paper")
                        .orElse(""));
        edit.sayIf(
                sameSource
                        && !now.contact()
                                .map(Contact::columnReading)
                                .equals(moved.contact().map(Contact::columnReading)),
                "column reading");
    }

    private static String inWords(Setup setup) {
        return setup.contact()
                .map(c -> c.source() == Projection.Source.LAMP ? "in contact by a bare lamp" : "in contact")
                .orElse("enlarged");
    }
}
