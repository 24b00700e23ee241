package keyslate.server.picture;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.png.PngChunkType;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.icc.IccDirectory;
import com.drew.metadata.png.PngDirectory;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayInputStream;
import java.io.File;
import java.io.IOException;
import java.util.zip.InflaterInputStream;
import javax.imageio.ImageReader;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import org.jspecify.annotations.Nullable;
import org.w3c.dom.NodeList;

/** Colour profiles that stand in picture files. */
final class EmbeddedProfile {
    private static final String PNG_METADATA = "javax_imageio_png_1.0";
    private static final int MOST_BYTES = 4 << 20;
    private static final int SRGB = 1;

    private EmbeddedProfile() {}

    /** Whether a file says what its colours mean: by a profile, or by the word sRGB. */
    static boolean isIn(File file) {
        try {
            Metadata metadata = ImageMetadataReader.readMetadata(file);
            ExifSubIFDDirectory exif = metadata.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
            Integer space = exif == null ? null : exif.getInteger(ExifSubIFDDirectory.TAG_COLOR_SPACE);
            boolean byWord = metadata.getDirectoriesOfType(PngDirectory.class).stream()
                    .anyMatch(d -> PngChunkType.sRGB.equals(d.getPngChunkType()));
            return metadata.containsDirectoryOfType(IccDirectory.class) || byWord || space != null && space == SRGB;
        } catch (ImageProcessingException | IOException e) {
            return false;
        }
    }

    /** The profile of a PNG, which its reader leaves aside; null where there is none, or the reader minds it itself. */
    static @Nullable ICC_Profile leftAside(ImageReader reader) throws IOException {
        IIOMetadata metadata = reader.getImageMetadata(0);
        if (metadata == null || !PNG_METADATA.equals(metadata.getNativeMetadataFormatName())) {
            return null;
        }
        NodeList found = ((IIOMetadataNode) metadata.getAsTree(PNG_METADATA)).getElementsByTagName("iCCP");
        if (found.getLength() == 0) {
            return null;
        }
        byte[] packed = (byte[]) ((IIOMetadataNode) found.item(0)).getUserObject();
        try (InflaterInputStream in = new InflaterInputStream(new ByteArrayInputStream(packed))) {
            return ICC_Profile.getInstance(in.readNBytes(MOST_BYTES));
        } catch (IllegalArgumentException e) {
            return null;
        }
    }
}
