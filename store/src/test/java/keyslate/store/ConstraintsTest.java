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
import org.springframework.dao.DataIntegrityViolationException;

/** Every constraint of the schema refuses what it is there for, and lets the good row through. */
class ConstraintsTest extends StoreTest {
    /** Table, column, a value that it must refuse. */
    private static final String CASES = """
            enlarger,name,''
            enlarger,strength_log10,8.5
            enlarger,lag_seconds,-0.1
            enlarger,lag_source,guessed
            enlarger,column_mm,0.0
            lens,name,''
            lens,focal_mm,0.0
            lens,open_mark,0.0
            lens,smallest_mark,2.8
            lens,marks_per_stop,4
            lens,covers_mm,-1.0
            paper,name,''
            paper,base,glass
            paper,width_mm,0.0
            paper,height_mm,-5.0
            paper,sheets_in_box,0
            paper,sheets_left,-0.5
            paper,reserve_sheets,-1
            bath,name,''
            bath,capacity_m2,0.0
            bath,used_m2,-0.1
            picture,media_type,image/gif
            picture,encoding,srgb16
            picture,width_px,0
            picture,height_px,0
            roll,title,''
            roll,long_mm,0.0
            roll,short_mm,37.0
            frame,roll_id,none
            frame,number,123456789
            frame,title,''
            frame,upright,2
            frame,picture_id,none
            slate,frame_id,none
            slate,version,0
            recipe,previous_id,none
            recipe,title,''
            recipe,enlarger_id,none
            recipe,lens_id,none
            recipe,paper_id,none
            recipe,aperture_mark,0.0
            recipe,sheet_width_mm,19.0
            recipe,sheet_height_mm,2001.0
            recipe,border_mm,-1.0
            recipe,fit,STRETCHED
            recipe,crop_place,1.1
            recipe,filter,6
            recipe,base_seconds,0.0
            recipe,base_source,heard
            recipe,strip_kind,EQUAL_LUCK
            recipe,strip_centre_seconds,0.0
            recipe,strip_step_stops,0.0
            recipe,strip_step_seconds,0.0
            recipe,strip_patches,1
            recipe,strip_direction,DARK_INSIDE
            recipe,strip_patch_mm,0.0
            recipe,strip_breadth_mm,0.0
            recipe,strip_place,-0.1
            area,recipe_id,none
            area,name,''
            area,shape,{
            area,soft_edge,1.1
            area,change_stops,6.5
            area,filter,2¼
            sheet,slate_id,none
            sheet,recipe_id,none
            sheet,number,0
            sheet,kind,CARD
            sheet,state,LOST
            sheet,paper_used,0.0
            sheet,magnification,0.0
            sheet,picture_id,none
            burst,sheet_id,none
            burst,place,0
            burst,kind,WAIT
            burst,set_seconds,0.0
            burst,received_seconds,-0.1
            burst,held,[
            lamp,burst_place,9
            lamp,attempt,0
            lamp,set_seconds,0.0
            lamp,given_seconds,-1.0
            lamp,outcome,GUESSED
            decision,slate_id,none
            decision,sheet_id,none
            decision,kind,DOUBT
            decision,overruled,2
            """;

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

    @Test
    void refusesTextThatIsTooLong() {
        assertRefused("recipe", "intent", "x".repeat(401));
        assertRefused("area", "tool", "x".repeat(61));
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
        assertThat(uncovered).containsExactlyInAnyOrder("recipe,intent,", "area,tool,");
    }

    private void assertRefused(String table, String column, String value) {
        Map<String, Object> changed = new HashMap<>(Map.of(column, value));
        if (!"area".equals(table)) {
            changed.put("id", "another");
        } else {
            changed.put("place", 2);
        }
        assertThatThrownBy(() -> database().inTransaction(() -> Samples.insert(database(), table, changed)))
                .isInstanceOf(DataIntegrityViolationException.class);
    }

    /** Keys under which a second row of a table would be good. */
    private static Map<String, Object> freshKeys(String table) {
        Map<String, Object> keys = new HashMap<>();
        switch (table) {
            case "area", "burst" -> keys.put("place", 2);
            case "lamp" -> keys.put("attempt", 2);
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
