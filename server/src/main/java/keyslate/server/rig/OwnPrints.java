package keyslate.server.rig;

import java.util.List;
import java.util.function.Predicate;
import keyslate.store.slate.SheetRepository.KeptLight;

/**
 * Own finals on a paper that are most like what is printed now: on the same film with the same head, else with the same head, else on the same film, else all of them.
 *
 * @param how what they share with it, in words
 */
public record OwnPrints(List<KeptLight> prints, String how) {
    public OwnPrints {
        prints = List.copyOf(prints);
    }

    /** Of finals on the paper of a rig; a film that nobody named is like no other. */
    public static OwnPrints like(Rig rig, List<KeptLight> onItsPaper) {
        String named = rig.subject().roll().film();
        Predicate<KeptLight> film = kept -> !named.isEmpty() && kept.film().equalsIgnoreCase(named);
        Predicate<KeptLight> head =
                kept -> kept.enlargerId().equals(rig.enlarger().id());
        List<OwnPrints> groups = List.of(
                of(onItsPaper, film.and(head), " on this film, with this head"),
                of(onItsPaper, head, named.isEmpty() ? ", with this head" : " with this head, on other films"),
                of(onItsPaper, film, " on this film, with other heads"));
        return groups.stream()
                .filter(group -> !group.prints.isEmpty())
                .findFirst()
                .orElse(new OwnPrints(
                        onItsPaper, ", with other heads" + (named.isEmpty() ? "" : " and on other films")));
    }

    private static OwnPrints of(List<KeptLight> all, Predicate<KeptLight> which, String how) {
        return new OwnPrints(all.stream().filter(which).toList(), how);
    }
}
