package app.clearpane.usecases.you;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.formats.agency.OwnFile;
import app.clearpane.store.agency.KeptOfContact;
import app.clearpane.store.agency.Sessions;
import app.clearpane.store.post.Mails;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.TheAgency;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** All that is kept of a contact, as a file for them. */
@Component
public class WhatWeKeep {
    private final KeepOwnThings things;
    private final KeptOfContact kept;
    private final Sessions sessions;
    private final Mails mails;
    private final TheAgency agency;
    private final AuditLog audit;

    WhatWeKeep(
            KeepOwnThings things,
            KeptOfContact kept,
            Sessions sessions,
            Mails mails,
            TheAgency agency,
            AuditLog audit) {
        this.things = things;
        this.kept = kept;
        this.sessions = sessions;
        this.mails = mails;
        this.agency = agency;
        this.audit = audit;
    }

    /** It, as JSON (RFC 8259) in UTF-8; instants are in UTC. Taking it is in the Record. */
    @Transactional
    public byte[] take(ContactId id, Actor by) {
        KeepOwnThings.Mine mine = things.find(id);
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("keptBy", agency.get().name());
        all.put("takenAt", agency.now());
        all.put("person", person(mine));
        all.put("seats", kept.seats(id));
        all.put(
                "signedIn",
                sessions.placesOf("contact:" + id).stream()
                        .map(place -> Map.of(
                                "browser", place.browser(),
                                "address", place.address(),
                                "since", place.since(),
                                "lastSeen", place.lastSeen()))
                        .toList());
        all.put(
                "mails",
                mails.saidTo(id).stream()
                        .map(mail -> Map.of("at", mail.at(), "subject", mail.subject(), "says", mail.paragraphs()))
                        .toList());
        all.put("said", kept.said(id));
        all.put("filesGiven", kept.given(id));
        all.put("record", kept.told(id));
        audit.appendOfAgency(
                agency.get().id(),
                new PeopleActs.ClientChanged(
                        Act.CONTACT_TOOK, by, mine.contact().name(), mine.client()));
        return OwnFile.write(all);
    }

    private Map<String, Object> person(KeepOwnThings.Mine mine) {
        Map<String, Object> person = new LinkedHashMap<>();
        person.put("name", mine.contact().name());
        person.put("mail", mine.contact().email());
        person.put("occupation", mine.contact().occupation());
        person.put("with", mine.client());
        kept.since(mine.contact().id()).ifPresent(since -> person.put("since", since));
        person.put("telephone", mine.wishes().phone());
        mine.wishes().zone().map(ZoneId::getId).ifPresent(zone -> person.put("timeZone", zone));
        mine.wishes().dates().map(Locale::toLanguageTag).ifPresent(tag -> person.put("datesIn", tag));
        mine.wishes().hours().ifPresent(hours -> person.put("mayBeWrittenTo", hours.from() + " to " + hours.until()));
        person.put("photograph", mine.pictured());
        person.put("password", mine.password() ? "kept as a digest only" : "none");
        return person;
    }
}
