package app.clearpane.formats.clearance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gov.loc.repository.bagit.domain.Bag;
import gov.loc.repository.bagit.exceptions.CorruptChecksumException;
import gov.loc.repository.bagit.reader.BagReader;
import gov.loc.repository.bagit.verify.BagVerifier;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ReleaseBagTest {
    @TempDir
    private Path folder;

    @Test
    void makesABagThatAnIndependentValidatorAccepts() throws Exception {
        Path bag = unzipped(bag());
        assertThat(bag.resolve("bagit.txt")).content().contains("BagIt-Version: 1.0");
        assertThat(bag.resolve("data/released/map, é.pdf")).content().isEqualTo("the released bytes");
        assertThat(bag.resolve("manifest-sha256.txt")).exists();
        try (BagVerifier verifier = new BagVerifier()) {
            Bag read = new BagReader().read(bag);
            verifier.isValid(read, false);
            Files.writeString(bag.resolve("data/marks.jsonld"), "altered");
            assertThatThrownBy(() -> verifier.isValid(read, false)).isInstanceOf(CorruptChecksumException.class);
        }
    }

    @Test
    void saysTheDateOfItsContentsAndWritesPerCentAsTheFormatAsks() throws Exception {
        Path bag = unzipped(bag("100 % rye, 5%25.pdf"));
        assertThat(bag.resolve("bag-info.txt"))
                .content()
                .contains("Bagging-Date: 1970-01-01")
                .containsOnlyOnce("Bagging-Date");
        assertThat(bag.resolve("manifest-sha256.txt")).content().contains("data/released/100 %25 rye, 5%2525.pdf");
        assertThat(bag.resolve("data/released/100 % rye, 5%25.pdf")).content().isEqualTo("the released bytes");
        Process verifier = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        bag.resolve("data/Verify.java").toString(),
                        bag.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(verifier.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(said)
                .doesNotContain("is in no manifest")
                .doesNotContain("was altered")
                .doesNotContain("missing");
    }

    private Path bag() throws IOException {
        return bag("map, é.pdf");
    }

    private Path bag(String name) throws IOException {
        Path released = Files.writeString(folder.resolve("stored"), "the released bytes");
        Path workshop = Files.createDirectories(folder.resolve("workshop"));
        Path zip = folder.resolve("bundle.zip");
        try (OutputStream out = Files.newOutputStream(zip)) {
            ReleaseBag.write(
                    new ReleaseBag.Contents(
                            "map-version-2",
                            released,
                            name,
                            new byte[] {1, 2},
                            "{}",
                            "{}\n",
                            "Marram & Finch",
                            Instant.EPOCH),
                    workshop,
                    out);
        }
        assertThat(workshop).isEmptyDirectory();
        return zip;
    }

    private Path unzipped(Path zip) throws IOException {
        try (InputStream in = Files.newInputStream(zip);
                ZipInputStream entries = new ZipInputStream(in, StandardCharsets.UTF_8)) {
            for (ZipEntry entry = entries.getNextEntry(); entry != null; entry = entries.getNextEntry()) {
                Path place = folder.resolve("out").resolve(entry.getName());
                Files.createDirectories(place.getParent());
                Files.copy(entries, place);
            }
        }
        return folder.resolve("out/map-version-2");
    }

    @Test
    void writesPagesAsPdfWithTheirLettersEmbedded() throws IOException {
        byte[] pdf = PdfWriter.write("<html><head><style>body{font-family:Atkinson} "
                + "h1{font-family:Bricolage}</style></head><body><h1>Ćertificate</h1><p>Signed “by” "
                + "Jasper</p></body></html>");
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(document)).contains("Ćertificate", "Signed “by” Jasper");
            document.getPage(0).getResources().getFontNames().forEach(name -> {
                try {
                    assertThat(document.getPage(0).getResources().getFont(name).isEmbedded())
                            .isTrue();
                } catch (IOException e) {
                    throw new java.io.UncheckedIOException(e);
                }
            });
        }
    }
}
