package keyslate.store.slate;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import keyslate.core.light.Light;
import keyslate.core.quantity.ExposureTime;
import keyslate.core.script.Cue;
import keyslate.core.script.ExposureStep;
import keyslate.core.script.Part;
import keyslate.store.Database;
import keyslate.store.json.Json;
import keyslate.store.json.Seen;
import keyslate.store.json.SeenCast;
import keyslate.store.json.Stood;
import keyslate.store.json.StoredPhase;
import keyslate.store.json.StoredTaste;
import keyslate.store.json.Taught;
import org.springframework.jdbc.core.RowMapper;

/** Sheets with their pieces, scripts, what the lamp did, what happened after, their pictures and the decisions taken from them. */
public final class SheetRepository {
    /** Accepted prints with the first light of their base. */
    private static final String KEPT = " FROM slate JOIN sheet ON sheet.id = slate.accepted_sheet_id"
            + " JOIN recipe ON recipe.id = sheet.recipe_id"
            + " LEFT JOIN frame ON frame.id = slate.frame_id LEFT JOIN roll ON roll.id = frame.roll_id"
            + " JOIN base_part AS part ON part.recipe_id = recipe.id AND part.place = 1";

    private static final String ON_PAPER = " WHERE recipe.paper_id = ? AND slate.roll_id IS NULL";

    private static final String SHEET = "SELECT id, slate_id, number, kind, recipe_id, begun_at, state, ended_at,"
            + " paper_used, magnification, stood, note FROM sheet WHERE ";
    private static final String OF_SLATE = " WHERE sheet_id IN (SELECT id FROM sheet WHERE slate_id = ?) ORDER BY ";
    private static final String OF_SHEET = " WHERE sheet_id = ? ORDER BY ";

    private static final Rows PIECE = new Rows(
            "SELECT sheet_id, number, view_left, view_top, view_width, view_height FROM piece", "sheet_id, number");
    private static final Rows STEP = new Rows(
            "SELECT sheet_id, place, piece, light, opening, set_seconds, presses, phases, cues FROM step",
            "sheet_id, place");
    private static final Rows LAMP = new Rows(
            "SELECT sheet_id, step_place, attempt, set_seconds, on_at, off_at, given_seconds, outcome, told FROM lamp",
            "sheet_id, step_place, attempt");
    private static final Rows EVENT =
            new Rows("SELECT sheet_id, place, kind, happened_at FROM event", "sheet_id, place");
    private static final Rows SCAN =
            new Rows("SELECT sheet_id, place, picture_id, handed_at, offsets, source FROM scan", "sheet_id, place");
    private static final Rows DECISION = new Rows(
            "SELECT id, slate_id, sheet_id, kind, made_at, seen, remark, headline, why, proposed_light,"
                    + " proposed_seconds, overruled, taken_light, taken_seconds FROM decision",
            "made_at, rowid");

    private final Database database;

    public SheetRepository(Database database) {
        this.database = database;
    }

    /** What is read of the rows that belong to sheets, and their order. */
    private record Rows(String select, String order) {}

    /** The sheets of a slate in the order they were made, with all that belongs to them: seven queries, however many hang there. */
    public List<ExposedSheet> cord(String slateId) {
        return exposed(sheets("slate_id = ? ORDER BY number", slateId), OF_SLATE, slateId);
    }

    /** One sheet with all that belongs to it. */
    public Optional<ExposedSheet> exposed(String id) {
        return exposed(sheets("id = ?", id), OF_SHEET, id).stream().findFirst();
    }

