package app.clearpane.store.papers;

import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.PAPER;
import static app.clearpane.store.schema.Tables.PAPER_RECIPIENT;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.signoff.DrawnSignature;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.Records;
import org.jspecify.annotations.Nullable;

/** How papers are read, on either side of the glass. */
public final class PaperRows {
    private static final Field<List<Paper.Recipient>> RECIPIENTS = multiset(select(
                            PAPER_RECIPIENT.CONTACT_ID,
                            CONTACT.NAME,
                            PAPER_RECIPIENT.SEEN_AT,
                            PAPER_RECIPIENT.NAMED_AT,
                            PAPER_RECIPIENT.TYPED_NAME,
                            PAPER_RECIPIENT.DRAWN,
                            PAPER_RECIPIENT.DECLINED_AT,
                            PAPER_RECIPIENT.DECLINED_WHY)
                    .from(PAPER_RECIPIENT)
                    .join(CONTACT)
                    .on(CONTACT.ID.eq(PAPER_RECIPIENT.CONTACT_ID))
                    .where(PAPER_RECIPIENT.PAPER_ID.eq(PAPER.ID))
                    .orderBy(PAPER_RECIPIENT.POSITION))
            .as("recipients")
            .convertFrom(rows -> rows.map(Records.mapping(PaperRows::recipient)));

    private PaperRows() {}

    private static Paper.Recipient recipient(
            ContactId contact,
            String name,
            @Nullable Instant seenAt,
            @Nullable Instant namedAt,
            @Nullable String typedName,
            @Nullable String drawn,
            @Nullable Instant declinedAt,
            @Nullable String declinedWhy) {
        Paper.Answer answer = new Paper.NoAnswer();
        if (namedAt != null && typedName != null) {
            answer = new Paper.Named(namedAt, typedName, DrawnSignature.read(drawn));
        } else if (declinedAt != null && declinedWhy != null) {
            answer = new Paper.Declined(declinedAt, declinedWhy);
        }
        return new Paper.Recipient(contact, name, Optional.ofNullable(seenAt), answer);
    }

    private static Paper.Standing standing(Record row) {
        Instant sentAt = row.get(PAPER.SENT_AT);
        Instant withdrawnAt = row.get(PAPER.WITHDRAWN_AT);
        Paper.Standing standing = sentAt == null
                ? new Paper.Draft()
                : new Paper.Sent(sentAt, Optional.ofNullable(row.get(PAPER.PAID_ON)));
        return withdrawnAt == null
                ? standing
                : new Paper.Withdrawn(standing, withdrawnAt, row.get(PAPER.WITHDRAW_REASON));
    }

    /** Those that meet a condition on {@code paper}, newest first. */
    public static List<Paper> where(DSLContext db, Condition condition) {
        return db.select(PAPER.fields())
                .select(RECIPIENTS)
                .from(PAPER)
                .where(condition)
                .orderBy(PAPER.DATED_ON.desc(), PAPER.CREATED_AT.desc(), PAPER.ID)
                .fetch(row -> new Paper(
                        row.get(PAPER.ID),
                        row.get(PAPER.PROJECT_ID),
                        row.get(PAPER.KIND),
                        row.get(PAPER.NAME),
                        row.get(PAPER.REFERENCE),
                        Optional.ofNullable(row.get(PAPER.AMOUNT)),
                        row.get(PAPER.DATED_ON),
                        Optional.ofNullable(row.get(PAPER.DUE_ON)),
                        row.get(PAPER.SHA256),
                        row.get(PAPER.FILE_NAME),
                        row.get(PAPER.MEDIA_TYPE),
                        row.get(PAPER.SIZE_BYTES),
                        row.get(PAPER.MADE_BY),
                        row.get(PAPER.CREATED_AT),
                        standing(row),
                        row.get(RECIPIENTS),
                        row.get(PAPER.REVISION),
                        new Paper.Further(row.get(PAPER.CALLED), Optional.ofNullable(row.get(PAPER.LINK)))));
    }
}
