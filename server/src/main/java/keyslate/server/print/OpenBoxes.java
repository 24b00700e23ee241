package keyslate.server.print;

import java.time.Clock;
import java.util.List;
import keyslate.server.Clocks;
import keyslate.server.Ids;
import keyslate.server.print.RunViews.WhiteLightView;
import keyslate.server.web.NotFoundException;
import keyslate.store.Database;
import keyslate.store.bench.BoxRepository;
import keyslate.store.bench.BoxRepository.OpenBox;
import keyslate.store.bench.StoresRepository;
import org.springframework.stereotype.Component;

/** Boxes that lie open: white light waits for them, and what was lit in one is said of it. */
@Component
class OpenBoxes {
    private final Database database;
    private final StoresRepository stores;
    private final BoxRepository boxes;
    private final Clock clock;

    OpenBoxes(Database database, StoresRepository stores, BoxRepository boxes, Clock clock) {
        this.database = database;
        this.stores = stores;
        this.boxes = boxes;
        this.clock = clock;
    }

    void set(String paperId, boolean open) {
        database.inTransaction(() -> {
            stores.paper(paperId).orElseThrow(NotFoundException.of("paper"));
            String now = Clocks.now(clock);
            if (open) {
                boxes.opened(Ids.fresh(), paperId, now);
            } else {
                boxes.shut(paperId, now);
            }
            return paperId;
        });
    }

    /** Shuts a box within a change that is under way. */
    void shut(String paperId) {
        boxes.shut(paperId, Clocks.now(clock));
    }

    List<OpenBox> all() {
        return boxes.open();
    }

    boolean isOpen(String paperId) {
        return all().stream().anyMatch(b -> b.paperId().equals(paperId));
    }

    static String says(OpenBox box) {
        return "The box of " + box.name() + (box.batch().isEmpty() ? "" : ", " + box.batch() + ",") + " lies open.";
    }

    /** What is safe for a sheet is not while any box lies open. */
    WhiteLightView beside(WhiteLightView sheet) {
        return sheet.safe()
                ? all().stream()
                        .findFirst()
                        .map(b -> new WhiteLightView(false, 0, says(b)))
                        .orElse(sheet)
                : sheet;
    }

    /** Light came on all the same. */
    void lit() {
        boxes.lit(Clocks.now(clock));
    }
}
