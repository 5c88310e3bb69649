package app.clearpane.formats.deliverable;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Random;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StripTest {
    @TempDir
    private Path folder;

    private Path picture(int width, int height) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        Random random = new Random(3);
        for (int i = 0; i < 400; i++) {
            g.setColor(new Color(random.nextInt(0xFFFFFF)));
            g.fillRect(random.nextInt(width), random.nextInt(height), 40, 30);
        }
        g.dispose();
        Path file = folder.resolve("picture.png");
        ImageIO.write(image, "png", file.toFile());
        return file;
    }

    @Test
    void rowsOfAPictureAtItsOwnWidthAreItsPixels() throws Exception {
        Path file = picture(3_200, 1_000);
        BufferedImage whole = ImageIO.read(file.toFile());
        Work work = Work.open(file, "picture.png");
        for (int top = 0; top < 1_000; top += 400) {
            BufferedImage strip =
                    work.strip(1, 3_200, top, Math.min(400, 1_000 - top)).orElseThrow();
            for (int y = 0; y < strip.getHeight(); y += 37) {
                for (int x = 0; x < 3_200; x += 113) {
                    assertThat(strip.getRGB(x, y)).as(x + ", " + (top + y)).isEqualTo(whole.getRGB(x, top + y));
                }
            }
        }
    }

    @Test
    void rowsBeyondAPictureOrOfAPageThatIsNotThereAreEmpty() throws Exception {
        Work work = Work.open(picture(2_000, 500), "picture.png");
        assertThat(work.strip(2, 3_200, 0, 100)).isEmpty();
        assertThat(work.strip(1, 3_200, 5_000, 100)).isEmpty();
    }

    @ParameterizedTest(name = "turned by {0}")
    @ValueSource(ints = {0, 90, 180, 270})
    void rowsOfAPdfAreSharpAndWhereTheyBelong(int turn) throws Exception {
        Path file = halfFilled(turn);
        Work work = Work.open(file, "large.pdf");
        boolean turned = turn % 180 != 0;
        int height = (int) Math.round(6_400 * (turned ? 1 / Math.sqrt(2) : Math.sqrt(2)));
        BufferedImage across = work.strip(1, 6_400, height / 2 - 20, 40).orElseThrow();
        int topLeft = across.getRGB(100, 5) & 0xFFFFFF;
        int topRight = across.getRGB(6_300, 5) & 0xFFFFFF;
        int bottomLeft = across.getRGB(100, 35) & 0xFFFFFF;
        int[] expected =
                switch (turn) {
                    case 90 -> new int[] {0, 0xFFFFFF, 0};
                    case 180 -> new int[] {0, 0, 0xFFFFFF};
                    case 270 -> new int[] {0xFFFFFF, 0, 0xFFFFFF};
                    default -> new int[] {0xFFFFFF, 0xFFFFFF, 0};
                };
        assertThat(new int[] {topLeft, topRight, bottomLeft}).containsExactly(expected);
    }

    private Path halfFilled(int turn) throws Exception {
        Path file = folder.resolve("large.pdf");
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(PDRectangle.A0);
            page.setRotation(turn);
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.addRect(0, 0, PDRectangle.A0.getWidth(), PDRectangle.A0.getHeight() / 2);
                content.fill();
            }
            document.save(file.toFile());
        }
        return file;
    }

    @Test
    void drawingsAreSharpAsTheyAre() throws Exception {
        Path file = Files.writeString(
                folder.resolve("mark.svg"),
                "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 10 10'><rect width='5' height='5'/></svg>");
        assertThat(Work.open(file, "mark.svg").strip(1, 3_200, 0, 100)).isEqualTo(Optional.empty());
    }
}
