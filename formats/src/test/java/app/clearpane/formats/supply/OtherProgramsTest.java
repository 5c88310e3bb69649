package app.clearpane.formats.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import app.clearpane.core.files.Inside;
import app.clearpane.core.supply.ColourSpace;
import app.clearpane.core.supply.FileFacts;
import app.clearpane.core.supply.FileKind;
import app.clearpane.formats.deliverable.Work;
import app.clearpane.formats.files.InsideOfFile;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The figures of files that other programs made. Where a program is missing, what it makes is not tested. */
class OtherProgramsTest {
    private static final Path PROGRAMS = Path.of("/usr/bin");
    private static final int MINUTES = 2;

    @TempDir
    Path folder;

    /** Runs a program in the folder. @param arguments parted by blanks; `…` stands for a blank within one */
    private void run(String program, String arguments) throws IOException, InterruptedException {
        assumeTrue(
                Files.isExecutable(PROGRAMS.resolve(program)),
                program + " is not installed, so its files are not tested");
        Process running = new ProcessBuilder(Stream.concat(
                                Stream.of(PROGRAMS.resolve(program).toString()),
                                Arrays.stream(arguments.split(" ")).map(one -> one.replace('…', ' ')))
                        .toList())
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("said.log").toFile())
                .start();
        assertThat(running.waitFor(MINUTES, TimeUnit.MINUTES)).isTrue();
        assertThat(running.exitValue())
                .as(() -> {
                    try {
                        return Files.readString(folder.resolve("said.log"));
                    } catch (IOException unread) {
                        return unread.toString();
                    }
                })
                .isZero();
    }

    private FileFacts read(String name) throws IOException {
        return FactsOfFile.read(folder.resolve(name));
    }

    @ParameterizedTest
    @CsvSource({
        "-colorspace sRGB, rgb.jpg, RGB",
        "-colorspace sRGB -interlace JPEG, progressive.jpg, RGB",
        "-colorspace CMYK, cmyk.jpg, CMYK",
        "-colorspace CMYK -compress LZW, cmyk.tif, CMYK",
        "-colorspace Gray, grey.jpg, GREY",
        "-colorspace Gray, grey.png, GREY",
        "-depth 16 -alpha on, deep.png, RGB",
        "-compress Zip -endian MSB, zipped.tif, RGB",
        "-colors 200, indexed.gif, RGB",
        "-quality 80, picture.webp, RGB",
        "-orient RightTop, turned.jpg, RGB"
    })
    void picturesOfImageMagick(String how, String name, ColourSpace colours) throws Exception {
        run("convert", "-size 180x120 plasma:tomato-steelblue " + how + " " + name);
        FileFacts facts = read(name);
        assertThat(facts.kind()).isEqualTo(FileKind.PHOTOGRAPH);
        FileFacts.Picture picture = facts.picture().orElseThrow();
        assertThat(picture.size().longSide()).isEqualTo(180);
        assertThat(picture.size().shortSide()).isEqualTo(120);
        assertThat(picture.colours()).contains(colours);
    }

    @Test
    void theProfileThatAPictureCarriesIsNamed() throws Exception {
        Path profile = Path.of("/usr/share/color/icc/ghostscript/default_cmyk.icc");
        assumeTrue(Files.exists(profile), "no profiles are installed, so none is put into a picture");
        for (String name : new String[] {"profiled.jpg", "profiled.tif"}) {
            run("convert", "-size 60x40 plasma: -colorspace CMYK -profile " + profile + " " + name);
            FileFacts.Picture picture = read(name).picture().orElseThrow();
            assertThat(picture.colours()).as(name).contains(ColourSpace.CMYK);
            assertThat(picture.profile()).as(name).isPresent().hasValueSatisfying(said -> assertThat(said)
                    .isNotBlank());
        }
    }

    private static final String TWO_PAGES = """
            %%!PS
            %1$s
            /Times-Roman findfont 20 scalefont setfont
            %2$s 100 400 moveto (Who comes at night) show showpage
            %2$s 100 400 moveto (and why) show showpage
            """;

    private FileFacts distilled(String before, String onEach, String options) throws Exception {
        Files.writeString(folder.resolve("pages.ps"), TWO_PAGES.formatted(before, onEach));
        run(
                "gs",
                "-q -dBATCH -dNOPAUSE -sDEVICE=pdfwrite -sOutputFile=pages.pdf -dFIXEDMEDIA " + options + " pages.ps");
        return read("pages.pdf");
    }

    @Test
    void pagesOfGhostscriptWithTheirTrimAndWhatIsAroundIt() throws Exception {
        // A4 with 3 mm around it: 841.89 + 2 × 8.504 by 595.28 + 2 × 8.504 points
        FileFacts facts = distilled(
                "",
                "[ /TrimBox [8.504 8.504 603.784 850.394] /BleedBox [0 0 612.288 858.898] /PAGE pdfmark",
                "-dPDFSETTINGS=/prepress -dDEVICEWIDTHPOINTS=612.288 -dDEVICEHEIGHTPOINTS=858.898");
        FileFacts.Document document = facts.document().orElseThrow();
        assertThat(facts.kind()).isEqualTo(FileKind.PDF);
        assertThat(document.pages()).hasValue(2);
        assertThat(document.sheet().orElseThrow().longSide()).isCloseTo(297, within(1.0));
        assertThat(document.sheet().orElseThrow().shortSide()).isCloseTo(210, within(1.0));
        assertThat(document.bleed().orElseThrow()).isCloseTo(3.0, within(0.1));
        assertThat(document.fontsLeftOut()).isEmpty();
    }

    @Test
    void aFontThatGhostscriptLeavesOutIsNamed() throws Exception {
        FileFacts facts = distilled("<< /NeverEmbed [/Times-Roman] >> setdistillerparams", "", "-dEmbedAllFonts=false");
        assertThat(facts.document().orElseThrow().fontsLeftOut()).containsExactly("Times-Roman");
    }

    @Test
    void aPdfThatGhostscriptLocksSaysSo() throws Exception {
        FileFacts facts = distilled("", "", "-sOwnerPassword=a -sUserPassword=b -dEncryptionR=3 -dKeyLength=128");
        assertThat(facts.kind()).isEqualTo(FileKind.PDF);
        assertThat(facts.locked()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "-c:v libx264 -pix_fmt yuv420p, film.mp4",
        "-c:v libx264 -pix_fmt yuv420p -movflags faststart -c:a aac, fast.mov",
        "-c:v libvpx-vp9 -b:v 200k, film.webm",
        "-c:v mpeg4, film.mkv",
        "-c:v mpeg4, film.avi"
    })
    void filmsOfFfmpeg(String how, String name) throws Exception {
        run(
                "ffmpeg",
                "-v error -y -f lavfi -i testsrc=size=320x180:rate=25:duration=7 -f lavfi -i sine=duration=7 -shortest "
                        + how + " " + name);
        FileFacts facts = read(name);
        assertThat(facts.kind()).isEqualTo(FileKind.FILM);
        assertThat(facts.length().orElseThrow().toMillis()).isCloseTo(7_000, within(150L));
        assertThat(facts.picture().orElseThrow().size().longSide()).isEqualTo(320);
        assertThat(facts.picture().orElseThrow().size().shortSide()).isEqualTo(180);
    }

    @ParameterizedTest
    @CsvSource({
        "-c:a pcm_s16le, sound.wav",
        "-c:a libmp3lame -b:a 128k, steady.mp3",
        "-c:a libmp3lame -q:a 5, varying.mp3",
        "-c:a libvorbis, sound.ogg",
        "-c:a libopus, sound.opus",
        "-c:a flac, sound.flac",
        "-c:a aac, sound.m4a",
        "-c:a pcm_s16be, sound.aiff"
    })
    void soundsOfFfmpeg(String how, String name) throws Exception {
        run("ffmpeg", "-v error -y -f lavfi -i sine=frequency=330:duration=12 " + how + " " + name);
        FileFacts facts = read(name);
        assertThat(facts.kind()).isEqualTo(FileKind.SOUND);
        assertThat(facts.length().orElseThrow().toMillis()).isCloseTo(12_000, within(150L));
    }

    private void office(String to, String from) throws Exception {
        run(
                "soffice",
                "--headless -env:UserInstallation=" + folder.resolve("office").toUri() + " --convert-to " + to
                        + " --outdir . " + from);
    }

    @ParameterizedTest
    @CsvSource({"docx, TEXT", "odt, TEXT", "doc, TEXT", "rtf, TEXT", "pdf, PDF"})
    void textsOfLibreOffice(String ending, FileKind kind) throws Exception {
        String words = IntStream.rangeClosed(1, 120).mapToObj(i -> "word" + i).collect(Collectors.joining(" "));
        Files.writeString(folder.resolve("words.txt"), words);
        office(ending, "words.txt");
        FileFacts facts = read("words." + ending);
        assertThat(facts.kind()).isEqualTo(kind);
        assertThat(facts.document().orElseThrow().words()).hasValue(120);
        assertThat(facts.locked()).isFalse();
        assertThat(facts.macros()).isFalse();
        if (kind == FileKind.TEXT) {
            Inside inside = InsideOfFile.read(folder.resolve("words." + ending));
            assertThat(inside.parts().get(0).rows().get(0).get(0)).startsWith("word1 word2 ");
        }
    }

    @ParameterizedTest
    @CsvSource({"xlsx, TABLE", "ods, TABLE", "xls, TABLE"})
    void tablesOfLibreOffice(String ending, FileKind kind) throws Exception {
        Files.writeString(folder.resolve("table.csv"), "room,area\nhall,42\nstairs,9\n");
        office(ending, "table.csv");
        assertThat(read("table." + ending).kind()).isEqualTo(kind);
        assertThat(InsideOfFile.read(folder.resolve("table." + ending))
                        .parts()
                        .get(0)
                        .rows())
                .containsExactly(List.of("room", "area"), List.of("hall", "42"), List.of("stairs", "9"));
    }

    @Test
    void theFirstPageOfADocumentIsDrawnWhereItsProgramIs() throws Exception {
        Files.writeString(folder.resolve("words.txt"), "The old wall\n".repeat(200));
        office("odt", "words.txt");
        Path text = folder.resolve("words.odt");
        List<Work.DrawnPage> pages = new ArrayList<>();
        Work.known(text, FactsOfFile.mediaType(text)).draw(1, pages::add);
        assertThat(pages).hasSize(1);
        assertThat(ImageIO.read(new ByteArrayInputStream(pages.get(0).large())).getWidth())
                .isEqualTo(Work.LARGE_WIDTH);
    }
}