    private List<ExposedSheet> exposed(List<Sheet> sheets, String where, String param) {
        Map<String, List<Piece>> pieces = rows(PIECE, where, param, SheetRepository::piece);
        Map<String, List<ExposureStep>> steps = rows(STEP, where, param, SheetRepository::step);
        Map<String, List<LampRecord>> lamp = rows(LAMP, where, param, SheetRepository::lamp);
        Map<String, List<SheetEvent>> events = rows(EVENT, where, param, SheetRepository::event);
        Map<String, List<Scan>> scans = rows(SCAN, where, param, SheetRepository::scan);
        Map<String, List<Decision>> decisions = rows(DECISION, where, param, SheetRepository::decision);
        return sheets.stream()
                .map(s -> new ExposedSheet(
                        s,
                        pieces.getOrDefault(s.id(), List.of()),
                        steps.getOrDefault(s.id(), List.of()),
                        lamp.getOrDefault(s.id(), List.of()),
                        events.getOrDefault(s.id(), List.of()),
                        scans.getOrDefault(s.id(), List.of()),
                        decisions.getOrDefault(s.id(), List.of())))
                .toList();
    }

    private <T> Map<String, List<T>> rows(Rows part, String where, String param, RowMapper<T> mapper) {
        Map<String, List<T>> found = new HashMap<>();
        database.sql()
                .sql(part.select() + where + part.order())
                .param(param)
                .query((row, n) -> found.computeIfAbsent(row.getString("sheet_id"), id -> new ArrayList<>())
                        .add(mapper.mapRow(row, n)))
                .list();
        return found;
    }

    public Optional<Sheet> find(String id) {
        return sheets("id = ?", id).stream().findFirst();
    }

    /** The sheets of a slate, bare, in the order they were made. */
    public List<Sheet> of(String slateId) {
        return sheets("slate_id = ? ORDER BY number", slateId);
    }

    /** Sheets whose exposure was begun and not ended. */
    public List<Sheet> exposing() {
        return sheets("state = ? ORDER BY begun_at", Sheet.EXPOSING);
    }

    /** The last sheet that was enlarged under an enlarger, whatever its slate. */
    public Optional<Sheet> lastEnlargedUnder(String enlargerId) {
        return sheets(
                        "id = (SELECT sheet.id FROM sheet JOIN recipe ON recipe.id = sheet.recipe_id WHERE recipe.enlarger_id = ?"
                                + " AND recipe.contact IS NULL ORDER BY sheet.begun_at DESC LIMIT 1)",
                        enlargerId)
                .stream()
                .findFirst();
    }

    /** The proof sheets accepted last, on any roll from any enlarger; the newest first. */
    public List<Sheet> acceptedProofs(int most) {
        return sheets(
                "id IN (SELECT accepted_sheet_id FROM slate WHERE roll_id IS NOT NULL AND accepted_sheet_id IS NOT NULL)"
                        + " ORDER BY begun_at DESC LIMIT ?",
                most);
    }

    /** The prints accepted last of negatives whose highlight was read; the newest first. */
    public List<Sheet> acceptedOfReadNegatives(int most) {
        return sheets(
                "id IN (SELECT accepted_sheet_id FROM slate JOIN frame_notes ON frame_notes.frame_id = slate.frame_id"
                        + " WHERE accepted_sheet_id IS NOT NULL AND highlight_density IS NOT NULL AND shadow_density"
                        + " IS NOT NULL) ORDER BY begun_at DESC LIMIT ?",
                most);
    }

    /** The prints accepted last of other frames of a film, by what its rolls say; the newest first. */
    public List<Sheet> acceptedOfFilm(String film, String exceptFrameId, int most) {
        return database
                .sql()
                .sql(
                        "SELECT id FROM sheet WHERE id IN (SELECT accepted_sheet_id FROM slate JOIN frame ON frame.id = slate.frame_id"
                                + " JOIN roll ON roll.id = frame.roll_id WHERE roll.film = ? AND frame.id <> ? AND accepted_sheet_id IS"
                                + " NOT NULL) ORDER BY begun_at DESC LIMIT ?")
                .params(film, exceptFrameId, most)
                .query(String.class)
                .list()
                .stream()
                .map(id -> find(id).orElseThrow())
                .toList();
    }

