package keyslate.server.negative;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import keyslate.server.web.RefusedException;
import keyslate.server.web.TemporaryFiles;
import org.jspecify.annotations.Nullable;
import org.springframework.web.multipart.MultipartFile;

/**
 * The scan in an upload, as a file that lives as long as the request.
 *
 * @param given null when nothing was uploaded
 */
record UploadedScan(FrameScan.@Nullable Given given) implements AutoCloseable {
    static UploadedScan of(
            TemporaryFiles temporary,
            @Nullable MultipartFile file,
            @Nullable Boolean negative,
            @Nullable List<Double> corners,
            boolean upright)
            throws IOException {
        if (file == null || file.isEmpty()) {
            if (file != null && isNamed(file)) {
                throw RefusedException.of("/file", "E_SHAPE", "The file is empty.");
            }
            return new UploadedScan(null);
        }
        Path kept = temporary.of(file);
        return new UploadedScan(new FrameScan.Given(kept, negative, corners, upright));
    }

    /** A form in which no file was chosen sends an empty one without a name. */
    private static boolean isNamed(MultipartFile file) {
        String name = file.getOriginalFilename();
        return name != null && !name.isBlank();
    }

    @Override
    public void close() throws IOException {
        if (given != null) {
            Files.deleteIfExists(given.file());
        }
    }
}
