package app.clearpane.usecases.said;

import app.clearpane.core.markup.Mark;
import app.clearpane.core.people.Actor;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Tells people by mail that they were called by name in a note, or that what they asked for was answered, in the
 * transaction in which it is kept.
 */
@Component
public class TellCalled {
    private final CallByName callByName;
    private final People people;
    private final LinkKeys keys;
    private final TheAgency agency;
    private final HouseSettings house;
    private final WhoReads whoReads;
    private final WriteWithinHour write;

    TellCalled(
            CallByName callByName,
            People people,
            LinkKeys keys,
            TheAgency agency,
            HouseSettings house,
            WhoReads whoReads,
            WriteWithinHour write) {
        this.write = write;
        this.whoReads = whoReads;
        this.callByName = callByName;
        this.people = people;
        this.keys = keys;
        this.agency = agency;
        this.house = house;
    }

    /** Writes to each of them but the one who wrote it. @param mark on which it was said @param by who called them */
    public void tell(Mark mark, String said, List<Mark.Reference> called, CallByName.Where where, Actor by) {
        String at = "?page=" + mark.place().page() + "#mark-" + mark.id();
        called.stream()
                .flatMap(one -> one.called() instanceof Mark.Called.Member member
                                && !by.member().equals(Optional.of(member.id()))
                        ? people.member(member.id()).stream()
                        : Stream.empty())
                .distinct()
                .filter(member -> write.mayCall(by))
                .forEach(member -> write.tell(
                        new WriteWithinHour.Addressee(member.name(), member.email()),
                        member.id().value(),
                        letter(
                                mark,
                                said,
                                where,
                                by,
                                () -> house.address() + "/t/versions/"
                                        + where.version().id() + "/light-table" + at),
                        where));
        called.stream()
                .flatMap(one -> one.called() instanceof Mark.Called.Contact contact
                                && !by.contact().equals(Optional.of(contact.id()))
                        ? whoReads.reads(contact.id(), where).stream()
                        : Stream.empty())
                .distinct()
                .forEach(seat -> people.contact(seat.contact())
                        .filter(contact -> write.mayCall(by))
                        .ifPresent(contact -> write.tell(
                                new WriteWithinHour.Addressee(contact.name(), contact.email()),
                                contact.id().value(),
                                letter(
                                        mark,
                                        said,
                                        where,
                                        by,
                                        () -> keys.forContact(
                                                contact.id(),
                                                "/c/panes/" + seat.pane() + "/versions/"
                                                        + where.version().id() + at)),
                                where)));
    }

    /**
     * Writes to whoever wrote a mark that it was answered. Whoever was called by name in the answer knows already.
     *
     * @param done what was done to it, as "set it aside"; empty if something was only said
     */
    public void writerOf(
            Mark mark,
            String said,
            Optional<String> done,
            List<Mark.Reference> called,
            CallByName.Where where,
            Actor by) {
        Actor writer = mark.author();
        Optional<Mark.Called> person = Mark.Called.person(writer);
        boolean knows = person.isPresent()
                && called.stream().anyMatch(one -> one.called().equals(person.get()));
        if (writer.isSameAs(by) || knows) {
            return;
        }
        String at = "?page=" + mark.place().page() + "#mark-" + mark.id();
        writer.member()
                .flatMap(people::member)
                .ifPresent(member -> write.tell(
                        new WriteWithinHour.Addressee(member.name(), member.email()),
                        member.id().value(),
                        answered(
                                mark,
                                said,
                                done,
                                where,
                                by,
                                house.address() + "/t/versions/"
                                        + where.version().id() + "/light-table" + at),
                        where));
        writer.contact().flatMap(contact -> whoReads.reads(contact, where)).ifPresent(seat -> people.contact(
                        seat.contact())
                .ifPresent(contact -> write.tell(
                        new WriteWithinHour.Addressee(contact.name(), contact.email()),
                        contact.id().value(),
                        answered(
                                mark,
                                said,
                                done,
                                where,
                                by,
                                keys.forContact(
                                        contact.id(),
                                        "/c/panes/" + seat.pane() + "/versions/"
                                                + where.version().id() + at)),
                        where)));
    }

    private Letter answered(
            Mark mark, String said, Optional<String> done, CallByName.Where where, Actor by, String link) {
        return answered(mark, said, done, where, by, link, agency.get().name());
    }

    /** That a note was answered. @param from who writes */
    static Letter answered(
            Mark mark, String said, Optional<String> done, CallByName.Where where, Actor by, String link, String from) {
        List<String> lines = Stream.of(
                        Optional.of(by.name() + " " + done.map(act -> act + ":").orElse("answered")
                                + " what you noted on “" + where.deliverable().name() + "”, "
                                + where.version().called() + ": “" + mark.note() + "”"),
                        Optional.of(said).filter(words -> !words.isEmpty()).map(words -> "“" + words + "”"))
                .flatMap(Optional::stream)
                .toList();
        return new Letter(
                "Answered: " + where.deliverable().name() + ", " + mark.label(),
                lines,
                "See it in its place",
                link,
                from);
    }

    private Letter letter(Mark mark, String said, CallByName.Where where, Actor by, Supplier<String> link) {
        return new Letter(
                by.name() + " asks for you: " + where.deliverable().name() + ", " + mark.label(),
                List.of(
                        by.name() + " calls you by name in a note on “"
                                + where.deliverable().name() + "”, "
                                + where.version().called() + ":",
                        "“" + said + "”"),
                "See it in its place",
                link.get(),
                agency.get().name());
    }

    /** Whom and what a text calls by name, each once. */
    public List<Mark.Reference> called(String text, CallByName.Where where, Speaker by) {
        return callByName.in(text, where, by);
    }
}
