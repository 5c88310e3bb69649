package app.clearpane.formats.supply;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;

/** Some bytes of a file, wherever they stand in it. */
final class PartOfFile {
    private PartOfFile() {}

    /** At most so many bytes from a place on; fewer where the file ends before. */
    static ByteBuffer read(FileChannel in, long from, int most) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(most);
        while (bytes.hasRemaining() && in.read(bytes, from + bytes.position()) > 0) {
            // until it is full or nothing is left
        }
        return bytes.flip();
    }
}
