package app.clearpane.core.markup;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NamingTest {
    private static final List<Naming.Known<String>> KNOWN = List.of(
            new Naming.Known<>('@', "Teo", "teo"),
            new Naming.Known<>('@', "Teo Brandt", "teo"),
            new Naming.Known<>('@', "Mirela", "mirela"),
            new Naming.Known<>('#', "Visitor map", "map"),
            new Naming.Known<>('#', "Visitor map, large", "large"),
            new Naming.Known<>('#', "Plan B", "b"),
            new Naming.Known<>('@', "", "nobody"));

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Ask @Teo about it|teo",
                "@teo brandt, please|teo",
                "(@Mirela)|mirela",
                "@Mirela@Teo|mirela",
                "mail teo@Teo.example|",
                "@Teodora is another|",
                "@Theo|",
                "See #Visitor map.|map",
                "See #visitor map, large and #Plan B|large b",
                "#Visitor maps|",
                "No. 5#Plan B|",
                "@ Teo|",
                "#|",
                "Teo|",
                "„@Teo“ – #Plan B!|teo b"
            })
    void namesAreFound(String text, String expected) {
        assertThat(Naming.cut(text, KNOWN).stream()
                        .flatMap(piece -> piece.named().stream())
                        .collect(Collectors.joining(" ")))
                .isEqualTo(expected == null ? "" : expected);
    }

    @Test
    void ofEqualNamesTheFirstKnownCounts() {
        List<Naming.Known<Integer>> twice =
                List.of(new Naming.Known<>('#', "Map", 1), new Naming.Known<>('#', "Map", 2));
        assertThat(Naming.cut("#Map", twice)).containsExactly(new Naming.Piece<>("#Map", java.util.Optional.of(1)));
    }

    @Test
    void thePiecesTogetherAreTheText() {
        Random random = new Random(7);
        String[] parts = {
            "@", "#", "Teo", " Brandt", "Visitor map", ", large", " ", "é", "\uD83D\uDE00", "\n", "Plan B", "x"
        };
        for (int i = 0; i < 2_000; i++) {
            String text = random.ints(random.nextInt(12), 0, parts.length)
                    .mapToObj(at -> parts[at])
                    .collect(Collectors.joining());
            List<Naming.Piece<String>> pieces = Naming.cut(text, KNOWN);
            assertThat(pieces.stream().map(Naming.Piece::text).collect(Collectors.joining()))
                    .isEqualTo(text);
            assertThat(pieces).noneMatch(piece -> piece.text().isEmpty());
            pieces.stream().filter(piece -> piece.named().isPresent()).forEach(piece -> assertThat(KNOWN)
                    .anyMatch(known -> known.written().equalsIgnoreCase(piece.text())
                            && known.what().equals(piece.named().get())));
        }
    }
}
