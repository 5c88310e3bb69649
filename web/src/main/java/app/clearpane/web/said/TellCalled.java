package app.clearpane.web.said;

import app.clearpane.store.agency.People;
import app.clearpane.store.markup.MarkupRow;
import app.clearpane.web.House;
import app.clearpane.web.layout.TheAgency;
import app.clearpane.web.post.Letter;
import app.clearpane.web.post.WriteMail;
import app.clearpane.web.security.LinkKeys;
import java.util.List;
import org.springframework.stereotype.Component;

/** Tells people by mail that they were called by name in a note, in the transaction in which it is kept. */
@Component
public class TellCalled {
  private final CallByName callByName;
  private final People people;
  private final LinkKeys keys;
  private final WriteMail mail;
  private final TheAgency agency;
  private final House house;

  TellCalled(CallByName callByName, People people, LinkKeys keys, WriteMail mail, TheAgency agency, House house) {
    this.callByName = callByName;
    this.people = people;
    this.keys = keys;
    this.mail = mail;
    this.agency = agency;
    this.house = house;
  }

  /** Writes to each of them but the one who wrote it. @param mark on which it was said */
  public void of(MarkupRow mark, String said, List<MarkupRow.Reference> called, CallByName.Where where, MarkupRow.Author by) {
    String subject = by.name() + " asks for you: " + where.deliverable().name() + ", " + mark.label();
    List<String> lines = List.of(by.name() + " calls you by name in a note on “" + where.deliverable().name() + "”, " + where.version().called() + ":", "“" + said + "”");
    String at = "?page=" + mark.place().page() + "#mark-" + mark.id();
    called.stream().flatMap(one -> one.member() == null || one.member().equals(by.member()) ? java.util.stream.Stream.empty() : people.member(one.member()).stream()).distinct()
        .forEach(member -> mail.to(member, new Letter(subject, lines, "See it in its place", house.address() + "/t/versions/" + where.version().id() + "/light-table" + at, agency.get().name())));
    called.stream().flatMap(one -> one.contact() == null || one.contact().equals(by.contact()) ? java.util.stream.Stream.empty() : callByName.reads(one.contact(), where).stream()).distinct()
        .forEach(seat -> people.contact(seat.contact()).ifPresent(contact -> mail.to(contact, new Letter(subject, lines, "See it in its place",
            keys.forContact(contact.id(), "/c/panes/" + seat.pane() + "/versions/" + where.version().id() + at), agency.get().name()))));
  }
}
