package app.clearpane.formats.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.compare.ChangeMap;
import app.clearpane.core.compare.Comparison;
import app.clearpane.core.compare.PageMatch;
import app.clearpane.core.compare.Region;
import app.clearpane.core.compare.Registration;
import app.clearpane.core.compare.Runs;
import app.clearpane.core.compare.WordChanges;
import app.clearpane.core.markup.Box;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ComparisonTextTest {
    @TempDir
    private Path folder;

    @Test
    void readsBackWhatItWrote() {
        Runs runs =
                new Runs(0.0005, 0, 1 / 1_600.0, 1 / 2_262.0, new int[] {452, 160, 640, 453, 160, 300, 453, 400, 640});
        Box word = new Box(0.6, 0.7, 0.01, 0.02);
        ChangeMap map = new ChangeMap(
                List.of(
                        new Region(new Box(0.1, 0.2, 0.3, 0.4), 0.5, false, runs),
                        new Region(word, 1, true, Runs.of(word))),
                0.037,
                true,
                Registration.Size.CUT,
                new Box(-0.01, 0.002, 1, 0.8),
                new Box(0, 0, 1, 1),
                1.4);
        Comparison comparison = new Comparison(List.of(
                new Comparison.Page(new PageMatch.Both(1, 2), Optional.of(map)),
                new Comparison.Page(new PageMatch.Inserted(1), Optional.empty()),
                new Comparison.Page(new PageMatch.Removed(2), Optional.empty()),
                new Comparison.Page(new PageMatch.Both(3, 3), Optional.of(ChangeMap.nothing(0.7)))));
        assertThat(ComparisonText.read(ComparisonText.write(comparison))).isEqualTo(comparison);
    }

    @Test
    void refusesOtherText() {
        assertThatThrownBy(() -> ComparisonText.read("{}")).isInstanceOf(IllegalArgumentException.class);
    }

    private Path pdf(int turn) throws IOException {
        Path file = folder.resolve("words-" + turn + ".pdf");
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(PDRectangle.A4);
            page.setRotation(turn);
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.beginText();
                content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 20);
                content.newLineAtOffset(100, 742);
                content.showText("Open until ten");
                content.endText();
            }
            document.save(file.toFile());
        }
        return file;
    }

    @Test
    void findsWordsWhereTheyStand() throws IOException {
        List<WordChanges.Word> words = PdfWords.wordsOn(pdf(0)).wordsOn(1);
        assertThat(words).extracting(WordChanges.Word::text).containsExactly("Open", "until", "ten");
        assertThat(words.get(0).box().x()).isCloseTo(100 / PDRectangle.A4.getWidth(), Offset.offset(0.005));
        assertThat(words.get(0).box().bottom()).isCloseTo(1 - 742 / PDRectangle.A4.getHeight(), Offset.offset(0.005));
        assertThat(words.get(1).box().x()).isGreaterThan(words.get(0).box().right());
        assertThat(PdfWords.wordsOn(pdf(0)).wordsOn(2)).isEmpty();
        assertThat(WordChanges.of(words, words.subList(0, 2)).gone()).containsExactly(words.get(2));
    }

    @Test
    void drawsDrawingsToCompareThem() throws IOException {
        Path before = Files.writeString(
                folder.resolve("a.svg"),
                "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 200 100'><rect x='20' y='20' width='60' "
                        + "height='30' fill='#14706a'/></svg>");
        Path after = Files.writeString(
                folder.resolve("b.svg"),
                "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 200 100'><rect x='20' y='20' width='60' "
                        + "height='30' fill='#14706a'/><circle cx='150' cy='50' r='20'/></svg>");
        ChangeMap map = ChangeMap.of(Rasters.read(before), Rasters.read(after));
        assertThat(map.regions()).hasSize(1);
        assertThat(map.regions().get(0).box().x()).isCloseTo(0.65, Offset.offset(0.005));
        assertThat(map.regions().get(0).box().height()).isCloseTo(0.4, Offset.offset(0.01));
    }

    @Test
    void refusesADrawingThatCannotBeDrawn() throws IOException {
        Path broken = Files.writeString(
                folder.resolve("c.svg"), "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 200 100'><rect");
        assertThatThrownBy(() -> Rasters.read(broken)).isInstanceOf(IOException.class);
    }
}
