package app.clearpane.store.agency;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.ContactWishes;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Particulars;
import app.clearpane.core.agency.WritingHours;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.Stale;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.store.post.Mails;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What contacts keep of themselves and their client, and that they are forgotten. */
class OwnThingsTest {
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final OwnThings own = new OwnThings(house.db);
    private final Mails mails = new Mails(house.db);
    private final ProjectFiles files = new ProjectFiles(house.db);
    private final Contact per = house.contact("per");
    private final Contact jasper = house.contact("jasper");

    private static ContactWishes wishes() {
        return new ContactWishes(
                "0123",
                Optional.of(ZoneId.of("Asia/Kolkata")),
                Optional.of(Locale.forLanguageTag("nb")),
                Optional.of(new WritingHours(7, 19)));
    }

    @Test
    void wishesAreKeptAndChangedAndOfNobodyElse() {
        assertThat(own.wishes(per.id())).isEqualTo(ContactWishes.NONE);
        own.keep(per.id(), wishes());
        assertThat(own.wishes(per.id())).isEqualTo(wishes());
        own.keep(per.id(), ContactWishes.NONE);
        assertThat(own.wishes(per.id())).isEqualTo(ContactWishes.NONE);
        assertThat(own.wishes(jasper.id())).isEqualTo(ContactWishes.NONE);
        assertThat(own.phones()).isEmpty();
    }

    @Test
    void aPasswordIsWantedOrNot() {
        EmailAddress address = new EmailAddress(per.email());
        assertThat(own.credentials(address)).isEmpty();
        own.setPassword(per.id(), "a digest");
        assertThat(own.hasPassword(per.id())).isTrue();
        assertThat(own.credentials(address))
                .map(OwnThings.Credentials::passwordHash)
                .contains("a digest");
        new Directory(house.db).left(per.id(), AHouse.NOW);
        assertThat(own.credentials(address)).as("who left").isEmpty();
        own.setPassword(per.id(), null);
        assertThat(own.hasPassword(per.id())).isFalse();
    }

    private UUID mail(Contact to, String subject) {
        UUID id = UUID.randomUUID();
        mails.add(
                new Mails.Mail(id, to.name(), to.email(), subject, "<p>key</p>", "key", AHouse.NOW),
                Optional.of(to.id()));
        mails.keepSaid(
                new Mails.Said(id, AHouse.NOW, subject, List.of("One.", "Two."), "Open it", "/c/panes/1"), to.id());
        return id;
    }

    @Test
    void aMailIsReadAgainOnceItWentOut() {
        UUID id = mail(per, "Sign off: the map");
        mail(jasper, "Sign off: the door");
        assertThat(mails.saidTo(per.id())).as("it waits").isEmpty();
        mails.sent(id, AHouse.NOW);
        assertThat(mails.saidTo(per.id()))
                .containsExactly(new Mails.Said(
                        id, AHouse.NOW, "Sign off: the map", List.of("One.", "Two."), "Open it", "/c/panes/1"));
    }

    private ItemId fileBy(Contact contact) {
        ItemId item = new Items(house.db, AHouse::today)
                .add(house.project, ContentKind.FILES, "walk.pdf", Optional.empty(), AHouse.NOW);
        files.addFile(
                item,
                new Vault.Stored(Sha256.ofText(contact.name()), 4),
                "application/pdf",
                new Actor.OfClient(contact.id(), contact.name()));
        return item;
    }

    private String addedBy(ItemId file) {
        return files.find(file).orElseThrow().addedBy().name();
    }

    @Test
    void whoeverIsForgottenHasNoNameAnywhereAndOthersKeepTheirs() {
        own.keep(per.id(), wishes());
        mails.sent(mail(per, "For Per"), AHouse.NOW);
        ItemId his = fileBy(per);
        ItemId anothers = fileBy(jasper);
        own.askForgetting(per.id(), AHouse.NOW);
        assertThat(own.askForgetting()).containsOnlyKeys(per.id());
        new Forgetting(house.db).forget(per.id(), AHouse.NOW);
        Contact left = new People(house.db).contact(per.id()).orElseThrow();
        assertThat(left.name()).isEqualTo(Forgetting.NAME);
        assertThat(left.email()).doesNotContain("per@");
        assertThat(own.wishes(per.id())).isEqualTo(ContactWishes.NONE);
        assertThat(mails.saidTo(per.id())).isEmpty();
        assertThat(own.askForgetting()).isEmpty();
        assertThat(addedBy(his)).isEqualTo(Forgetting.NAME);
        assertThat(files.find(his).orElseThrow().addedBy().contact()).contains(per.id());
        assertThat(addedBy(anothers)).isEqualTo("jasper");
    }

    @Test
    void whatIsKeptOfThemIsToldWhole() {
        KeptOfContact kept = new KeptOfContact(house.db);
        ContactId nobody = new ContactId(UUID.randomUUID());
        assertThat(kept.since(per.id())).contains(AHouse.NOW);
        assertThat(kept.since(nobody)).isEmpty();
        assertThat(kept.seats(per.id())).isEmpty();
        assertThat(kept.said(per.id())).isEmpty();
        assertThat(kept.given(per.id())).isEmpty();
        assertThat(kept.told(per.id())).isEmpty();
    }

    @Test
    void particularsAreChangedByWhoeverReadThemLast() {
        ClientParticulars all = new ClientParticulars(house.db);
        Actor by = new Actor.OfClient(per.id(), "per");
        assertThat(all.find(per.client())).isEqualTo(Particulars.NONE);
        all.keep(per.client(), new Particulars("The Trustees", "Hill", "", "", 0), by, AHouse.NOW);
        assertThat(all.find(per.client())).isEqualTo(new Particulars("The Trustees", "Hill", "", "", 1));
        assertThatExceptionOfType(Stale.class)
                .isThrownBy(() -> all.keep(per.client(), new Particulars("Late", "", "", "", 0), by, AHouse.NOW));
        all.keep(per.client(), new Particulars("Trust", "Hill", "", "", 1), by, AHouse.NOW);
        assertThatExceptionOfType(Stale.class)
                .isThrownBy(() -> all.keep(per.client(), new Particulars("Late", "", "", "", 1), by, AHouse.NOW));
        assertThat(all.find(per.client()).legalName()).isEqualTo("Trust");
        assertThat(all.lastSaid(per.client()))
                .map(ClientParticulars.LastSaid::by)
                .contains(by);
    }

    @Test
    void aLogoIsKeptFromTheSweepingAsLongAsItIsThere() {
        ClientParticulars all = new ClientParticulars(house.db);
        ClientParticulars.Logo logo = new ClientParticulars.Logo(
                UUID.randomUUID(), per.client(), "mark.svg", Sha256.ofText("mark"), "image/svg+xml", 4);
        all.add(logo, Actor.kept("per"), AHouse.NOW);
        assertThat(all.logos(per.client())).containsExactly(logo);
        assertThat(files.named()).contains(logo.sha256());
        all.drop(logo.id());
        assertThat(all.logos(per.client())).isEmpty();
        assertThat(files.named()).doesNotContain(logo.sha256());
    }
}
