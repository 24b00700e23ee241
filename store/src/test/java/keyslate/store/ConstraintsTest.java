package keyslate.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.dao.DataIntegrityViolationException;

/** Every constraint of the schema refuses what it is there for, and lets the good row through. */
class ConstraintsTest extends StoreTest {
    /** Table, column, a value that it must refuse. */
    private static final String CASES = """
            enlarger,name,''
            enlarger,head,''
            enlarger,lamp,BLINKING
            enlarger,dials,2
            enlarger,strength_log10,8.5
            enlarger,lag_seconds,-0.1
            enlarger,lag_source,guessed
            enlarger,column_mm,0.0
            enlarger,column_source,guessed
            lens,name,''
            lens,focal_mm,0.0
            lens,open_mark,0.0
            lens,smallest_mark,2.8
            lens,marks_per_stop,4
            lens,covers_mm,-1.0
            paper,name,''
            paper,kind,SEPIA
            paper,base,glass
            paper,width_mm,0.0
            paper,height_mm,-5.0
            paper,sheets_in_box,0
            paper,sheets_left,-0.5
            paper,reserve_sheets,-1
            paper,counted,2
            bath,name,''
            bath,process,SEPIA
            bath,capacity_m2,0.0
            bath,used_m2,-0.1
            picture,media_type,image/gif
            picture,encoding,srgb16
            picture,width_px,0
            picture,height_px,0
            picture,size_bytes,0
            picture_part,picture_id,none
            picture_part,place,0
            picture_working,picture_id,none
            picture_working,media_type,image/gif
            roll,title,''
            roll,kind,SEPIA
            roll,long_mm,0.0
            roll,short_mm,37.0
            frame,roll_id,none
            frame,number,123456789
            frame,rating,PERHAPS
            frame_notes,frame_id,none
            frame_notes,consent,YES
            frame_notes,beyond_rescue,2
            frame_notes,base_density,-0.1
            frame_notes,shadow_density,7.0
            frame_notes,highlight_density,7.0
            frame_notes,marks,{
            thing,kind,SPADE
            thing,name,''
            thing,facts,nothing
            constant,name,SPEED
            constant,source,HEARSAY
            constant,value,nothing
            constant,readings,nothing
            preference,name,COLOUR
            preference,value,''
            piece_stock,paper_id,none
            piece_stock,long_mm,5.0
            piece_stock,short_mm,251.0
            piece_stock,pieces,0
            frame_need,frame_id,none
            frame_need,against_id,none
            frame_need,more_stops,6.5
            frame_need,limit_stops,-0.1
            frame_need,cast_hue,P
            frame_need,cast_points,61.0
            frame_need,pack_magenta,201.0
            frame_need,pack_yellow,-201.0
            frame_need,contrast,0.2
            frame_need,source,HEARSAY
            roll_history,roll_id,none
            roll_history,taken_on,2026
            roll_history,nominal_iso,0.0
            roll_history,exposed_iso,0.0
            roll,odd_first,2
            roll,strip_frames,0
            frame,upright,2
            frame,picture_id,none
            slate,frame_id,none
            slate,roll_id,none
            slate,version,0
            slate,practice,2
            recipe,previous_id,none
            recipe,title,''
            recipe,white_wanted,2
            recipe,black_wanted,2
            recipe,enlarger_id,none
            recipe,lens_id,none
            recipe,paper_id,none
            recipe,aperture_mark,0.0
            recipe,sheet_width_mm,19.0
            recipe,sheet_height_mm,2001.0
            recipe,border_mm,-1.0
            recipe,fit,STRETCHED
            recipe,crop_place,1.1
            recipe,crop_down,1.1
            recipe,overfill_percent,51.0
            recipe,presses,33
            box_opening,paper_id,none
            box_opening,shut_at,2000
            box_opening,lit_at,2000
            recipe,blades,nothing
            recipe,sized_times,0.0
            recipe,sized_by,EAR
            slate_marks,slate_id,none
            slate_marks,enlarger_id,none
            slate_marks,paper_name,''
            slate_marks,lag_seconds,3.0
            slate_marks,marks,{
            slate_marks,guess_stops,21.0
            focus_check,enlarger_id,none
            focus_check,recipe_id,none
            paper,sheet_price,-0.1
            recipe,base_source,heard
            recipe,contact,SUN
            recipe,contact_mm,49.0
            recipe,column_reading,as far up as it goes by hand
            recipe,local_way,FAST
            recipe,test,{
            base_part,recipe_id,none
            base_part,place,4
            base_part,light,''
            base_part,seconds,0.0
            area,recipe_id,none
            area,area_key,''
            area,name,''
            area,shape,{
            area,soft_edge,1.1
            area,change_stops,6.5
            area,light,''
            sheet,slate_id,none
            sheet,recipe_id,none
            sheet,number,0
            sheet,kind,''
            sheet,state,LOST
            sheet,paper_used,0.0
            sheet,magnification,0.0
            sheet,stood,{
            piece,sheet_id,none
            piece,number,0
            piece,view_width,0.0
            piece,view_height,0.0
            step,sheet_id,none
            step,place,0
            step,piece,9
            step,light,''
            step,opening,0.0
            step,set_seconds,0.0
            step,presses,0
            step,phases,[
            step,cues,[
            lamp,step_place,9
            lamp,attempt,0
            lamp,set_seconds,0.0
            lamp,given_seconds,-1.0
            lamp,outcome,GUESSED
            lamp,told,2
            event,sheet_id,none
            event,place,0
            event,kind,DROPPED
            scan,sheet_id,none
            scan,place,0
            scan,picture_id,none
            scan,offsets,[
            scan,source,DREAMT
            decision,slate_id,none
            decision,sheet_id,none
            decision,kind,DOUBT
            decision,seen,{
            decision,proposed_seconds,0.0
            decision,overruled,2
            decision,taken_seconds,0.0
            """;

