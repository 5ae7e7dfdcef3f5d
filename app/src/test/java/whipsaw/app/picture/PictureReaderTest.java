package whipsaw.app.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.Test;

/** What is taken as a picture, what of it is kept, and what is refused. */
class PictureReaderTest {
    private static byte[] image(String format, int w, int h) throws IOException {
        BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < w; x++) {
            image.setRGB(x, h / 3, Color.GREEN.getRGB());
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    /** A photograph is turned upright by what the camera says of how it was held. */
    @Test
    void aPhotographIsTurnedUpright() throws IOException {
        BufferedImage image = new BufferedImage(64, 32, BufferedImage.TYPE_INT_RGB);
        var g = image.createGraphics();
        g.setColor(Color.RED);
        g.fillRect(0, 0, 16, 32);
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "jpg", out);
        byte[] jpeg = out.toByteArray();
        // where the red side comes to lie: 1 left, 3 right, 6 above, 8 below
        int[][] red = {{1, 4, 16}, {3, 60, 16}, {6, 16, 4}, {8, 16, 60}};
        for (int[] r : red) {
            PictureReader.Read read = PictureReader.read(CameraJpeg.held(jpeg, r[0]), true, 1);
            BufferedImage kept = ImageIO.read(new ByteArrayInputStream(read.bytes()));
            assertThat(kept.getWidth()).isEqualTo(r[0] < 5 ? 64 : 32);
            assertThat(new Color(kept.getRGB(r[1], r[2])).getRed())
                    .as("orientation " + r[0])
                    .isGreaterThan(180);
        }
        assertThat(PictureReader.read(jpeg, true, 1).width()).isEqualTo(64);
    }

    private static byte[] pdf(PDRectangle... pages) throws IOException {
        try (PDDocument document = new PDDocument()) {
            for (PDRectangle page : pages) {
                document.addPage(new PDPage(page));
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    /** The head of a PNG that says it is as large as this, and nothing more. */
    private static byte[] headOnly(int w, int h) {
        ByteBuffer chunk = ByteBuffer.allocate(17)
                .put("IHDR".getBytes(StandardCharsets.US_ASCII))
                .putInt(w)
                .putInt(h);
        chunk.put(new byte[] {8, 2, 0, 0, 0});
        CRC32 crc = new CRC32();
        crc.update(chunk.array());
        return ByteBuffer.allocate(33)
                .put(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10})
                .putInt(13)
                .put(chunk.array())
                .putInt((int) crc.getValue())
                .array();
    }

    @Test
    void aPlanStaysSharpAndAPhotographBecomesAJpeg() throws IOException {
        PictureReader.Read plan = PictureReader.read(image("png", 300, 120), false, 1);
        assertThat(plan.kind()).isEqualTo("image/png");
        BufferedImage back = ImageIO.read(new ByteArrayInputStream(plan.bytes()));
        assertThat(back.getRGB(10, 40)).isEqualTo(Color.GREEN.getRGB());
        PictureReader.Read photo = PictureReader.read(image("jpg", 300, 120), true, 1);
        assertThat(photo.kind()).isEqualTo("image/jpeg");
        assertThat(photo.width()).isEqualTo(300);
    }

    @Test
    void largePicturesAreMadeSmallerInProportion() throws IOException {
        PictureReader.Read read = PictureReader.read(image("png", 6400, 1600), false, 1);
        assertThat(read.width()).isEqualTo(3200);
        assertThat(read.height()).isEqualTo(800);
    }

    @Test
    void whatACameraHidesInAFileIsNotKept() throws IOException {
        byte[] jpeg = image("jpg", 40, 30);
        byte[] comment = "taken at 52.4, 0.3".getBytes(StandardCharsets.US_ASCII);
        ByteBuffer tagged = ByteBuffer.allocate(jpeg.length + comment.length + 4);
        tagged.put(jpeg, 0, 2)
                .put((byte) 0xff)
                .put((byte) 0xfe)
                .putShort((short) (comment.length + 2))
                .put(comment);
        tagged.put(jpeg, 2, jpeg.length - 2);
        assertThat(new String(tagged.array(), StandardCharsets.ISO_8859_1)).contains("52.4");
        PictureReader.Read read = PictureReader.read(tagged.array(), true, 1);
        assertThat(new String(read.bytes(), StandardCharsets.ISO_8859_1)).doesNotContain("52.4");
    }

    @Test
    void aPageOfAPdfIsDrawnHoweverLargeItsPaper() throws IOException {
        byte[] two = pdf(PDRectangle.A4, new PDRectangle(14000, 3000));
        PictureReader.Read first = PictureReader.read(two, false, 1);
        assertThat(first.width() / (double) first.height()).isBetween(0.70, 0.72);
        PictureReader.Read second = PictureReader.read(two, false, 2);
        assertThat(second.width()).isBetween(3190, 3201);
        assertThatThrownBy(() -> PictureReader.read(two, false, 3)).hasMessageContaining("pages 1 to 2, not page 3");
    }

    @Test
    void whatIsNoPictureOrTooMuchOfOneIsRefusedInWords() throws IOException {
        assertThatThrownBy(() -> PictureReader.read("hello".getBytes(StandardCharsets.UTF_8), true, 1))
                .isInstanceOf(PictureReader.NoPicture.class)
                .hasMessageContaining("no PNG, JPEG or PDF");
        assertThatThrownBy(() -> PictureReader.read(image("gif", 10, 10), true, 1))
                .hasMessageContaining("is a gif");
        assertThatThrownBy(() -> PictureReader.read(headOnly(60_000, 60_000), true, 1))
                .hasMessageContaining("3600 million pixels");
        byte[] png = image("png", 200, 200);
        assertThatThrownBy(() -> PictureReader.read(Arrays.copyOf(png, png.length / 3), false, 1))
                .isInstanceOf(PictureReader.NoPicture.class);
        assertThatThrownBy(() -> PictureReader.read("%PDF-1.7 nothing".getBytes(StandardCharsets.UTF_8), false, 1))
                .isInstanceOf(PictureReader.NoPicture.class);
    }
}
