package app.clearpane.formats.markup;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.markup.Place;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Annotations in PDFs that other programs made. */
class PdfNotesTest {
    private static final Offset<Double> NEAR = Offset.offset(0.0005);

    @TempDir
    private Path folder;

    private BroughtMark.Read read(String name) throws IOException {
        Path file = folder.resolve(name);
        try (InputStream in =
                Objects.requireNonNull(PdfNotesTest.class.getResourceAsStream("/made-elsewhere/" + name))) {
            Files.copy(in, file);
        }
        return PdfNotes.read(file);
    }

    @Test
    void ofGhostscript() throws IOException {
        BroughtMark.Read read = read("notes-by-ghostscript.pdf");
        assertThat(read.marks())
                .extracting(BroughtMark::note)
                .containsExactly("Is this still so?", "Marked, without words.", "Not in winter.");
        assertThat(read.skipped()).containsExactly("Square on sheet 1: it is hidden");
        BroughtMark question = read.marks().get(0);
        assertThat(question.author()).isEqualTo("Jasper Quill-Adeyemi");
        assertThat(question.thread().at()).as("it writes no dates").isEmpty();
        assertThat(question.place()).isInstanceOf(Place.Point.class);
        assertThat(question.place().centreX()).isCloseTo(82.0 / 595, NEAR);
        assertThat(question.place().centreY()).isCloseTo(1 - 710.0 / 842, NEAR);
        assertThat(read.marks().get(1).place().centreX()).isCloseTo(172.0 / 595, NEAR);
        assertThat(read.marks().get(1).author()).isEqualTo("Mirela Stancu");
    }

    @Test
    void ofPdfLib() throws IOException {
        BroughtMark.Read read = read("notes-by-pdf-lib.pdf");
        Map<String, BroughtMark> marks =
                read.marks().stream().collect(Collectors.toMap(BroughtMark::origin, Function.identity()));
        assertThat(marks).containsOnlyKeys("caret-1", "rich-1", "ink-1", "note-1");
        assertThat(read.skipped()).containsExactly("Text on sheet 1: it is hidden");
        struckOutAndWrittenAnewIsOne(marks);
        assertThat(marks.get("rich-1").note()).isEqualTo("First line\nSecond line");
        assertThat(marks.get("ink-1").note()).isEqualTo("Drawn, without words.");
        assertThat(marks.get("ink-1").place())
                .as("no line joins two strokes")
                .isInstanceOfSatisfying(Place.Rectangle.class, box -> {
                    assertThat(box.x()).isCloseTo(100.0 / 595, NEAR);
                    assertThat(box.width()).isCloseTo(200.0 / 595, NEAR);
                });
        BroughtMark.Thread thread = marks.get("note-1").thread();
        assertThat(thread.replies())
                .as("an answer to an answer too")
                .extracting(BroughtMark.Reply::said, BroughtMark.Reply::author)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("How much?", "Teo Brandt"),
                        org.assertj.core.groups.Tuple.tuple("A third", "Ottoline Vance"));
        assertThat(thread.state())
                .as("the last, by whoever set it")
                .contains(new BroughtMark.State(
                        "Rejected", "Ines Okafor-Lindqvist", Optional.of(Instant.parse("2027-05-06T10:00:00Z"))));
    }

    private void struckOutAndWrittenAnewIsOne(Map<String, BroughtMark> marks) throws IOException {
        BroughtMark instead = marks.get("caret-1");
        assertThat(instead.replacement())
                .as("a caret with what is struck out is one correction")
                .contains("half past nine");
        assertThat(instead.place().centreX())
                .as("where the words are struck out")
                .isCloseTo(150.0 / 595, NEAR);
        assertThat(instead.thread().at()).contains(Instant.parse("2027-05-04T07:00:00Z"));
    }

    @Test
    void theSameFileSaysTheSameEachTime() throws IOException {
        List<String> first = read("notes-by-ghostscript.pdf").marks().stream()
                .map(BroughtMark::origin)
                .toList();
        Files.delete(folder.resolve("notes-by-ghostscript.pdf"));
        assertThat(read("notes-by-ghostscript.pdf").marks())
                .extracting(BroughtMark::origin)
                .isEqualTo(first)
                .doesNotHaveDuplicates();
    }
}
