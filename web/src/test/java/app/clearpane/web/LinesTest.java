package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What the build does not format is legible all the same: no line runs out of sight, a style sheet says one thing a
 * line.
 */
class LinesTest {
    private static final Path RESOURCES = Path.of("src/main/resources");
    private static final int LONGEST = 140;
    private static final int LONGEST_TEST = 25;

    private static List<Path> files(String folder, String ending) throws IOException {
        try (Stream<Path> all = Files.walk(RESOURCES.resolve(folder))) {
            return all.filter(file ->
                            file.toString().endsWith(ending) && !file.toString().contains("vendor"))
                    .toList();
        }
    }

    private static List<String> lines(Path file) {
        try {
            return Files.readAllLines(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"templates .html", "static/css .css", "static/js .js"})
    void noLineRunsOutOfSight(String which) throws IOException {
        List<Path> found = files(which.split(" ")[0], which.split(" ")[1]);
        assertThat(found).hasSizeGreaterThan(5);
        assertThat(found.stream().flatMap(file -> IntStream.range(0, lines(file).size())
                        .filter(i -> lines(file).get(i).length() > LONGEST)
                        .mapToObj(i -> file.getFileName() + ":" + (i + 1))))
                .isEmpty();
    }

    @Test
    void aStyleSheetSaysOneThingALine() throws IOException {
        assertThat(files("static/css", ".css").stream()
                        .flatMap(file -> lines(file).stream().map(String::strip))
                        .filter(line -> !line.startsWith("/*") && !line.startsWith("@"))
                        .filter(line -> line.indexOf('{') >= 0 && line.indexOf('}') > line.indexOf('{')
                                || line.matches(".*;\\s*[a-z-]+:.*") && !line.contains("url(")))
                .isEmpty();
    }

    /** A template is told what whoever looks may do, and asks nobody's role. */
    @Test
    void noTemplateAsksForARole() throws IOException {
        assertThat(files("templates", ".html").stream().flatMap(file -> lines(file).stream()
                        .filter(line -> line.contains("me.role"))
                        .map(line -> file.getFileName() + ": " + line.strip())))
                .isEmpty();
    }

    /** A template is told what it prints: a name that is spelt wrong in a comparison would only never be true. */
    @Test
    void noTemplateComparesTheNameOfAnEnum() throws IOException {
        assertThat(files("templates", ".html").stream().flatMap(file -> lines(file).stream()
                        .filter(line -> line.matches(".*[.]name(\\(\\))?}? *[!=]= *'[A-Z_]+'.*")
                                || line.matches(".*th:case=\"'?[A-Z_]+'?\".*"))
                        .map(line -> file.getFileName() + ": " + line.strip())))
                .isEmpty();
    }

    /** A test tells one story. */
    @Test
    void noTestIsLong() throws IOException {
        List<String> tooLong = new ArrayList<>();
        for (String floor : List.of("core", "formats", "store", "usecases", "demo", "web")) {
            try (Stream<Path> all = Files.walk(Path.of("../" + floor + "/src/test/java"))) {
                all.filter(file -> file.toString().endsWith("Test.java"))
                        .forEach(file -> tooLong.addAll(longTests(file)));
            }
        }
        assertThat(tooLong).isEmpty();
    }

    private static List<String> longTests(Path file) {
        List<String> lines = lines(file);
        List<String> found = new ArrayList<>();
        boolean test = false;
        for (int i = 0; i < lines.size(); i++) {
            test |= lines.get(i).matches("    @(Parameterized)?Test.*");
            if (test && lines.get(i).matches("    (?!@)[\\w<].*")) {
                int end = i;
                while (!lines.get(end).equals("    }")) {
                    end++;
                }
                if (end - i - 1 > LONGEST_TEST) {
                    found.add(file.getFileName() + ":" + (i + 1));
                }
                test = false;
            }
        }
        return found;
    }
}
