package whipsaw.app.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import whipsaw.app.picture.PictureReader;
import whipsaw.core.exchange.DxfReader;
import whipsaw.core.exchange.ForeignDrawing;

/** What a process of its own reads is what the server would have read, and what it cannot read ends nothing else. */
class FileReadingTest {
    private static final FileReading FILES = new FileReading();

    private static final String SQUARE = "0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n8\nROOF\n70\n1\n90\n4\n"
            + "10\n0\n20\n0\n10\n30\n20\n0\n10\n30\n20\n20\n10\n0\n20\n20\n0\nENDSEC\n0\nEOF\n";

    @AfterAll
    static void stop() {
        FILES.stop();
    }

    private static byte[] picture() throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(200, 90, BufferedImage.TYPE_INT_RGB), "png", png);
        return png.toByteArray();
    }

    @Test
    void anotherProcessReadsTheSame() throws IOException {
        byte[] file = SQUARE.getBytes(StandardCharsets.US_ASCII);
        ForeignDrawing drawing = FILES.drawing(file, 0, 51, 0);
        assertThat(drawing.shapes()).isEqualTo(DxfReader.read(SQUARE).shapes());
        assertThat(drawing.shapes().get(0).area()).isEqualTo(600);
        String earth =
                "{\"type\":\"FeatureCollection\",\"features\":[{\"type\":\"Feature\",\"properties\":{\"layer\":\"R\"},"
                        + "\"geometry\":{\"type\":\"Polygon\",\"coordinates\":[[[0,51],[0.001,51],[0.001,51.001],[0,51]]]}}]}";
        ForeignDrawing laid = FILES.drawing(earth.getBytes(StandardCharsets.US_ASCII), 0, 51, 30);
        assertThat(laid.plane().upAzimuthDeg()).isEqualTo(30);
        PictureReader.Read read = FILES.picture(picture(), true, 1);
        assertThat(read.bytes())
                .isEqualTo(PictureReader.read(picture(), true, 1).bytes());
        assertThatThrownBy(() -> FILES.drawing("hello".getBytes(StandardCharsets.US_ASCII), 0, 51, 0))
                .isInstanceOf(FileReading.Unreadable.class)
                .hasMessageContaining("no section ENTITIES");
        assertThatThrownBy(() -> FILES.picture(file, true, 1)).hasMessageContaining("is no PNG, JPEG or PDF");
    }

    /** A file that never ends is given up, with why, and the next one is read. */
    @Test
    void whatTakesTooMuchIsGivenUp() throws IOException {
        assertThatThrownBy(() -> FILES.picture(
                        HostileFiles.pictures().get("PDF of forms in forms").get(), false, 1))
                .isInstanceOf(FileReading.Unreadable.class)
                .hasMessageContaining("takes longer to read");
        assertThatThrownBy(() -> FILES.drawing(
                        HostileFiles.drawings().get("DXF of 60,000 layers").get(), 0, 51, 0))
                .hasMessageContaining("has 60000 layers: at most 1000");
        assertThat(FILES.picture(picture(), false, 1).width()).isEqualTo(200);
    }
}
