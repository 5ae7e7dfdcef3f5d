package whipsaw.app.picture;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/**
 * Reads a PNG, a JPEG or a page of a PDF and makes a fresh picture of it, so that nothing hidden in the file is kept.
 * What is larger than allowed is refused before it is unpacked; large pictures are made smaller and it is said.
 */
public final class PictureReader {
    /** More than any telephone makes; what is larger than is kept is thinned out while it is read. */
    private static final long MOST_PIXELS = 220_000_000;

    private static final long MOST_INTERLACED = 60_000_000;
    private static final int LONGEST_SIDE = 3200;
    private static final double POINTS_PER_INCH = 72;
    private static final double USUAL_DPI = 150;

    private PictureReader() {}

    /** A picture that cannot be taken, in words. */
    public static class NoPicture extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NoPicture(String message) {
            super(message);
        }
    }

    /**
     * A picture as it is kept.
     *
     * @param kind {@code image/png} or {@code image/jpeg}
     */
    public record Read(byte[] bytes, String kind, int width, int height) {}

    /**
     * @param photo whether it is kept as JPEG, as photographs are; plans stay PNG
     * @param page of a PDF, from 1
     */
    public static Read read(byte[] file, boolean photo, int page) {
        try {
            boolean pdf = file.length > 4 && file[0] == '%' && file[1] == 'P' && file[2] == 'D' && file[3] == 'F';
            BufferedImage image = pdf ? pdf(file, page) : raster(file);
            BufferedImage kept = Orientation.upright(smaller(image, photo), pdf ? 1 : Orientation.of(file));
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(kept, photo ? "jpg" : "png", out);
            return new Read(out.toByteArray(), photo ? "image/jpeg" : "image/png", kept.getWidth(), kept.getHeight());
        } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException | NegativeArraySizeException e) {
            throw new NoPicture("cannot be read as a picture: it is damaged or of another kind");
        }
    }

    private static BufferedImage raster(byte[] file) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new NoPicture("is no PNG, JPEG or PDF");
            }
            ImageReader reader = readers.next();
            try {
                String format = reader.getFormatName().toLowerCase(java.util.Locale.ROOT);
                if (!format.equals("png") && !format.equals("jpeg")) {
                    throw new NoPicture("is a " + format + ": PNG, JPEG and PDF are read");
                }
                reader.setInput(in, true, true);
                long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
                if (pixels > MOST_PIXELS) {
                    throw new NoPicture("has " + pixels / 1_000_000 + " million pixels: at most "
                            + MOST_PIXELS / 1_000_000 + " million are read");
                }
                if (format.equals("png") && pixels > MOST_INTERLACED) {
                    throw new NoPicture("has " + pixels / 1_000_000 + " million pixels: a PNG of at most "
                            + MOST_INTERLACED / 1_000_000 + " million is read; save it smaller or as JPEG");
                }
                ImageReadParam thinned = reader.getDefaultReadParam();
                int each = Math.max(1, Math.max(reader.getWidth(0), reader.getHeight(0)) / LONGEST_SIDE);
                thinned.setSourceSubsampling(each, each, 0, 0);
                return reader.read(0, thinned);
            } finally {
                reader.dispose();
            }
        }
    }

    private static BufferedImage pdf(byte[] file, int page) throws IOException {
        try (PDDocument document = Loader.loadPDF(file, "", null, null, IOUtils.createMemoryOnlyStreamCache())) {
            if (page < 1 || page > document.getNumberOfPages()) {
                throw new NoPicture("has pages 1 to " + document.getNumberOfPages() + ", not page " + page);
            }
            PDRectangle box = document.getPage(page - 1).getCropBox();
            double longest = Math.max(box.getWidth(), box.getHeight()) / POINTS_PER_INCH;
            if (!(longest > 0)) {
                throw new NoPicture("has a page without size");
            }
            double dpi = Math.min(USUAL_DPI, LONGEST_SIDE / longest);
            return new PDFRenderer(document).renderImageWithDPI(page - 1, (float) dpi, ImageType.RGB);
        }
    }

    private static BufferedImage smaller(BufferedImage image, boolean photo) {
        double scale = Math.min(1, LONGEST_SIDE / (double) Math.max(image.getWidth(), image.getHeight()));
        int w = Math.max(1, (int) Math.round(image.getWidth() * scale));
        int h = Math.max(1, (int) Math.round(image.getHeight() * scale));
        BufferedImage kept = new BufferedImage(w, h, photo ? BufferedImage.TYPE_INT_RGB : BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = kept.createGraphics();
        if (photo) {
            g.setColor(Color.WHITE);
            g.fillRect(0, 0, w, h);
        }
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        g.drawImage(image, 0, 0, w, h, null);
        g.dispose();
        return kept;
    }
}
