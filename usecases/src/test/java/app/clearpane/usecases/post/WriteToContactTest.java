package app.clearpane.usecases.post;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.Agency;
import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.TheAgency;
import java.time.ZoneOffset;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class WriteToContactTest {
    private static final ContactId MIRELA = new ContactId(new UUID(1, 1));
    private static final Contact CONTACT =
            new Contact(MIRELA, new ClientId(new UUID(1, 2)), "Mirela Stancu", "mirela@penwether.example", "");
    private static final WriteToContact.Note NOTE = new WriteToContact.Note(
            "To look at: Map, version 2", List.of("It is ready."), "Look at Map", "/c/panes/1/versions/2");

    private final People people = mock();
    private final LinkKeys keys = mock();
    private final WriteMail mail = mock();
    private final TheAgency agency = mock();
    private final WriteToContact write = new WriteToContact(people, keys, mail, agency);

    @BeforeEach
    void anAgency() {
        when(agency.get()).thenReturn(new Agency(new UUID(1, 3), "Marram & Finch", ZoneOffset.UTC));
        when(keys.forContact(MIRELA, NOTE.page())).thenReturn("https://house.example/p/key");
    }

    @Test
    void theButtonLetsThemInAtThePageItIsAbout() {
        UUID written = new UUID(1, 4);
        Letter expected = new Letter(
                NOTE.subject(),
                NOTE.paragraphs(),
                "Look at Map",
                "https://house.example/p/key",
                "Marram & Finch",
                NOTE.page());
        when(people.contact(MIRELA)).thenReturn(Optional.of(CONTACT));
        when(mail.send(CONTACT, expected)).thenReturn(written);
        assertThat(write.write(MIRELA, NOTE)).isEqualTo(written);
    }

    @Test
    void aLetterThatWaitsIsTheSameAndNothingIsSent() {
        assertThat(write.letter(MIRELA, NOTE).link()).isEqualTo("https://house.example/p/key");
        verify(mail, never()).send(any(Contact.class), any());
    }

    @Test
    void nobodyWhoIsNotThereIsWrittenTo() {
        when(people.contact(MIRELA)).thenReturn(Optional.empty());
        assertThatThrownBy(() -> write.write(MIRELA, NOTE)).isInstanceOf(NoSuchElementException.class);
        verify(keys, never()).forContact(any(), any());
    }
}
