package app.clearpane.web.deliverable;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.FileSystemResource;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * A file that tells when all of it was handed out. A look at its address (HEAD), an answer that it is unchanged, or a
 * part of it, hands out less.
 */
final class DeliveredFile extends FileSystemResource {
    private final Runnable whenWhole;

    DeliveredFile(Path file, Runnable whenWhole) {
        super(file);
        this.whenWhole = whenWhole;
    }

    @Override
    public InputStream getInputStream() throws IOException {
        boolean asksForBytes = RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                && request.getRequest().getMethod().equals("GET");
        return asksForBytes ? new Counting(super.getInputStream(), contentLength()) : super.getInputStream();
    }

    private final class Counting extends FilterInputStream {
        private final long length;
        private long read;

        Counting(InputStream in, long length) {
            super(in);
            this.length = length;
        }

        @Override
        public int read() throws IOException {
            int one = super.read();
            read += one < 0 ? 0 : 1;
            return one;
        }

        @Override
        public int read(byte[] into, int from, int most) throws IOException {
            int got = super.read(into, from, most);
            read += Math.max(0, got);
            return got;
        }

        @Override
        public void close() throws IOException {
            super.close();
            if (read == length) {
                whenWhole.run();
            }
        }
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return this == other;
    }

    @Override
    public int hashCode() {
        return System.identityHashCode(this);
    }
}
