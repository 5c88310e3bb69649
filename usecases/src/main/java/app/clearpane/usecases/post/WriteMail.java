package app.clearpane.usecases.post;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.store.post.Mails;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.jobs.Jobs;
import app.clearpane.usecases.shell.Pages;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Writes a mail into the queue, in the transaction of its cause. */
@Component
public class WriteMail {
    private static final Duration GATHERS_FOR = Duration.ofMinutes(3);
    private final Mails mails;
    private final Jobs jobs;
    private final Pages pages;
    private final HouseSettings house;
    private final HoursOfContacts hours;
    private final Clock clock;

    public WriteMail(Mails mails, Jobs jobs, Pages pages, HouseSettings house, HoursOfContacts hours, Clock clock) {
        this.hours = hours;
        this.house = house;
        this.mails = mails;
        this.jobs = jobs;
        this.pages = pages;
        this.clock = clock;
    }

    /** To a contact, in the hours in which they may be written to. @return the mail's identifier */
    public UUID send(Contact contact, Letter letter) {
        Instant now = clock.instant();
        Instant at = hours.next(contact.id(), now);
        if (at.isAfter(now) && house.mailWaits()) {
            Mails.Mail mail = mail(contact.name(), contact.email(), letter);
            jobs.enqueue(SendMail.NAME, mails.addWaiting(mail, mail.id(), at).toString(), at);
            keep(mail.id(), contact.id(), letter);
            return mail.id();
        }
        return sendNow(contact, letter);
    }

    /** To a contact who waits for it, whatever the hour. @return the mail's identifier */
    public UUID sendNow(Contact contact, Letter letter) {
        UUID id = write(contact.name(), contact.email(), Optional.of(contact.id()), letter);
        keep(id, contact.id(), letter);
        return id;
    }

    private void keep(UUID id, ContactId to, Letter letter) {
        mails.keepSaid(
                new Mails.Said(
                        id, clock.instant(), letter.subject(), letter.paragraphs(), letter.button(), letter.page()),
                to);
    }

    /** To one of the team. */
    public void send(TeamMember member, Letter letter) {
        write(member.name(), member.email(), Optional.empty(), letter);
    }

    /** To somebody who has no seat and is no contact: whoever gets the files of a release. */
    public void toOutside(String name, String address, Letter letter) {
        write(name, address, Optional.empty(), letter);
    }

    /** To one of the team, once what it tells of cannot be taken back any more. @param about what that is */
    public void onceCertain(TeamMember member, Letter letter, UUID about, Instant certain) {
        Instant at = house.mailWaits() ? certain : Instant.EPOCH;
        jobs.enqueue(
                SendMail.NAME,
                mails.addWaiting(mail(member.name(), member.email(), letter), about, at)
                        .toString(),
                at);
    }

    /** To a contact, once what it tells of cannot be taken back any more. @param about what that is */
    public void onceCertain(Contact contact, Letter letter, UUID about, Instant certain) {
        Instant at = house.mailWaits() ? hours.next(contact.id(), certain) : Instant.EPOCH;
        UUID id = mails.addWaiting(mail(contact.name(), contact.email(), letter), about, at);
        keep(id, contact.id(), letter);
        jobs.enqueue(SendMail.NAME, id.toString(), at);
    }

    /**
     * To one of the team, in a few minutes, together with what else happens to the same until then. @param letter what
     * this says; its subject is the mail's @param about what it tells of
     */
    public void gathered(TeamMember member, Letter letter, UUID about) {
        List<String> lines = Stream.concat(
                        mails.linesSoFar(about).stream(),
                        letter.paragraphs().stream().map(line -> line.replace('\n', ' ')))
                .toList();
        mails.drop(about);
        Instant at = house.mailWaits() ? clock.instant().plus(GATHERS_FOR) : Instant.EPOCH;
        UUID id = mails.addWaiting(
                mail(
                        member.name(),
                        member.email(),
                        new Letter(letter.subject(), lines, letter.button(), letter.link(), letter.from())),
                about,
                at);
        mails.keepLines(id, lines);
        jobs.enqueue(SendMail.NAME, id.toString(), at);
    }

    /**
     * To somebody, at an instant, unless it is taken back before and told together with more. @param about what it
     * tells of
     */
    public void together(String name, String address, Letter letter, UUID about, Instant at) {
        jobs.enqueue(
                SendMail.NAME,
                mails.addWaiting(mail(name, address, letter), about, at).toString(),
                at);
    }

    /** Drops what waits to tell of something. @return whether there was any; what has gone out cannot be dropped */
    public boolean takeBack(UUID about) {
        return mails.drop(about);
    }

    /** Where the team signs in, as mails name it. */
    public String signInPage() {
        return house.address() + "/sign-in";
    }

    private UUID write(String name, String address, Optional<ContactId> contact, Letter letter) {
        Mails.Mail mail = mail(name, address, letter);
        jobs.enqueue(SendMail.NAME, mails.add(mail, contact));
        return mail.id();
    }

    private Mails.Mail mail(String name, String address, Letter letter) {
        String first = new Name(name).first();
        return new Mails.Mail(
                UUID.randomUUID(),
                name,
                address,
                letter.subject(),
                pages.render("post/letter", Map.of("letter", letter, "first", first)),
                letter.plain(first),
                clock.instant());
    }
}
