package app.layette.web.photo;

import app.layette.formats.text.Sha256;
import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.jpeg.JpegMetadataReader;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifReader;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.List;
import java.util.Set;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;

/**
 * A photograph as it is kept: drawn anew as a JPEG of at most 1600 pixels a side, upright, with no metadata at all. What
 * cannot be read as a JPEG or PNG is refused, and so is what would unfold to more pixels than a camera makes.
 */
public record CleanPhoto(byte[] jpeg, int width, int height, String sha256) {
    static final int MOST_BYTES = 12 * 1024 * 1024;
    private static final long MOST_PIXELS = 60_000_000;
    private static final int LONGEST_SIDE = 1600;
    private static final float QUALITY = 0.82f;
    private static final Set<String> TAKEN = Set.of("jpeg", "png");

    /** Why a photograph is not kept; the name is the key of its sentence. */
    public static final class RefusedPhotoException extends Exception {
        private static final long serialVersionUID = 1L;

        RefusedPhotoException(String reason) {
            super(reason);
        }
    }

    /** That a photograph is not kept, and why. */
    public static RefusedPhotoException refused(String reason) {
        return new RefusedPhotoException(reason);
    }

    /**
     * Cleans a photograph.
     *
     * @throws RefusedPhotoException when it is empty, too big, no JPEG or PNG, or damaged
     */
    static CleanPhoto of(byte[] raw) throws RefusedPhotoException {
        if (raw.length == 0) {
            throw new RefusedPhotoException("EMPTY");
        }
        if (raw.length > MOST_BYTES) {
            throw new RefusedPhotoException("TOO_BIG");
        }
        BufferedImage upright = turned(read(raw), orientation(raw));
        BufferedImage small = drawn(upright);
        byte[] jpeg = written(small);
        return new CleanPhoto(jpeg, small.getWidth(), small.getHeight(), Sha256.of(jpeg));
    }

    private static BufferedImage read(byte[] raw) throws RefusedPhotoException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(raw))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new RefusedPhotoException("NOT_A_PHOTO");
            }
            ImageReader reader = readers.next();
            try {
                if (!TAKEN.contains(reader.getFormatName().toLowerCase(java.util.Locale.ROOT))) {
                    throw new RefusedPhotoException("NOT_A_PHOTO");
                }
                reader.setInput(in, true, true);
                // Asked before anything is unfolded: a small file may claim to be enormous.
                if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
                    throw new RefusedPhotoException("TOO_MANY_PIXELS");
                }
                // Made small while it is read: a large one never stands in memory whole.
                int step = Math.max(1, Math.max(reader.getWidth(0), reader.getHeight(0)) / LONGEST_SIDE);
                ImageReadParam smaller = reader.getDefaultReadParam();
                smaller.setSourceSubsampling(step, step, 0, 0);
                return reader.read(0, smaller);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            // A decoder may trip in many ways over a damaged file; none of them is worth more than this.
            throw new RefusedPhotoException("DAMAGED");
        }
    }

    /** How the camera was held, 1 to 8 (EXIF); 1 where nothing says so. */
    private static int orientation(byte[] raw) {
        if (raw.length < 2 || (raw[0] & 0xFF) != 0xFF || (raw[1] & 0xFF) != 0xD8) {
            // A PNG's texts may unfold to any size, and no camera writes one.
            return 1;
        }
        try {
            ExifIFD0Directory exif = JpegMetadataReader.readMetadata(
                            new ByteArrayInputStream(raw), List.of(new ExifReader()))
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            return exif == null || !exif.containsTag(ExifIFD0Directory.TAG_ORIENTATION)
                    ? 1
                    : exif.getInt(ExifIFD0Directory.TAG_ORIENTATION);
        } catch (ImageProcessingException | MetadataException | IOException e) {
            return 1;
        }
    }

    private static BufferedImage turned(BufferedImage image, int orientation) {
        int quarters = switch (orientation) {
            case 3, 4 -> 2;
            case 5, 6 -> 1;
            case 7, 8 -> 3;
            default -> 0;
        };
        if (quarters == 0) {
            return image;
        }
        boolean onItsSide = quarters % 2 == 1;
        int width = onItsSide ? image.getHeight() : image.getWidth();
        int height = onItsSide ? image.getWidth() : image.getHeight();
        AffineTransform turn = new AffineTransform();
        turn.translate(width / 2.0, height / 2.0);
        turn.quadrantRotate(quarters);
        turn.translate(-image.getWidth() / 2.0, -image.getHeight() / 2.0);
        BufferedImage turned = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = turned.createGraphics();
        pen.drawImage(image, turn, null);
        pen.dispose();
        return turned;
    }

    private static BufferedImage drawn(BufferedImage image) {
        double scale = Math.min(1, (double) LONGEST_SIDE / Math.max(image.getWidth(), image.getHeight()));
        int width = (int) Math.max(1, Math.round(image.getWidth() * scale));
        int height = (int) Math.max(1, Math.round(image.getHeight() * scale));
        BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = small.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        pen.drawImage(image, 0, 0, width, height, Color.WHITE, null);
        pen.dispose();
        return small;
    }

    private static byte[] written(BufferedImage image) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        try (var stream = ImageIO.createImageOutputStream(out)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(QUALITY);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(image, null, null), how);
        } catch (IOException e) {
            throw new IllegalStateException("A picture cannot be written to memory", e);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }
}
