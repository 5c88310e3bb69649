package app.clearpane.usecases.said;

import app.clearpane.core.people.Actor;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.post.WriteMail;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Writes to somebody who is called by name: the first of an hour at once, the others together at its end. */
@Component
class WriteWithinHour {
    private final WriteMail mail;
    private final CallsOfTheHour hour;

    WriteWithinHour(WriteMail mail, CallsOfTheHour hour) {
        this.mail = mail;
        this.hour = hour;
    }

    record Addressee(String name, String email) {}

    /** Whether somebody may call others still, within this hour. */
    boolean mayCall(Actor by) {
        return hour.mayCall(by);
    }

    /** The first of an hour at once, the others together at its end. */
    void tell(Addressee whom, UUID id, Letter letter, CallByName.Where where) {
        UUID about = UUID.nameUUIDFromBytes((id + " " + where.deliverable().id()).getBytes(StandardCharsets.UTF_8));
        CallsOfTheHour.Call call = hour.call(about);
        if (call.number() == 1) {
            mail.toOutside(whom.name(), whom.email(), letter);
            return;
        }
        mail.takeBack(about);
        int more = call.number() - 1;
        Letter together = more == 1
                ? letter
                : new Letter(
                        more + " more notes are for you: " + where.deliverable().name(),
                        Stream.concat(
                                        Stream.of("Within an hour you were called by name or answered in " + more
                                                + " more notes on “"
                                                + where.deliverable().name() + "”. The last of them:"),
                                        letter.paragraphs().stream())
                                .toList(),
                        letter.button(),
                        letter.link(),
                        letter.from());
        mail.together(whom.name(), whom.email(), together, about, call.until());
    }
}
