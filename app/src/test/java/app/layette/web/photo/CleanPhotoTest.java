package app.layette.web.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.web.photo.CleanPhoto.RefusedPhotoException;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class CleanPhotoTest {
    /** An EXIF segment that says "turn me a quarter" and carries a place that must not stay. */
    private static final byte[] EXIF = exif();

    private static byte[] image(String format, int width, int height) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), format, out);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toByteArray();
    }

    private static byte[] exif() {
        byte[] place = "Weir Street 1".getBytes(StandardCharsets.US_ASCII);
        ByteArrayOutputStream tiff = new ByteArrayOutputStream();
        tiff.writeBytes(new byte[] {'M', 'M', 0, 42, 0, 0, 0, 8, 0, 2});
        tiff.writeBytes(new byte[] {0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, 6, 0, 0});
        tiff.writeBytes(new byte[] {0x01, 0x0e, 0, 2, 0, 0, 0, (byte) place.length, 0, 0, 0, 38});
        tiff.writeBytes(new byte[] {0, 0, 0, 0});
        tiff.writeBytes(place);
        byte[] body = tiff.toByteArray();
        int length = body.length + 8;
        ByteArrayOutputStream segment = new ByteArrayOutputStream();
        segment.writeBytes(new byte[] {(byte) 0xff, (byte) 0xe1, (byte) (length >> 8), (byte) length});
        segment.writeBytes(new byte[] {'E', 'x', 'i', 'f', 0, 0});
        segment.writeBytes(body);
        return segment.toByteArray();
    }

    private static byte[] withExif(byte[] jpeg) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        out.writeBytes(EXIF);
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    @Test
    void itIsMadeSmallTurnedUprightAndCleaned() throws RefusedPhotoException, IOException {
        byte[] raw = withExif(image("jpg", 3200, 1200));
        assertThat(new String(raw, StandardCharsets.ISO_8859_1)).contains("Weir Street 1");
        CleanPhoto clean = CleanPhoto.of(raw);
        assertThat(clean.width()).isEqualTo(600);
        assertThat(clean.height()).isEqualTo(1600);
        assertThat(new String(clean.jpeg(), StandardCharsets.ISO_8859_1)).doesNotContain("Weir Street", "Exif");
        assertThat(ImageIO.read(new ByteArrayInputStream(clean.jpeg())).getHeight())
                .isEqualTo(1600);
        assertThat(clean.sha256()).matches("[0-9a-f]{64}");
    }

    @Test
    void aSmallPngStaysItsSize() throws RefusedPhotoException {
        CleanPhoto clean = CleanPhoto.of(image("png", 300, 200));
        assertThat(clean.width()).isEqualTo(300);
        assertThat(clean.height()).isEqualTo(200);
    }

    static Stream<Arguments> bad() {
        byte[] noise = new byte[4000];
        new Random(2).nextBytes(noise);
        byte[] cut = Arrays.copyOf(image("png", 400, 400), 60);
        byte[] claims = image("png", 10, 10);
        // The header of a PNG says its size: 60000 by 60000.
        for (int at : new int[] {16, 20}) {
            claims[at] = 0;
            claims[at + 1] = 0;
            claims[at + 2] = (byte) 0xea;
            claims[at + 3] = 0x60;
        }
        String svg = "<svg xmlns='http://www.w3.org/2000/svg'><script>alert(1)</script></svg>";
        return Stream.of(
                Arguments.of("nothing", new byte[0], "EMPTY"),
                Arguments.of("noise", noise, "NOT_A_PHOTO"),
                Arguments.of("a script in an SVG", svg.getBytes(StandardCharsets.UTF_8), "NOT_A_PHOTO"),
                Arguments.of("another kind of picture", image("gif", 20, 20), "NOT_A_PHOTO"),
                Arguments.of("cut off", cut, "DAMAGED"),
                Arguments.of("claims to be enormous", claims, "TOO_MANY_PIXELS"),
                Arguments.of("huge", new byte[CleanPhoto.MOST_BYTES + 1], "TOO_BIG"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("bad")
    void whatIsNoPhotographIsRefusedWithItsReason(String what, byte[] raw, String reason) {
        assertThatThrownBy(() -> CleanPhoto.of(raw))
                .isInstanceOf(RefusedPhotoException.class)
                .hasMessage(reason);
    }
}
