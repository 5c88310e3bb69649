package app.clearpane.usecases.post;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.Agency;
import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.files.Sha256;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.usecases.security.LinkKeys;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SendLinkTest {
    private static final ContactId PER = new ContactId(new UUID(1, 1));
    private static final Contact CONTACT =
            new Contact(PER, new ClientId(new UUID(1, 2)), "Per Halloran", "per@penwether.example", "");
    private static final Sha256 OLD = Sha256.ofText("an old key");

    private final SignInLinks links = mock();
    private final People people = mock();
    private final WriteMail mail = mock();
    private final LinkKeys keys = mock();
    private final SendLink send = new SendLink(links, people, mail, keys);

    @BeforeEach
    void aContact() {
        when(people.agency()).thenReturn(Optional.of(new Agency(new UUID(1, 3), "Marram & Finch", ZoneOffset.UTC)));
        when(people.contact(PER)).thenReturn(Optional.of(CONTACT));
        when(people.contactAt(new EmailAddress("per@penwether.example"))).thenReturn(Optional.of(CONTACT));
        when(keys.forContact(eq(PER), any())).thenAnswer(call -> "https://house.example/p/new?" + call.getArgument(1));
    }

    private void old(@Nullable ContactId contact, @Nullable TeamMemberId member, @Nullable Instant revoked) {
        when(links.find(OLD))
                .thenReturn(Optional.of(new SignInLinks.WayIn(
                        new UUID(1, 5), contact, member, "/c/panes/3", Instant.EPOCH, Instant.EPOCH, revoked, false)));
    }

    @Test
    void anotherLinkLeadsWhereTheOldOneDid() {
        old(PER, null, null);
        send.sendAnother(OLD);
        verify(mail)
                .sendNow(
                        eq(CONTACT),
                        argThat(letter -> letter.link().equals("https://house.example/p/new?/c/panes/3")
                                && letter.subject().equals("Your link to Marram & Finch")));
    }

    @Test
    void aLinkThatWasTakenBackIsNotRenewed() {
        old(PER, null, Instant.EPOCH);
        send.sendAnother(OLD);
        verifyNoInteractions(mail, keys);
    }

    @Test
    void aMembersLinkIsNotRenewedHere() {
        old(null, new TeamMemberId(new UUID(1, 7)), null);
        send.sendAnother(OLD);
        verifyNoInteractions(mail, keys);
    }

    @Test
    void anUnknownKeySendsNothing() {
        when(links.find(OLD)).thenReturn(Optional.empty());
        send.sendAnother(OLD);
        verifyNoInteractions(mail, keys);
    }

    @Test
    void whoeverHasTheAddressGetsALinkToAllTheirPages() {
        send.sendTo("per@penwether.example", "/c");
        verify(mail).sendNow(eq(CONTACT), argThat(letter -> letter.link().endsWith("?/c")));
    }

    @Test
    void aFreshLinkForADeviceLeadsWhereItsOwnerWasGoing() {
        old(PER, null, null);
        assertThat(send.sendFor(OLD, "/c/panes/9/tasks")).contains(CONTACT);
        verify(mail).sendNow(eq(CONTACT), argThat(letter -> letter.link().endsWith("?/c/panes/9/tasks")));
    }

    @Test
    void whoeverLeftGetsNone() {
        old(PER, null, null);
        when(people.hasLeft(PER)).thenReturn(true);
        send.sendTo("per@penwether.example", "/c");
        send.sendFor(OLD, "/c");
        send.sendAnother(OLD);
        verifyNoInteractions(mail, keys);
    }

    @Test
    void aDeviceOfSomebodyWhoseLinksWereTakenBackMailsNothing() {
        old(PER, null, Instant.EPOCH);
        assertThat(send.sendFor(OLD, "/c")).isEmpty();
        verifyNoInteractions(mail, keys);
    }

    /** The caller cannot tell any of these from an address that is known. */
    @ParameterizedTest
    @ValueSource(
            strings = {"", "nobody", "nobody@penwether.example", "a@b@c", "per@penwether.example\nBcc: x@y.example"})
    void whatIsNobodysAddressSendsNothingAndSaysNothing(String typed) {
        send.sendTo(typed, "/c");
        verifyNoInteractions(mail, keys);
    }
}
