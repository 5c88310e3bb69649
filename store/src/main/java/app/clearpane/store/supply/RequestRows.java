package app.clearpane.store.supply;

import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.REQUEST;
import static app.clearpane.store.schema.Tables.REQUEST_ASKED;
import static app.clearpane.store.schema.Tables.REQUEST_PART;
import static app.clearpane.store.schema.Tables.SUPPLIED;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.supply.Leaving;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.Term;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.Records;

/** How requests are read, on either side of the glass: one statement with parts, people and what was supplied. */
public final class RequestRows {
    private static final Field<List<Request.Asked>> ASKED = multiset(select(REQUEST_ASKED.CONTACT_ID, CONTACT.NAME)
                    .from(REQUEST_ASKED)
                    .join(CONTACT)
                    .on(CONTACT.ID.eq(REQUEST_ASKED.CONTACT_ID))
                    .where(REQUEST_ASKED.REQUEST_ID.eq(REQUEST.ID))
                    .orderBy(REQUEST_ASKED.POSITION))
            .as("asked")
            .convertFrom(rows -> rows.map(Records.mapping(Request.Asked::new)));

    private static final Field<List<RequestPart>> PARTS = multiset(select(
                            REQUEST_PART.ID,
                            REQUEST_PART.NAME,
                            REQUEST_PART.TAKES,
                            REQUEST_PART.WANTED,
                            REQUEST_PART.CHECKS,
                            REQUEST_PART.CHOICES,
                            REQUEST_PART.GOOD,
                            REQUEST_PART.BAD)
                    .from(REQUEST_PART)
                    .where(REQUEST_PART.REQUEST_ID.eq(REQUEST.ID))
                    .orderBy(REQUEST_PART.POSITION))
            .as("parts")
            .convertFrom(rows -> rows.map(row -> new RequestPart(
                    row.value1(),
                    row.value2(),
                    row.value3(),
                    row.value4(),
                    SupplyText.checks(row.value5()),
                    SupplyText.choices(row.value6()),
                    row.value7(),
                    row.value8())));

    private static final Field<List<Supplied>> GIVEN = multiset(select(SUPPLIED.fields())
                    .from(SUPPLIED)
                    .where(SUPPLIED.REQUEST_ID.eq(REQUEST.ID))
                    .orderBy(SUPPLIED.GIVEN_AT, SUPPLIED.ID))
            .as("given")
            .convertFrom(rows -> rows.map(RequestRows::supplied));

    private RequestRows() {}

    /** Those that meet a condition on {@code request}, those sent last first and drafts before them. */
    public static List<Request> where(DSLContext db, Condition condition) {
        return db.select(REQUEST.fields())
                .select(ASKED, PARTS, GIVEN)
                .from(REQUEST)
                .where(condition)
                .orderBy(REQUEST.SENT_AT.desc().nullsFirst(), REQUEST.CREATED_AT.desc(), REQUEST.ID)
                .fetch(row -> new Request(
                        row.get(REQUEST.ID),
                        row.get(REQUEST.PROJECT_ID),
                        row.get(REQUEST.TITLE),
                        row.get(REQUEST.WHY),
                        row.get(PARTS),
                        row.get(ASKED),
                        term(row),
                        row.get(REQUEST.MADE_BY),
                        standing(row),
                        row.get(GIVEN),
                        Optional.ofNullable(row.get(REQUEST.GOES_TO_ID)),
                        row.get(REQUEST.REVISION)));
    }

    private static Term term(Record row) {
        LocalDate day = row.get(REQUEST.DUE_ON);
        ItemId before = row.get(REQUEST.DUE_BEFORE_ID);
        if (before != null) {
            return new Term.BeforeStart(before, row.get(REQUEST.DUE_BEFORE_DAYS));
        }
        return day == null ? new Term.WithinDays(row.get(REQUEST.ALLOWANCE_DAYS)) : new Term.ByDay(day);
    }

    private static Request.Standing standing(Record row) {
        Instant withdrawn = row.get(REQUEST.WITHDRAWN_AT);
        if (withdrawn != null) {
            return new Request.Withdrawn(withdrawn, row.get(REQUEST.WITHDRAW_REASON));
        }
        Instant sent = row.get(REQUEST.SENT_AT);
        return sent == null
                ? new Request.Draft(leaving(row))
                : new Request.Sent(sent, row.get(REQUEST.DUE_AT), row.get(REQUEST.HELD_AT));
    }

    private static Optional<Leaving> leaving(Record row) {
        boolean alone = row.get(REQUEST.LEAVES_ALONE);
        UUID phase = row.get(REQUEST.LEAVES_WITH_ID);
        if (phase != null) {
            return Optional.of(new Leaving(new Leaving.WithPhase(phase, row.get(REQUEST.LEAVES_DAYS_BEFORE)), alone));
        }
        return Optional.ofNullable(row.get(REQUEST.LEAVES_ON)).map(day -> new Leaving(new Leaving.OnDay(day), alone));
    }

    private static Supplied supplied(Record row) {
        return new Supplied(
                row.get(SUPPLIED.ID),
                row.get(SUPPLIED.PART_ID),
                row.get(SUPPLIED.SHA256),
                row.get(SUPPLIED.NAME),
                SupplyText.facts(row.get(SUPPLIED.FACTS)),
                Optional.ofNullable(row.get(SUPPLIED.TYPED)),
                new Supplied.Came(row.get(SUPPLIED.GIVEN_BY), row.get(SUPPLIED.GIVEN_AT), row.get(SUPPLIED.DOOR)),
                SupplyText.findings(row.get(SUPPLIED.FINDINGS)),
                Optional.ofNullable(row.get(SUPPLIED.ALL_THE_SAME)),
                settled(row));
    }

    private static Supplied.Standing settled(Record row) {
        Actor by = row.get(SUPPLIED.SETTLED_BY);
        Instant at = row.get(SUPPLIED.SETTLED_AT);
        String words = row.get(SUPPLIED.SETTLED_WORDS);
        return switch (row.get(SUPPLIED.STANDING)) {
            case "ACCEPTED" -> new Supplied.Accepted(by, at, words);
            case "ASKED_AGAIN" -> new Supplied.AskedAgain(by, at, words);
            case StillThere.TAKEN_BACK -> new Supplied.TakenBack(at);
            default -> new Supplied.Arrived();
        };
    }
}
