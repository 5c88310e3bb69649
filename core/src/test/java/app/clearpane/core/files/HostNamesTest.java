package app.clearpane.core.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.URI;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Which addresses may be shown in place. */
class HostNamesTest {
    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "https://maps.example/a?b=c, true",
        "https://MAPS.example/, true",
        "https://maps.example:443/, true",
        "https://maps.example:8443/, false",
        "http://maps.example/, false",
        "https://www.maps.example/, false",
        "https://a.draw.example/x, true",
        "https://a.b.draw.example/x, true",
        "https://draw.example/x, false",
        "https://draw.example.evil.example/, false",
        "https://evildraw.example/, false",
        "https://maps.example.evil.example/, false",
        "https://evil.example/#https://maps.example/, false",
        "https://evil.example/maps.example, false",
        "javascript:alert(1), false"
    })
    void onlyWhatWasNamed(URI address, boolean shown) {
        assertThat(HostNames.read("maps.example, *.draw.example").has(address)).isEqualTo(shown);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "https://maps.example",
                "maps",
                "*",
                "*.",
                "10.0.0.1",
                "a..b",
                "-a.example",
                "a_b.example",
                "a.example/x"
            })
    void whatIsNoNameIsSaid(String typed) {
        assertThatThrownBy(() -> HostNames.read(typed)).hasMessageContaining("no name of a host");
    }

    @ParameterizedTest
    @CsvSource({"'',''", "'a.example;  B.example', 'a.example|b.example'", "'a.example a.example', a.example"})
    void isReadAsTyped(String typed, String read) {
        assertThat(HostNames.read(typed).typed()).isEqualTo(read.replace("|", "\n"));
    }
}