    /**
     * An accepted print.
     *
     * @param light its base light as it is written
     * @param taste how far off neutral it was meant to be; empty where it was to be neutral
     * @param film as it is written on the roll; empty where nobody said
     * @param enlargerId it was printed with
     */
    public record KeptLight(
            String slateId, String begunAt, String light, Optional<StoredTaste> taste, String film, String enlargerId) {
        /** The light that would have made its neutral neutral. */
        public Light neutral() {
            Light kept = Light.of(light);
            return taste.<Light>map(t -> Light.dials(t.toCore().neutralOf(kept.toPack())))
                    .orElse(kept);
        }

        private static KeptLight of(ResultSet row) throws SQLException {
            return new KeptLight(
                    row.getString("id"),
                    row.getString("begun_at"),
                    row.getString("light"),
                    Optional.ofNullable(row.getString("taste")).map(t -> Json.read(t, StoredTaste.class)),
                    Optional.ofNullable(row.getString("film")).orElse(""),
                    row.getString("enlarger_id"));
        }
    }

    /** Each accepted print on a paper, the oldest first; proofs have a setting of their own. */
    public List<KeptLight> lightsKeptOn(String paperId) {
        return database.sql()
                .sql("SELECT slate.id, sheet.begun_at, part.light, recipe.taste, roll.film, recipe.enlarger_id" + KEPT
                        + ON_PAPER + " ORDER BY sheet.begun_at")
                .param(paperId)
                .query((row, n) -> KeptLight.of(row))
                .list();
    }

    /**
     * An accepted print for which a colour meter was read.
     *
     * @param casts the looks of the decision that the meter was read for
     */
    public record MeteredPrint(KeptLight print, List<SeenCast> casts) {}

    /** Accepted prints on a paper for which a colour meter was read, reading after reading, the oldest first. */
    public List<MeteredPrint> meteredPrints(String paperId) {
        return database.sql()
                .sql(
                        "SELECT slate.id, sheet.begun_at, part.light, recipe.taste, roll.film, recipe.enlarger_id, decision.seen"
                                + KEPT + " JOIN decision ON decision.slate_id = slate.id AND decision.kind = 'CAST'"
                                + ON_PAPER
                                + " AND json_extract(decision.seen, '$.way') = 'METER' ORDER BY decision.made_at")
                .param(paperId)
                .query((row, n) -> new MeteredPrint(
                        KeptLight.of(row),
                        Optional.ofNullable(Json.read(row.getString("seen"), Seen.class)
                                        .casts())
                                .orElse(List.of())))
                .list();
    }

    /**
     * What the last decision on another slate before a moment had taught of a way to tell casts.
     *
     * @param kit the names that a kit has or had, in whatever case; the empty one for a way that needs none
     */
    public Optional<Taught> taught(String way, List<String> kit, String butSlateId, String before) {
        return database.sql()
                .sql("SELECT taught.value FROM decision, json_each(decision.seen, '$.taught') AS taught"
                        + " WHERE decision.kind = 'CAST' AND decision.slate_id <> ? AND decision.made_at < ?"
                        + " AND json_extract(taught.value, '$.way') = ? AND EXISTS (SELECT 1 FROM json_each(?) AS called"
                        + " WHERE called.value = json_extract(taught.value, '$.kit') COLLATE NOCASE)"
                        + " ORDER BY decision.made_at DESC LIMIT 1")
                .params(butSlateId, before, way, Json.write(kit))
                .query((row, n) -> Json.read(row.getString(1), Taught.class))
                .optional();
    }

    /** How many sheets each slate has. */
    public Map<String, Integer> counts() {
        Map<String, Integer> counts = new LinkedHashMap<>();
        database.sql()
                .sql("SELECT slate_id, count(*) FROM sheet GROUP BY slate_id")
                .query((row, n) -> counts.put(row.getString(1), row.getInt(2)))
                .list();
        return counts;
    }

