package whipsaw.app.picture;

import java.awt.geom.AffineTransform;
import java.awt.image.AffineTransformOp;
import java.awt.image.BufferedImage;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;

/** How a camera was held, by the orientation its JPEG names (Exif 2.3, tag 0x0112), and the picture turned upright. */
final class Orientation {
    private static final int SOI = 0xFFD8;
    private static final int APP1 = 0xFFE1;
    private static final int SOS = 0xFFDA;
    private static final long EXIF = 0x457869660000L;
    private static final int TAG = 0x0112;

    private Orientation() {}

    /** 1 to 8; 1, upright, where a file names none or is no JPEG. */
    static int of(byte[] file) {
        try {
            ByteBuffer in = ByteBuffer.wrap(file);
            if (u16(in, 0) != SOI) {
                return 1;
            }
            int at = 2;
            while (u16(in, at) != SOS) {
                int length = u16(in, at + 2);
                if (u16(in, at) == APP1 && exif(in, at + 4)) {
                    return tiff(ByteBuffer.wrap(file, at + 10, length - 8).slice());
                }
                at += 2 + length;
            }
            return 1;
        } catch (IndexOutOfBoundsException | IllegalArgumentException e) {
            return 1;
        }
    }

    private static int u16(ByteBuffer in, int at) {
        return in.getShort(at) & 0xFFFF;
    }

    private static boolean exif(ByteBuffer in, int at) {
        return in.getLong(at) >>> 16 == EXIF;
    }

    private static int tiff(ByteBuffer in) {
        in.order(in.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
        int directory = in.getInt(4);
        int entries = u16(in, directory);
        for (int i = 0; i < entries; i++) {
            int entry = directory + 2 + 12 * i;
            if (u16(in, entry) == TAG) {
                int value = u16(in, entry + 8);
                return value >= 1 && value <= 8 ? value : 1;
            }
        }
        return 1;
    }

    /** The picture as it was seen. */
    static BufferedImage upright(BufferedImage image, int orientation) {
        if (orientation == 1) {
            return image;
        }
        int w = image.getWidth();
        int h = image.getHeight();
        // columns: x and y of a pixel in the upright picture
        AffineTransform turn =
                switch (orientation) {
                    case 2 -> new AffineTransform(-1, 0, 0, 1, w, 0);
                    case 3 -> new AffineTransform(-1, 0, 0, -1, w, h);
                    case 4 -> new AffineTransform(1, 0, 0, -1, 0, h);
                    case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
                    case 6 -> new AffineTransform(0, 1, -1, 0, h, 0);
                    case 7 -> new AffineTransform(0, -1, -1, 0, h, w);
                    default -> new AffineTransform(0, -1, 1, 0, 0, w);
                };
        boolean side = orientation >= 5;
        BufferedImage upright = new BufferedImage(side ? h : w, side ? w : h, image.getType());
        new AffineTransformOp(turn, AffineTransformOp.TYPE_NEAREST_NEIGHBOR).filter(image, upright);
        return upright;
    }
}
