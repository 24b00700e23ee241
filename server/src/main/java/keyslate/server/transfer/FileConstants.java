package keyslate.server.transfer;

import java.util.List;
import keyslate.server.rig.Constants;
import keyslate.server.transfer.SlateFile.FileConstant;
import keyslate.server.transfer.SlateFile.FilePlace;
import keyslate.server.transfer.SlateFile.FileScale;
import keyslate.store.json.Stood.StoodConstant;
import keyslate.store.json.StoredConstant;
import org.jspecify.annotations.Nullable;

/** What was known of equipment when a sheet was begun, to the file and back; null where nothing of that was recorded. */
final class FileConstants {
    private FileConstants() {}

    static @Nullable List<FileConstant> toFile(@Nullable List<StoodConstant> constants) {
        return constants == null || constants.isEmpty()
                ? null
                : constants.stream().map(FileConstants::toFile).toList();
    }

    static @Nullable List<StoodConstant> toStore(@Nullable List<FileConstant> constants) {
        return constants == null
                ? null
                : new Constants(constants.stream().map(c -> toStore(c)).toList())
                        .checked()
                        .found();
    }

    private static FileConstant toFile(StoodConstant c) {
        StoredConstant value = c.value();
        StoredConstant.Scale scale = value.scale();
        return new FileConstant(
                c.thingId(),
                c.lensId(),
                c.name(),
                c.source(),
                c.foundAt(),
                value.value(),
                value.limit(),
                value.second(),
                value.places() == null
                        ? null
                        : value.places().stream()
                                .map(p -> new FilePlace(p.at(), p.value(), p.limit()))
                                .toList(),
                scale == null
                        ? null
                        : new FileScale(
                                scale.focalMm(),
                                scale.begins(),
                                scale.beginsVariance(),
                                scale.focalVariance(),
                                scale.covariance(),
                                scale.freedom()));
    }

    private static StoodConstant toStore(FileConstant c) {
        FileScale scale = c.scale();
        StoredConstant value = new StoredConstant(
                c.value(),
                c.limit(),
                c.second(),
                c.places() == null
                        ? null
                        : c.places().stream()
                                .map(p -> new StoredConstant.Place(p.at(), p.value(), p.limit()))
                                .toList(),
                scale == null
                        ? null
                        : new StoredConstant.Scale(
                                scale.focalMm(),
                                scale.begins(),
                                scale.beginsVariance(),
                                scale.focalVariance(),
                                scale.covariance(),
                                scale.freedom()));
        return new StoodConstant(c.thingId(), c.lensId(), c.name(), c.source(), c.foundAt(), value);
    }
}
