package whipsaw.app.picture;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;

/** A JPEG as a camera writes it. */
public final class CameraJpeg {
    private CameraJpeg() {}

    /** The same picture with the orientation a camera writes beside it. */
    public static byte[] held(byte[] jpeg, int orientation) {
        ByteBuffer tiff = ByteBuffer.allocate(26)
                .put("II".getBytes(StandardCharsets.US_ASCII))
                .order(ByteOrder.LITTLE_ENDIAN)
                .putShort((short) 42)
                .putInt(8)
                .putShort((short) 1)
                .putShort((short) 0x0112)
                .putShort((short) 3)
                .putInt(1)
                .putShort((short) orientation)
                .putShort((short) 0)
                .putInt(0);
        return ByteBuffer.allocate(jpeg.length + 36)
                .put(jpeg, 0, 2)
                .putShort((short) 0xFFE1)
                .putShort((short) 34)
                .put("Exif\0\0".getBytes(StandardCharsets.US_ASCII))
                .put(tiff.array())
                .put(jpeg, 2, jpeg.length - 2)
                .array();
    }
}