    private List<Sheet> sheets(String where, Object param) {
        return database.sql()
                .sql(SHEET + where)
                .param(param)
                .query((row, n) -> new Sheet(
                        row.getString("id"),
                        row.getString("slate_id"),
                        row.getInt("number"),
                        row.getString("kind"),
                        row.getString("recipe_id"),
                        row.getString("begun_at"),
                        row.getString("state"),
                        row.getString("ended_at"),
                        row.getDouble("paper_used"),
                        row.getDouble("magnification"),
                        row.getString("stood") == null ? null : Json.read(row.getString("stood"), Stood.class),
                        row.getString("note")))
                .list();
    }

    private static Piece piece(ResultSet row, int n) throws SQLException {
        return new Piece(
                row.getInt("number"),
                new Part(
                        row.getDouble("view_left"),
                        row.getDouble("view_top"),
                        row.getDouble("view_width"),
                        row.getDouble("view_height")));
    }

    private static ExposureStep step(ResultSet row, int n) throws SQLException {
        return new ExposureStep(
                row.getInt("place"),
                row.getInt("piece"),
                Light.of(row.getString("light")),
                row.getDouble("opening"),
                ExposureTime.ofSeconds(row.getDouble("set_seconds")),
                row.getInt("presses"),
                Json.phases(row.getString("phases")).stream()
                        .map(StoredPhase::toCore)
                        .toList(),
                Json.words(row.getString("cues")).stream().map(Cue::valueOf).toList());
    }

    private static LampRecord lamp(ResultSet row, int n) throws SQLException {
        return new LampRecord(
                row.getString("sheet_id"),
                row.getInt("step_place"),
                row.getInt("attempt"),
                row.getDouble("set_seconds"),
                row.getString("on_at"),
                row.getString("off_at"),
                (Double) row.getObject("given_seconds"),
                row.getString("outcome"),
                row.getBoolean("told"));
    }

    private static SheetEvent event(ResultSet row, int n) throws SQLException {
        return new SheetEvent(
                row.getString("sheet_id"), row.getInt("place"), row.getString("kind"), row.getString("happened_at"));
    }

    private static Scan scan(ResultSet row, int n) throws SQLException {
        String offsets = row.getString("offsets");
        return new Scan(
                row.getString("sheet_id"),
                row.getInt("place"),
                row.getString("picture_id"),
                row.getString("handed_at"),
                offsets == null ? List.of() : Json.numbers(offsets),
                row.getString("source"));
    }

    private static Decision decision(ResultSet row, int n) throws SQLException {
        return new Decision(
                row.getString("id"),
                row.getString("slate_id"),
                row.getString("sheet_id"),
                row.getString("kind"),
                row.getString("made_at"),
                Json.read(row.getString("seen"), Seen.class),
                row.getString("remark"),
                row.getString("headline"),
                row.getString("why"),
                row.getString("proposed_light"),
                (Double) row.getObject("proposed_seconds"),
                row.getBoolean("overruled"),
                row.getString("taken_light"),
                (Double) row.getObject("taken_seconds"));
    }

