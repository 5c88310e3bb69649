package app.clearpane.formats.compare;

import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;

/** Whether a file is a JPEG that keeps one colour for several pixels, as its frame header says (ITU-T T.81, B.2.2). */
final class HalvedJpeg {
    private static final int START = 0xFFD8;
    private static final int SCAN = 0xDA;
    private static final int COLOURS = 3;

    private HalvedJpeg() {}

    /** Reads as far as the header. @return false for what is no JPEG */
    static boolean is(InputStream file) throws IOException {
        try {
            DataInputStream in = new DataInputStream(file);
            if (in.readUnsignedShort() != START) {
                return false;
            }
            while (true) {
                int sign = marker(in);
                if (sign < 0 || sign == SCAN) {
                    return false;
                }
                int length = in.readUnsignedShort() - 2;
                if (isFrame(sign)) {
                    return halved(in);
                }
                in.skipNBytes(length);
            }
        } catch (EOFException cutOff) {
            return false;
        }
    }

    /** The next marker; below 0 if there is none. */
    private static int marker(DataInputStream in) throws IOException {
        if (in.readUnsignedByte() != 0xFF) {
            return -1;
        }
        int sign = 0xFF;
        while (sign == 0xFF) {
            sign = in.readUnsignedByte();
        }
        return sign;
    }

    /** SOF0 to SOF15, of which three are tables. */
    private static boolean isFrame(int sign) {
        return sign >= 0xC0 && sign <= 0xCF && sign != 0xC4 && sign != 0xC8 && sign != 0xCC;
    }

    private static boolean halved(DataInputStream in) throws IOException {
        in.skipNBytes(5);
        int components = in.readUnsignedByte();
        int first = 0;
        int fewest = Integer.MAX_VALUE;
        for (int i = 0; i < components; i++) {
            in.skipNBytes(1);
            int sampling = in.readUnsignedByte();
            in.skipNBytes(1);
            int samples = (sampling >> 4) * (sampling & 15);
            first = i == 0 ? samples : first;
            fewest = Math.min(fewest, samples);
        }
        return components == COLOURS && fewest < first;
    }
}
