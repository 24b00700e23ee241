package keyslate.server.scan;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import keyslate.core.darkroom.ColourRaster;
import keyslate.core.picture.PaperFinder;
import keyslate.core.reading.Corners;
import keyslate.server.picture.PictureFiles;
import keyslate.server.picture.Pictures;
import keyslate.server.sheet.SheetAssembler.OnCord;
import keyslate.store.json.Json;
import keyslate.store.negative.Picture;
import keyslate.store.negative.PictureRepository;
import org.springframework.stereotype.Component;

/** The pictures of sheets as they were taken, decoded once for as long as they are looked at. */
@Component
public class ScanPictures {
    private static final int KEPT = 2;

    private final Pictures files;
    private final PictureRepository pictures;
    private final Map<String, Decoded> decoded = new LinkedHashMap<>();

    ScanPictures(Pictures files, PictureRepository pictures) {
        this.files = files;
        this.pictures = pictures;
    }

    /**
     * A picture, decoded.
     *
     * @param light linear, upright
     * @param papers that were found in it
     */
    record Decoded(ColourRaster light, List<Corners> papers) {}

    /** What a picture shows. A picture never changes. */
    Decoded of(String pictureId) {
        synchronized (decoded) {
            Decoded known = decoded.get(pictureId);
            if (known != null) {
                return known;
            }
        }
        Path file = files.file(pictureId);
        try {
            ColourRaster light = PictureFiles.light(file);
            Decoded found = new Decoded(light, PaperFinder.in(light));
            synchronized (decoded) {
                decoded.put(pictureId, found);
                while (decoded.size() > KEPT) {
                    decoded.remove(decoded.keySet().iterator().next());
                }
            }
            return found;
        } finally {
            delete(file);
        }
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The corners of the paper that a picture was handed in with. */
    Optional<Corners> corners(OnCord sheet, int scan) {
        String id = sheet.exposed().scans().get(scan - 1).pictureId();
        return pictures.find(id)
                .map(Picture::corners)
                .map(json ->
                        Corners.of(Stream.of(Json.read(json, Double[].class)).toList()));
    }

    /** The whole picture, small enough to be looked at. */
    byte[] jpeg(String pictureId) {
        return PictureFiles.jpeg(PictureFiles.look(of(pictureId).light()));
    }
}
