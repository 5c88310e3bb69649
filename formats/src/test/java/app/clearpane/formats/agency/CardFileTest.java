package app.clearpane.formats.agency;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.agency.Card;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;

class CardFileTest {
    private static final List<Card> ALL = List.of(
            new Card(
                    "Penwether Observatory Trust",
                    "Ottoline Fairweather-Brandt",
                    "ottoline@penwether.example",
                    "director"),
            new Card("", "Cora", "cora@signs.example", ""),
            new Card("=Sums; & \"Sons\"", "Jörg Ŝtefán, junior", "joerg@example.org", "@home\nand away"));

    @Test
    void whatWasWrittenComesBackAsItWas() throws IOException {
        assertThat(CardFile.read(CardFile.vcards(ALL))).isEqualTo(ALL);
        assertThat(CardFile.read(CardFile.csv(ALL))).isEqualTo(ALL);
        assertThat(CardFile.csv(ALL))
                .as("no spreadsheet takes it for a formula")
                .contains("'=Sums", "'@home");
        assertThat(CardFile.vcards(ALL)).contains("VERSION:4.0", "N:Fairweather-Brandt;Ottoline");
    }

    @Test
    void readsWhatOtherProgramsWrite() throws IOException {
        assertThat(CardFile.read("begin:vcard\r\nVERSION:2.1\r\nN:Tregenza;Mirela;;;\r\nFN:Mirela "
                        + "Tregenza\r\nORG:Penwether Observatory "
                        + "Trust;Board\r\nEMAIL;INTERNET:mirela@penwether.example\r\n"
                        + "EMAIL:other@penwether.example\r\nTITLE:trustee\r\nend:vcard\r\n"))
                .containsExactly(new Card(
                        "Penwether Observatory Trust", "Mirela Tregenza", "mirela@penwether.example", "trustee"));
        assertThat(CardFile.read("BEGIN:VCARD\nVERSION:3.0\nN:Tregenza;Mirela;;;\nROLE:trustee\nEND:VCARD\n"))
                .containsExactly(new Card("", "Mirela Tregenza", "", "trustee"));
        assertThat(CardFile.read("\uFEFFFirst Name;Last Name;E-mail Address;Company;Job "
                        + "Title;Phone\nMirela;Tregenza; mirela@penwether.example ;Trust;trustee;1\n;;;;;\n"))
                .containsExactly(new Card("Trust", "Mirela Tregenza", "mirela@penwether.example", "trustee"));
        assertThat(CardFile.read("Name\tMail\nMirela\tm@penwether.example\nAlone\n"))
                .containsExactly(new Card("", "Mirela", "m@penwether.example", ""), new Card("", "Alone", "", ""));
    }

    @Test
    void saysWhatItCannotRead() {
        assertThatThrownBy(() -> CardFile.read("Milk, eggs, flour"))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("neither vCards nor a table");
        assertThatThrownBy(() -> CardFile.read("")).isInstanceOf(IOException.class);
        assertThatThrownBy(() -> CardFile.read("Name,Mail\n\"Mirela,m@penwether.example\n"))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("quotation mark");
        assertThatThrownBy(() -> CardFile.read("Name,Mail\n" + "a,b@c.example\n".repeat(CardFile.MOST + 1)))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("in parts");
    }
}
