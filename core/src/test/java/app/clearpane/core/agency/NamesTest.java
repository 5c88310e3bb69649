package app.clearpane.core.agency;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NamesTest {
    @Test
    void cleansWithoutChangingWhatIsSeen() {
        assertThat(new Name("  Ines\t Okafor-Lindqvist\n").value()).isEqualTo("Ines Okafor-Lindqvist");
        assertThat(new Name("pdf.\u202Eexe").value()).isEqualTo("pdf. exe");
        assertThat(new Name("e\u0301").value()).isEqualTo("é");
        assertThat(new Name("שלום").value()).isEqualTo("שלום");
    }

    @Test
    void countsCharactersAsReadersDo() {
        assertThat(new Name("🌒".repeat(120)).value()).hasSize(240);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Name("🌒".repeat(300)))
                .withMessage("A name may have 120 characters; this one has 300.");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Name(" \u0000 "))
                .withMessage("A name is needed.");
    }

    @ParameterizedTest
    @CsvSource({"Ines Okafor-Lindqvist, IO", "Ottoline, O", "Per van der Halloran, PH"})
    void shortensToInitials(String name, String initials) {
        assertThat(new Name(name).initials()).isEqualTo(initials);
    }

    @ParameterizedTest
    @ValueSource(strings = {"a@b.example", "ottoline.vance+map@penwether.example", "O'Neil@mail.example"})
    void takesAddresses(String address) {
        assertThat(new EmailAddress(" " + address + " ").value()).isEqualTo(address.toLowerCase(java.util.Locale.ROOT));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "ottoline",
                "a@b",
                "a b@c.example",
                "a@b.example\r\nBcc: x@y.example",
                "<a@b.example>",
                "a@-b.example"
            })
    void refusesWhatIsNoAddress(String address) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new EmailAddress(address))
                .withMessageContaining("is not a mail address");
    }

    @Test
    void letsOnlyMakersPublishNothing() {
        assertThat(TeamRole.values())
                .filteredOn(TeamRole::mayPublish)
                .containsExactly(TeamRole.OWNER, TeamRole.MANAGER);
    }
}
