package keyslate.server.picture;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import keyslate.server.Ids;
import keyslate.server.web.TemporaryFiles;
import keyslate.store.json.Json;
import keyslate.store.negative.Picture;
import keyslate.store.negative.PictureRepository;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Stores picture files, each once, with the copy that is looked at and computed with. */
@Service
public class Pictures {
    private final PictureRepository pictures;
    private final TemporaryFiles temporary;

    Pictures(PictureRepository pictures, TemporaryFiles temporary) {
        this.pictures = pictures;
        this.temporary = temporary;
    }

    /** Stores a file with its working copy, inside a transaction; its id. */
    public String store(PictureFiles.Described found, Path file, WorkingCopy working) {
        return store(found, file, working, null);
    }

    /** The same of a file that is not all of it the picture. */
    public String store(PictureFiles.Described found, Path file, WorkingCopy working, @Nullable List<Double> corners) {
        String id = Ids.fresh();
        try (InputStream in = Files.newInputStream(file)) {
            Picture picture = new Picture(
                    id,
                    found.mediaType(),
                    working.encoding(),
                    found.widthPx(),
                    found.heightPx(),
                    Files.size(file),
                    found.isProfiled(),
                    working.isNegative(),
                    corners == null ? null : Json.write(corners));
            pictures.add(picture, in, new PictureRepository.Working(working.mediaType(), working.bytes()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return id;
    }

    /** A copy of the file of a picture, which the caller deletes. */
    public Path file(String id) {
        Path copy = temporary.empty();
        try (InputStream in = pictures.open(id)) {
            Files.copy(in, copy, StandardCopyOption.REPLACE_EXISTING);
            return copy;
        } catch (IOException e) {
            TemporaryFiles.delete(copy);
            throw new UncheckedIOException(e);
        }
    }
}
