package app.clearpane.formats.supply;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** A stream that ends with an error where it goes on for too long: an archive may unpack to more than anybody has. */
public final class UpTo extends FilterInputStream {
    private long left;

    /** @param most how many bytes are given */
    public UpTo(InputStream in, long most) {
        super(in);
        this.left = most;
    }

    @Override
    public int read() throws IOException {
        int found = super.read();
        count(found < 0 ? 0 : 1);
        return found;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
        int found = super.read(into, from, length);
        count(Math.max(0, found));
        return found;
    }

    private void count(int bytes) throws IOException {
        left -= bytes;
        if (left < 0) {
            throw new IOException("it unpacks to more than is read");
        }
    }
}
