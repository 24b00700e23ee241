package keyslate.server;

import java.nio.file.Path;
import java.time.Clock;
import keyslate.core.contrast.VariableContrastPaper;
import keyslate.store.BackupPlanRepository;
import keyslate.store.Database;
import keyslate.store.bench.BoxRepository;
import keyslate.store.bench.ConstantRepository;
import keyslate.store.bench.KitRepository;
import keyslate.store.bench.StoresRepository;
import keyslate.store.negative.FrameSearch;
import keyslate.store.negative.PictureRepository;
import keyslate.store.negative.RollRepository;
import keyslate.store.slate.FocusRepository;
import keyslate.store.slate.RecipeRepository;
import keyslate.store.slate.SheetRepository;
import keyslate.store.slate.SlateMarksRepository;
import keyslate.store.slate.SlateRepository;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** The application's parts. */
@SpringBootApplication
public class Darkroom {
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean(destroyMethod = "close")
    Database database(@Value("${keyslate.data}") String folder, @Value("${keyslate.practice:false}") boolean practice) {
        return Database.open(Path.of(folder), practice ? Database.PRACTICE_FILE_NAME : Database.FILE_NAME);
    }

    @Bean
    BackupPlanRepository backupPlanRepository(Database database) {
        return new BackupPlanRepository(database);
    }

    @Bean
    RollRepository rollRepository(Database database) {
        return new RollRepository(database);
    }

    @Bean
    FrameSearch frameSearch(Database database) {
        return new FrameSearch(database);
    }

    @Bean
    PictureRepository pictureRepository(Database database) {
        return new PictureRepository(database);
    }

    @Bean
    StoresRepository storesRepository(Database database) {
        return new StoresRepository(database);
    }

    @Bean
    KitRepository kitRepository(StoresRepository stores) {
        return new KitRepository(stores);
    }

    @Bean
    BoxRepository boxRepository(Database database) {
        return new BoxRepository(database);
    }

    @Bean
    ConstantRepository constantRepository(Database database) {
        return new ConstantRepository(database);
    }

    @Bean
    FocusRepository focusRepository(Database database) {
        return new FocusRepository(database);
    }

    @Bean
    SlateMarksRepository slateMarksRepository(Database database) {
        return new SlateMarksRepository(database);
    }

    @Bean
    SlateRepository slateRepository(Database database) {
        return new SlateRepository(database);
    }

    @Bean
    RecipeRepository recipeRepository(Database database) {
        return new RecipeRepository(database);
    }

    @Bean
    SheetRepository sheetRepository(Database database) {
        return new SheetRepository(database);
    }

    @Bean
    VariableContrastPaper variableContrastPaper() {
        return new VariableContrastPaper();
    }
}
