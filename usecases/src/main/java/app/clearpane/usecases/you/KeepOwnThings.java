package app.clearpane.usecases.you;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.ContactWishes;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.WritingHours;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.HousePicture;
import app.clearpane.store.agency.HousePictures;
import app.clearpane.store.agency.OwnThings;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.brand.KeepPicture;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import java.io.IOException;
import java.io.InputStream;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what contacts say of themselves: what they are called, how they are reached, where they are and when. */
@Component
public class KeepOwnThings {
    private static final int LONGEST_PHONE = 40;
    private static final int HOURS = 24;
    private final People people;
    private final OwnThings own;
    private final HousePictures pictures;
    private final KeepPicture keepPicture;
    private final ReadersWords words;
    private final TheAgency agency;
    private final AuditLog audit;

    KeepOwnThings(
            People people,
            OwnThings own,
            HousePictures pictures,
            KeepPicture keepPicture,
            ReadersWords words,
            TheAgency agency,
            AuditLog audit) {
        this.people = people;
        this.own = own;
        this.pictures = pictures;
        this.keepPicture = keepPicture;
        this.words = words;
        this.agency = agency;
        this.audit = audit;
    }

    /** What a contact has of their own. @param asksForgetting since when they ask to be forgotten */
    public record Mine(
            Contact contact,
            String client,
            ContactWishes wishes,
            boolean password,
            boolean pictured,
            Optional<Instant> asksForgetting) {}

    /** All of it. */
    public Mine find(ContactId id) {
        Contact contact = NotFound.unless(people.contact(id));
        return new Mine(
                contact,
                people.client(contact.client()).orElseThrow().name(),
                own.wishes(id),
                own.hasPassword(id),
                picture(id).isPresent(),
                own.asksForgettingSince(id));
    }

    /** Their photograph. */
    public Optional<HousePicture> picture(ContactId id) {
        return pictures.find(id.value(), HousePictures.Role.FACE);
    }

    /** As it was typed. @param from @param until hours of the day; both empty for always */
    public record Typed(String name, String phone, String zone, String dates, String from, String until) {}

    /**
     * Keeps it.
     *
     * @return what they are called now
     * @throws app.clearpane.usecases.shell.Refused if something of it will not do; nothing was changed then
     */
    @Transactional
    public String change(ContactId id, Typed typed, Actor by) {
        Contact contact = NotFound.unless(people.contact(id));
        Input input = new Input();
        Optional<Name> name = input.name("Your name", typed.name());
        String phone = input.text("The telephone", typed.phone(), LONGEST_PHONE).strip();
        Optional<ZoneId> zone = zone(input, typed.zone());
        Optional<Locale> dates = typed.dates().isBlank() ? Optional.empty() : DateLanguages.find(typed.dates());
        input.require(
                typed.dates().isBlank() || dates.isPresent(),
                "Dates are not written in that language. Choose another.");
        Optional<WritingHours> hours = hours(input, typed.from(), typed.until());
        input.allGood();
        String called = name.orElseThrow().value();
        if (!called.equals(contact.name())) {
            people.changeContact(new Contact(id, contact.client(), called, contact.email(), contact.occupation()));
            audit.appendOfAgency(
                    agency.get().id(),
                    new PeopleActs.ContactChanged(
                            by, called, contact.email(), contact.name() + ", " + contact.email()));
        }
        ContactWishes wishes = new ContactWishes(phone, zone, dates, hours);
        if (!wishes.equals(own.wishes(id))) {
            own.keep(id, wishes);
            audit.appendOfAgency(
                    agency.get().id(), new PeopleActs.ClientChanged(Act.CONTACT_WISHES, by, called, said(wishes)));
        }
        words.changed(id);
        return called;
    }

    private static String said(ContactWishes wishes) {
        return String.join(
                "; ",
                "telephone " + (wishes.phone().isEmpty() ? "none" : wishes.phone()),
                "times " + wishes.zone().map(ZoneId::getId).orElse("as the agency's"),
                "dates " + wishes.dates().map(Locale::toLanguageTag).orElse("as the house writes them"),
                "mail "
                        + wishes.hours()
                                .map(hours -> "from " + hours.from() + " to " + hours.until())
                                .orElse("at any hour"));
    }

    private static Optional<ZoneId> zone(Input input, String typed) {
        if (typed.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(ZoneId.of(typed.strip()));
        } catch (DateTimeException unknown) {
            input.require(
                    false, "No place is known as “" + typed.strip() + "”. Choose one of the list, as Europe/Oslo.");
            return Optional.empty();
        }
    }

    private static Optional<WritingHours> hours(Input input, String from, String until) {
        if (from.isBlank() && until.isBlank()) {
            return Optional.empty();
        }
        Optional<Integer> first = input.number("The hour we may write from", from, 0, HOURS - 1);
        Optional<Integer> last = input.number("The hour we may write until", until, 1, HOURS);
        if (first.isEmpty() || last.isEmpty()) {
            return Optional.empty();
        }
        boolean inOrder = first.get() < last.get();
        input.require(inOrder, "The hours in which we may write begin before they end, as 8 to 18.");
        return inOrder ? Optional.of(new WritingHours(first.get(), last.get())) : Optional.empty();
    }

    /** Keeps their photograph, drawn anew. @throws app.clearpane.usecases.shell.Refused if it is no picture */
    public void keepPicture(ContactId id, String fileName, InputStream content, Actor by) throws IOException {
        keepPicture.keep(id.value(), HousePictures.Role.FACE, "The picture of " + by.name(), fileName, content, by);
    }

    /** Takes their photograph away. */
    public void dropPicture(ContactId id, Actor by) {
        keepPicture.drop(id.value(), HousePictures.Role.FACE, "The picture of " + by.name(), by);
    }
}
