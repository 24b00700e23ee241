package keyslate.server.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** Files that live as long as a request, in a folder of their own in the data folder; what a killed program left there is swept at the start. */
@Component
public class TemporaryFiles {
    private static final String FOLDER = "temporary";

    private final Path folder;

    TemporaryFiles(@Value("${keyslate.data}") String data) throws IOException {
        this.folder = Files.createDirectories(Path.of(data).resolve(FOLDER));
        try (Stream<Path> left = Files.list(folder)) {
            for (Path file : left.filter(Files::isRegularFile).toList()) {
                Files.deleteIfExists(file);
            }
        }
    }

    /** An empty file; the caller deletes it. */
    public Path empty() {
        try {
            return Files.createTempFile(folder, "upload", null);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The upload as a file; the caller deletes it. */
    public Path of(MultipartFile upload) throws IOException {
        Path file = empty();
        upload.transferTo(file);
        return file;
    }

    /** Deletes one that is not needed any more. */
    public static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
