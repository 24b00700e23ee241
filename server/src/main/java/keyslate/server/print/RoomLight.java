package keyslate.server.print;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import keyslate.server.Clocks;
import keyslate.server.print.RunAssembler.Run;
import keyslate.server.print.RunViews.RoomLightView;
import keyslate.server.print.RunViews.WhiteLightView;
import keyslate.server.sheet.SheetKinds;
import keyslate.store.Database;
import keyslate.store.bench.BoxRepository.OpenBox;
import keyslate.store.slate.Sheet;
import keyslate.store.slate.SheetEvent;
import keyslate.store.slate.SheetRepository;
import org.springframework.stereotype.Service;

/** White light in the darkroom: asked of all paper that is under way, and never put on by this. */
@Service
class RoomLight {
    private final Database database;
    private final SheetRepository sheets;
    private final RunAssembler runs;
    private final SheetKinds kinds;
    private final PaperGuard guard;
    private final LampService lamp;
    private final OpenBoxes boxes;
    private final Clock clock;

    RoomLight(
            Database database,
            SheetRepository sheets,
            RunAssembler runs,
            SheetKinds kinds,
            PaperGuard guard,
            LampService lamp,
            OpenBoxes boxes,
            Clock clock) {
        this.database = database;
        this.sheets = sheets;
        this.runs = runs;
        this.kinds = kinds;
        this.guard = guard;
        this.lamp = lamp;
        this.boxes = boxes;
        this.clock = clock;
    }

    private record Unsafe(Run run, String says) {}

    private List<Unsafe> unsafe() {
        List<Unsafe> unsafe = new ArrayList<>();
        for (Sheet sheet : sheets.exposing()) {
            Run run = runs.run(sheet.id());
            String label = kinds.of(sheet.kind()).name(run.rig()) + " of “"
                    + run.rig().recipe().naming().title() + "”";
            WhiteLightView light = guard.of(run.exposed(), run.rig(), label);
            if (!light.safe()) {
                unsafe.add(new Unsafe(run, light.says()));
            }
        }
        return unsafe;
    }

    /** Whether white light may come on now. */
    RoomLightView asked() {
        return database.inSnapshot(() -> view(unsafe()));
    }

    /** The box of a paper is said to lie open, or to be shut. */
    RoomLightView box(String paperId, boolean open) {
        boxes.set(paperId, open);
        return asked();
    }

    private RoomLightView view(List<Unsafe> unsafe) {
        List<OpenBox> open = boxes.all();
        List<String> says = new ArrayList<>(unsafe.stream().map(Unsafe::says).toList());
        open.forEach(box -> says.add(OpenBoxes.says(box)));
        return new RoomLightView(
                says.isEmpty(), says, open.stream().map(OpenBox::paperId).toList());
    }

    /** White light against advice: on the record of every sheet that it may have fogged. */
    RoomLightView onPurpose() {
        return happens(SheetEvent.WHITE_LIGHT);
    }

    /** People first: lamps off, and what was not safe is suspect. */
    RoomLightView alarm() {
        sheets.exposing().forEach(s -> lamp.release(runs.run(s.id())));
        return happens(SheetEvent.ALARM);
    }

    private RoomLightView happens(String kind) {
        return database.inTransaction(() -> {
            List<Unsafe> unsafe = unsafe();
            for (Unsafe u : unsafe) {
                int place = u.run().exposed().events().size() + 1;
                if (place <= RunService.MOST_EVENTS) {
                    String id = u.run().exposed().sheet().id();
                    sheets.add(new SheetEvent(id, place, kind, Clocks.now(clock)));
                }
            }
            boxes.lit();
            return view(unsafe);
        });
    }
}
