package keyslate.server.need;

import java.util.List;
import java.util.Optional;
import keyslate.core.darkroom.Look;
import keyslate.core.film.FilmSheet;
import keyslate.core.film.FrameNeed;
import keyslate.core.film.ProofLayout;
import keyslate.core.script.Part;
import keyslate.server.local.PrintKind;
import keyslate.server.picture.PictureFiles;
import keyslate.server.rig.Rig;
import keyslate.server.rig.Rigs;
import keyslate.server.subject.Subject;
import keyslate.server.web.ConflictException;
import keyslate.store.Database;
import keyslate.store.json.Stood;
import keyslate.store.negative.Frame;
import keyslate.store.negative.PictureRepository;
import keyslate.store.slate.ExposedSheet;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.Slate;
import keyslate.store.slate.SlateRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads two frames from the scan of the proof they lie on. */
@Component
class ProofScans {
    /** Share of a frame's side that is left out, as no film lies quite straight. */
    private static final double INSET = 0.08;

    private final Database database;
    private final SlateRepository slates;
    private final SheetRepository sheets;
    private final RecipeRepository recipes;
    private final PictureRepository pictures;
    private final Rigs rigs;

    ProofScans(
            Database database,
            SlateRepository slates,
            SheetRepository sheets,
            RecipeRepository recipes,
            PictureRepository pictures,
            Rigs rigs) {
        this.database = database;
        this.slates = slates;
        this.sheets = sheets;
        this.recipes = recipes;
        this.pictures = pictures;
        this.rigs = rigs;
    }

    private record Proof(
            Rig rig, ProofLayout layout, List<String> frameIds, Part view, PictureRepository.Working scan) {}

    /**
     * FLM-06, in colour FLM-08.
     *
     * @throws ConflictException when no scan of a proof shows both, or when one has too few tones to tell
     */
    FrameNeed need(Frame frame, Frame against) {
        if (!frame.rollId().equals(against.rollId())) {
            throw new ConflictException(
                    "not-on-one-proof", "The two lie on different proofs. Compare them by eye, side by side.");
        }
        Proof proof = database.inSnapshot(() -> proof(frame.rollId()))
                .orElseThrow(() -> new ConflictException(
                        "no-proof-scan",
                        "No proof of this roll has a scan. Hand one in at its slate, or compare by eye."));
        Look scan = PictureFiles.toLook(proof.scan().bytes());
        return proof.rig()
                .medium()
                .core()
                .needByScan(
                        of(frame, proof, scan),
                        of(against, proof, scan),
                        scan,
                        proof.rig().light())
                .orElseThrow(() -> new ConflictException(
                        "too-few-tones",
                        "On the proof one of the two is nearly all bare or all black: too few tones to tell."));
    }

    /** The scan of the accepted proof, else of the last one that has a scan. */
    private Optional<Proof> proof(String rollId) {
        Optional<Proof> found = Optional.empty();
        for (Slate slate : slates.proofsOf(rollId)) {
            List<ExposedSheet> cord = sheets.cord(slate.id());
            for (ExposedSheet sheet : cord) {
                boolean isProof = PrintKind.ID.equals(sheet.sheet().kind())
                        && sheet.scan().isPresent();
                boolean isAccepted = sheet.sheet().id().equals(slate.acceptedSheetId());
                if (isProof && (isAccepted || slate.acceptedSheetId() == null)) {
                    found = Optional.of(proof(sheet));
                }
            }
        }
        return found;
    }

    private Proof proof(ExposedSheet sheet) {
        Rig today = rigs.of(recipes.get(sheet.sheet().recipeId()));
        Rig rig = rigs.of(sheet.sheet(), today.recipe(), today);
        String pictureId = sheet.scan().orElseThrow().pictureId();
        Subject.Proof subject = (Subject.Proof) rig.subject();
        Stood.StoodFilm film = stoodFilm(sheet.sheet().stood(), subject);
        return new Proof(
                rig,
                subject.layout(new FilmSheet(film.strips())),
                film.frameIds(),
                sheet.piece().view(),
                pictures.working(pictureId).orElseThrow());
    }

    /** The film as it lay under the glass, whatever became of it since. */
    private static Stood.StoodFilm stoodFilm(@Nullable Stood stood, Subject.Proof today) {
        boolean known = stood != null
                && stood.film() != null
                && stood.film().strips().stream().mapToInt(Integer::intValue).sum()
                        == stood.film().frameIds().size();
        return known
                ? stood.film()
                : new Stood.StoodFilm(
                        today.frames().stream().map(Frame::id).toList(),
                        today.cut().strips());
    }

    /** What the scan shows of a frame, but for its rim. */
    private static Look of(Frame frame, Proof proof, Look scan) {
        ProofLayout.Place place = place(proof, frame);
        Part view = proof.view();
        int left = pixel((place.left() + INSET * place.width() - view.left()) / view.width(), scan.width());
        int right = pixel((place.left() + (1 - INSET) * place.width() - view.left()) / view.width(), scan.width());
        int top = pixel((place.top() + INSET * place.height() - view.top()) / view.height(), scan.height());
        int bottom = pixel((place.top() + (1 - INSET) * place.height() - view.top()) / view.height(), scan.height());
        if (right - left < 2 || bottom - top < 2) {
            throw new ConflictException(
                    "off-the-proof", "Frame " + frame.number() + " hangs over the edge of this proof.");
        }
        return scan.part(left, top, right - left, bottom - top);
    }

    private static ProofLayout.Place place(Proof proof, Frame frame) {
        int at = proof.frameIds().indexOf(frame.id());
        if (at < 0) {
            throw new ConflictException(
                    "off-the-proof", "Frame " + frame.number() + " was added after this proof was made.");
        }
        return proof.layout().frames().get(at);
    }

    private static int pixel(double share, int side) {
        return (int) Math.round(Math.max(0, Math.min(1, share)) * side);
    }
}
