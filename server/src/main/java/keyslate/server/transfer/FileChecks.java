package keyslate.server.transfer;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import keyslate.core.exposure.LampLag;
import keyslate.core.quantity.QuantityException;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Phase;
import keyslate.core.script.ThreeLights;
import keyslate.server.medium.Media;
import keyslate.server.sheet.SheetKinds;
import keyslate.server.transfer.SlateFile.FileDecision;
import keyslate.server.transfer.SlateFile.FileFrame;
import keyslate.server.transfer.SlateFile.FilePaper;
import keyslate.server.transfer.SlateFile.FilePicture;
import keyslate.server.transfer.SlateFile.FileRecipe;
import keyslate.server.transfer.SlateFile.FileSheet;
import keyslate.server.web.RefusedException;
import keyslate.server.web.Texts;
import keyslate.store.json.StoredTone;
import keyslate.store.slate.ExposedSheet;
import org.springframework.stereotype.Component;

/** Whether the parts of a slate file fit together, and into this program: looked at before any of it is stored. */
@Component
class FileChecks {
    /** More than any test has, so that no file keeps the program counting. */
    private static final int MOST_PARTS = 200;

    private final SheetKinds kinds;
    private final Media media;

    FileChecks(SheetKinds kinds, Media media) {
        this.kinds = kinds;
        this.media = media;
    }

    /**
     * Whatever the file points at must be in the file, and this program must know its kinds.
     *
     * @throws RefusedException when it does not
     */
    void check(SlateFile file) {
        Set<String> recipeIds =
                unique(file.recipes().stream().map(FileRecipe::id).toList());
        Set<String> sheetIds = unique(file.sheets().stream().map(FileSheet::id).toList());
        unique(file.decisions().stream().map(FileDecision::id).toList());
        Set<String> pictureIds =
                unique(file.pictures().stream().map(FilePicture::id).toList());
        within(recipeIds, file.slate().recipeId());
        within(recipeIds, file.slate().redoId());
        within(sheetIds, file.slate().acceptedSheetId());
        unique(file.allFrames().stream().map(FileFrame::id).toList());
        file.allFrames().forEach(f -> within(pictureIds, f.pictureId()));
        file.recipes().forEach(r -> within(recipeIds, r.previousId()));
        file.recipes().forEach(FileChecks::checkTexts);
        file.decisions().forEach(d -> within(sheetIds, d.sheetId()));
        for (FileSheet sheet : file.sheets()) {
            within(recipeIds, sheet.recipeId());
            sheet.scans().forEach(s -> within(pictureIds, s.pictureId()));
            if (!kinds.knows(sheet.kind())) {
                throw FileReader.damaged("it has a sheet of a kind that this program does not know");
            }
            checkScript(file, sheet);
        }
        boolean known = file.papers().stream().map(FilePaper::kind).allMatch(media::knows)
                && media.knows(file.roll().kind());
        if (!known) {
            throw FileReader.damaged("it has a kind of paper that this program does not know");
        }
    }

    /** A script has steps in order, one lamp record at least for what was given, and areas that its recipe knows. */
    private void checkScript(SlateFile file, FileSheet sheet) {
        FileRecipe recipe = file.recipes().stream()
                .filter(r -> r.id().equals(sheet.recipeId()))
                .findFirst()
                .orElseThrow();
        Set<String> areas = recipe.areas().stream().map(SlateFile.FileArea::key).collect(Collectors.toSet());
        if (sheet.steps().isEmpty() || sheet.pieces().isEmpty()) {
            throw FileReader.damaged("it has a sheet without a script");
        }
        ExposedSheet exposed = FileMapping.toStore(sheet, "");
        int place = 1;
        for (ExposureStep step : exposed.steps()) {
            boolean inOrder = step.place() == place++;
            boolean knows = areas.containsAll(step.held())
                    && step.burned().map(areas::contains).orElse(true);
            boolean lies = step.phases().stream()
                    .map(Phase::uncovered)
                    .flatMap(Optional::stream)
                    .allMatch(p -> p.left() >= -1e-9
                            && p.top() >= -1e-9
                            && p.left() + p.width() <= 1 + 1e-9
                            && p.top() + p.height() <= 1 + 1e-9);
            if (!inOrder || !knows || !lies) {
                throw FileReader.damaged("the script of a sheet in it cannot be");
            }
        }
        checkLights(exposed);
        checkPieces(sheet, exposed);
        int steps = sheet.steps().size();
        if (sheet.lamp().stream().anyMatch(l -> l.step() < 1 || l.step() > steps)) {
            throw FileReader.damaged("its lamp was on for a step that is not there");
        }
    }

    /** What is given in three lights has all three, one after another. */
    private static void checkLights(ExposedSheet exposed) {
        try {
            ThreeLights.joined(exposed.steps(), Map.of(), LampLag.NONE);
        } catch (QuantityException e) {
            throw FileReader.damaged("the script of a sheet in it cannot be");
        }
    }

    /** Pieces are numbered from 1 on and every exposure falls on one of them; a test has patches, and not more than can be made by hand. */
    private void checkPieces(FileSheet sheet, ExposedSheet exposed) {
        for (int i = 0; i < exposed.pieces().size(); i++) {
            if (exposed.pieces().get(i).number() != i + 1) {
                throw FileReader.damaged("the pieces of a sheet in it cannot be");
            }
        }
        boolean falls = exposed.steps().stream()
                .allMatch(s -> s.piece() <= exposed.pieces().size());
        long parts = exposed.steps().stream()
                .flatMap(s -> s.phases().stream())
                .map(Phase::uncovered)
                .distinct()
                .count();
        boolean none = kinds.of(sheet.kind()).isTest()
                && exposed.steps().stream().flatMap(s -> s.phases().stream()).allMatch(Phase::reachesNothing);
        if (!falls || parts > MOST_PARTS || none) {
            throw FileReader.damaged("the pieces of a sheet in it cannot be");
        }
    }

    private static void checkTexts(FileRecipe recipe) {
        Stream<String> tones = recipe.tones() == null
                ? Stream.empty()
                : recipe.tones().stream().map(StoredTone::name);
        Stream<String> reading = recipe.contact() == null
                ? Stream.empty()
                : Stream.ofNullable(recipe.contact().columnReading());
        Stream.of(Stream.of(recipe.title(), recipe.intent()), tones, reading)
                .flatMap(t -> t)
                .forEach(text -> {
                    if (text.codePoints().anyMatch(Texts::isHidden)) {
                        throw FileReader.damaged("it holds characters that cannot be seen");
                    }
                });
    }

    private static Set<String> unique(List<String> ids) {
        Set<String> found = new HashSet<>(ids);
        if (found.size() < ids.size() || found.contains("")) {
            throw FileReader.damaged("two of its parts have one name");
        }
        return found;
    }

    private static void within(Set<String> ids, String id) {
        if (id != null && !ids.contains(id)) {
            throw FileReader.damaged("it points at something that is not in it");
        }
    }
}