    /** Puts a sheet in as it is begun, with its pieces and its script. */
    public void add(Sheet sheet, List<Piece> pieces, List<ExposureStep> steps) {
        database.sql()
                .sql("INSERT INTO sheet (id, slate_id, number, kind, recipe_id, begun_at, state, ended_at, paper_used,"
                        + " magnification, stood, note) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .param(sheet.id())
                .param(sheet.slateId())
                .param(sheet.number())
                .param(sheet.kind())
                .param(sheet.recipeId())
                .param(sheet.begunAt())
                .param(sheet.state())
                .param(sheet.endedAt())
                .param(sheet.paperUsed())
                .param(sheet.magnification())
                .param(sheet.stood() == null ? null : Json.write(sheet.stood()))
                .param(sheet.note())
                .update();
        for (Piece piece : pieces) {
            Part view = piece.view();
            database.sql()
                    .sql("INSERT INTO piece (sheet_id, number, view_left, view_top, view_width, view_height) VALUES"
                            + " (?, ?, ?, ?, ?, ?)")
                    .params(sheet.id(), piece.number(), view.left(), view.top(), view.width(), view.height())
                    .update();
        }
        steps.forEach(step -> add(sheet.id(), step));
    }

    private void add(String sheetId, ExposureStep step) {
        database.sql()
                .sql("INSERT INTO step (sheet_id, place, piece, light, opening, set_seconds, presses, phases, cues)"
                        + " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .params(
                        sheetId,
                        step.place(),
                        step.piece(),
                        step.light().notation(),
                        step.opening(),
                        step.set().inSeconds(),
                        step.presses(),
                        Json.write(step.phases().stream().map(StoredPhase::of).toList()),
                        Json.write(step.cues().stream().map(Cue::name).toList()))
                .update();
    }

    public void add(LampRecord lamp) {
        database.sql()
                .sql("INSERT INTO lamp (sheet_id, step_place, attempt, set_seconds, on_at, off_at, given_seconds,"
                        + " outcome, told) VALUES (:sheetId, :stepPlace, :attempt, :setSeconds, :onAt, :offAt,"
                        + " :givenSeconds, :outcome, :told)")
                .paramSource(lamp)
                .update();
    }

    public void add(SheetEvent event) {
        database.sql()
                .sql("INSERT INTO event (sheet_id, place, kind, happened_at) VALUES (:sheetId, :place, :kind,"
                        + " :happenedAt)")
                .paramSource(event)
                .update();
    }

    public void add(Scan scan) {
        database.sql()
                .sql("INSERT INTO scan (sheet_id, place, picture_id, handed_at, offsets, source) VALUES (?, ?, ?, ?,"
                        + " ?, ?)")
                .param(scan.sheetId())
                .param(scan.place())
                .param(scan.pictureId())
                .param(scan.handedAt())
                .param(scan.offsets().isEmpty() ? null : Json.write(scan.offsets()))
                .param(scan.source())
                .update();
    }

    public void add(Decision decision) {
        database.sql()
                .sql("INSERT INTO decision (id, slate_id, sheet_id, kind, made_at, seen, remark, headline, why,"
                        + " proposed_light, proposed_seconds, overruled, taken_light, taken_seconds) VALUES (?, ?, ?,"
                        + " ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .param(decision.id())
                .param(decision.slateId())
                .param(decision.sheetId())
                .param(decision.kind())
                .param(decision.madeAt())
                .param(Json.write(decision.seen()))
                .param(decision.remark())
                .param(decision.headline())
                .param(decision.why())
                .param(decision.proposedLight())
                .param(decision.proposedSeconds())
                .param(decision.overruled())
                .param(decision.takenLight())
                .param(decision.takenSeconds())
                .update();
    }

    /**
     * Completes the record of a lamp that was on.
     *
     * @return false when it was completed before
     */
    public boolean lampOff(LampRecord lamp) {
        return database.sql()
                        .sql("UPDATE lamp SET off_at = :offAt, given_seconds = :givenSeconds, outcome = :outcome WHERE"
                                + " sheet_id = :sheetId AND step_place = :stepPlace AND attempt = :attempt AND off_at"
                                + " IS NULL")
                        .paramSource(lamp)
                        .update()
                == 1;
    }

    /**
     * Ends the exposure of a sheet: hung, or abandoned.
     *
     * @return false when it was ended before
     */
    public boolean end(Sheet sheet) {
        return database.sql()
                        .sql("UPDATE sheet SET state = ?, ended_at = ?, note = ? WHERE id = ? AND state = 'EXPOSING'")
                        .params(sheet.state(), sheet.endedAt(), sheet.note(), sheet.id())
                        .update()
                == 1;
    }
}