    /** Texts that may be empty, with their longest. */
    private static final Map<String, Integer> LONG_TEXTS = Map.ofEntries(
            Map.entry("recipe,intent,", 400),
            Map.entry("area,tool,", 60),
            Map.entry("paper,batch,", 80),
            Map.entry("roll,film,", 80),
            Map.entry("roll_history,camera,", 80),
            Map.entry("roll_history,sleeve,", 80),
            Map.entry("roll_history,development,", 200),
            Map.entry("roll_history,remark,", 400),
            Map.entry("frame,title,", 80),
            Map.entry("frame,caption,", 400),
            Map.entry("frame_notes,people,", 200),
            Map.entry("frame_notes,defects,", 200),
            Map.entry("frame_notes,reader,", 80),
            Map.entry("constant,remark,", 400),
            Map.entry("paper,surface,", 40),
            Map.entry("paper,opened_on,", 10),
            Map.entry("sheet,note,", 400),
            Map.entry("decision,remark,", 400));

    /** How many rows were made for others to refer to. */
    private int others = 100;

    @BeforeEach
    void fill() {
        Samples.fill(database());
    }

    @ParameterizedTest
    @CsvSource(textBlock = CASES, quoteCharacter = '\'')
    void refuses(String table, String column, String value) {
        Map<String, Object> changed = freshKeys(table);
        changed.put(column, typed(value));
        assertThatThrownBy(() -> database().inTransaction(() -> Samples.insert(database(), table, changed)))
                .isInstanceOf(DataIntegrityViolationException.class);
    }

    @ParameterizedTest
    @CsvSource({
        "slate,recipe_id",
        "slate,redo_id",
        "slate,accepted_sheet_id",
        "recipe,slate_id",
    })
    void refusesADanglingReferenceAtTheEndOfTheTransaction(String table, String column) {
        Map<String, Object> changed = freshKeys(table);
        changed.put(column, "none");
        assertThatThrownBy(() -> database().inTransaction(() -> Samples.insert(database(), table, changed)))
                .hasStackTraceContaining("FOREIGN KEY");
    }

    @ParameterizedTest
    @ValueSource(strings = {"id = 2", "every_days = -1", "every_days = 366", "kept = 0", "kept = 100", "folder = ''"})
    void thePlanOfBackupsRefuses(String change) {
        assertThatThrownBy(() -> database()
                        .inTransaction(() -> database()
                                .sql()
                                .sql("UPDATE backup_plan SET " + change)
                                .update()))
                .isInstanceOf(DataIntegrityViolationException.class);
    }

    @Test
    void refusesTextThatIsTooLong() {
        LONG_TEXTS.forEach((column, longest) -> {
            String[] at = column.split(",");
            Map<String, Object> changed = freshKeys(at[0]);
            changed.put(at[1], "x".repeat(longest + 1));
            assertThatThrownBy(() -> database().inTransaction(() -> Samples.insert(database(), at[0], changed)))
                    .as(column)
                    .isInstanceOf(DataIntegrityViolationException.class);
        });
    }

