package app.clearpane.bench;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Writes PDF files (ISO 32000) to be measured with: pages with shapes, and pages with a picture of noise, which nothing
 * makes smaller.
 */
final class PlainPdf implements AutoCloseable {
    private static final int PICTURE_WIDTH = 720;
    private static final int PICTURE_HEIGHT = 485;
    private final OutputStream out;
    private final List<Long> places = new ArrayList<>();
    private long at;

    private PlainPdf(OutputStream out) throws IOException {
        this.out = out;
        write("%PDF-1.7\n".getBytes(StandardCharsets.US_ASCII));
    }

    /** A file of so many pages. @param pictures whether each has a picture of a megabyte, else some thousand shapes */
    static Path write(Path file, int pages, boolean pictures) throws IOException {
        try (PlainPdf pdf = new PlainPdf(new BufferedOutputStream(Files.newOutputStream(file)))) {
            StringBuilder kids = new StringBuilder();
            Random random = new Random(file.getFileName().hashCode());
            for (int page = 0; page < pages; page++) {
                int first = 3 + page * 3;
                kids.append(first).append(" 0 R ");
                String resources =
                        pictures ? "/Resources << /XObject << /P " + (first + 2) + " 0 R >> >>" : "/Resources << >>";
                pdf.object(
                        first,
                        "<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] " + resources + " /Contents "
                                + (first + 1) + " 0 R >>",
                        null);
                pdf.object(
                        first + 1,
                        "",
                        pictures ? "500 0 0 337 40 400 cm /P Do".getBytes(StandardCharsets.US_ASCII) : shapes(random));
                byte[] noise = new byte[pictures ? PICTURE_WIDTH * PICTURE_HEIGHT * 3 : 1];
                random.nextBytes(noise);
                pdf.object(
                        first + 2,
                        "/Type /XObject /Subtype /Image /Width " + PICTURE_WIDTH + " /Height " + PICTURE_HEIGHT
                                + " /ColorSpace /DeviceRGB /BitsPerComponent 8",
                        noise);
            }
            pdf.end(kids.toString(), pages);
        }
        return file;
    }

    private static byte[] shapes(Random random) {
        StringBuilder content = new StringBuilder();
        for (int i = 0; i < 2_000; i++) {
            content.append("0.%d 0.%d 0.%d rg %d %d %d %d re f\n"
                    .formatted(
                            random.nextInt(10),
                            random.nextInt(10),
                            random.nextInt(10),
                            random.nextInt(560),
                            random.nextInt(800),
                            4 + random.nextInt(40),
                            4 + random.nextInt(30)));
        }
        return content.toString().getBytes(StandardCharsets.US_ASCII);
    }

    private void object(int number, String head, byte[] stream) throws IOException {
        while (places.size() <= number) {
            places.add(0L);
        }
        places.set(number, at);
        String dictionary = stream == null ? head : "<< " + head + " /Length " + stream.length + " >>\nstream\n";
        write((number + " 0 obj\n" + dictionary).getBytes(StandardCharsets.US_ASCII));
        if (stream != null) {
            write(stream);
            write("\nendstream".getBytes(StandardCharsets.US_ASCII));
        }
        write("\nendobj\n".getBytes(StandardCharsets.US_ASCII));
    }

    private void end(String kids, int pages) throws IOException {
        object(1, "<< /Type /Catalog /Pages 2 0 R >>", null);
        object(2, "<< /Type /Pages /Kids [" + kids + "] /Count " + pages + " >>", null);
        long table = at;
        StringBuilder xref = new StringBuilder("xref\n0 " + places.size() + "\n0000000000 65535 f \n");
        places.stream().skip(1).forEach(place -> xref.append("%010d 00000 n \n".formatted(place)));
        xref.append("trailer\n<< /Size ")
                .append(places.size())
                .append(" /Root 1 0 R >>\nstartxref\n")
                .append(table)
                .append("\n%%EOF\n");
        write(xref.toString().getBytes(StandardCharsets.US_ASCII));
    }

    private void write(byte[] bytes) throws IOException {
        out.write(bytes);
        at += bytes.length;
    }

    @Override
    public void close() throws IOException {
        out.close();
    }
}