    @Test
    void refusesTheSameKeyTwice() {
        for (String table : Samples.tables()) {
            assertThatThrownBy(() -> database().inTransaction(() -> Samples.insert(database(), table, Map.of())))
                    .as(table)
                    .isInstanceOf(DataIntegrityViolationException.class);
        }
        assertRefused("frame", "title", "Two frames of one number");
        assertRefused("sheet", "note", "Two sheets of one number");
    }

    @Test
    void takesTheGoodRowUnderAnotherKey() {
        for (String table : Samples.tables()) {
            database().inTransaction(() -> Samples.insert(database(), table, freshKeys(table)));
        }
    }

    /** The list above is complete: every column with a CHECK has its case. */
    @Test
    void everyCheckHasItsCase() {
        List<String> schema = database()
                .sql()
                .sql("SELECT sql FROM sqlite_master WHERE type = 'table' AND sql LIKE '%CHECK%'")
                .query(String.class)
                .list();
        TreeSet<String> uncovered = new TreeSet<>();
        for (String table : schema) {
            String name = table.replaceFirst("(?s)^CREATE TABLE \"?(\\w+).*", "$1");
            Matcher check = Pattern.compile("^\\s+(\\w+) (?:TEXT|REAL|INTEGER|BLOB)[^\\n]*CHECK", Pattern.MULTILINE)
                    .matcher(table);
            while (check.find()) {
                uncovered.add(name + "," + check.group(1) + ",");
            }
        }
        assertThat(uncovered).hasSizeGreaterThan(50);
        uncovered.removeIf(c -> CASES.contains(c));
        LONG_TEXTS.keySet().forEach(uncovered::remove);
        // The plan of backups is one row, tested by itself.
        uncovered.removeIf(c -> c.startsWith("backup_plan,"));
        // Bytes are tested where pictures are.
        assertThat(uncovered).containsExactlyInAnyOrder("picture_part,bytes,", "picture_working,bytes,");
    }

    private void assertRefused(String table, String column, String value) {
        Map<String, Object> changed = new HashMap<>(Map.of(column, value, "id", "another"));
        assertThatThrownBy(() -> database().inTransaction(() -> Samples.insert(database(), table, changed)))
                .isInstanceOf(DataIntegrityViolationException.class);
    }

    /** Keys under which a second row of a table would be good. */
    private Map<String, Object> freshKeys(String table) {
        Map<String, Object> keys = new HashMap<>();
        switch (table) {
            case "area" -> keys.putAll(Map.of("place", 2, "area_key", "b"));
            case "base_part", "step", "event", "scan", "picture_part" -> keys.put("place", 2);
            case "piece" -> keys.put("number", 2);
            case "lamp" -> keys.put("attempt", 2);
            case "picture_working" -> {
                database().inTransaction(() -> Samples.insert(database(), "picture", Map.of("id", "other")));
                keys.put("picture_id", "other");
            }
            case "slate_marks" -> {
                String other = "other" + ++others;
                database().inTransaction(() -> Samples.insert(database(), "slate", Map.of("id", other)));
                keys.put("slate_id", other);
            }
            case "focus_check" -> keys.put("id", ++others + 1);
            case "preference" -> keys.put("name", "TEMPERATURE");
            case "piece_stock" -> keys.put("long_mm", 250.0);
            case "roll_history" -> {
                String other = "other" + ++others;
                database().inTransaction(() -> Samples.insert(database(), "roll", Map.of("id", other)));
                keys.put("roll_id", other);
            }
            case "frame_notes", "frame_need" -> {
                String other = "other" + ++others;
                Map<String, Object> frame = Map.of("id", other, "number", Integer.toString(others));
                database().inTransaction(() -> Samples.insert(database(), "frame", frame));
                keys.put("frame_id", other);
            }
            default -> keys.put("id", "another");
        }
        if (List.of("frame", "sheet").contains(table)) {
            keys.put("number", "frame".equals(table) ? "8" : 2);
        }
        return keys;
    }

    private static Object typed(String value) {
        if (value == null) {
            return "";
        }
        if (value.matches("-?\\d+") && value.length() < 9) {
            return Integer.valueOf(value);
        }
        return value.matches("-?\\d+\\.\\d+") ? Double.valueOf(value) : (Object) value;
    }
}
