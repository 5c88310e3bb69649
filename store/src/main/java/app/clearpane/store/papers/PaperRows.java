package app.clearpane.store.papers;

import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.PAPER;
import static app.clearpane.store.schema.Tables.PAPER_RECIPIENT;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.papers.Paper;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;

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
            .convertFrom(rows -> rows.map(Records.mapping(Paper.Recipient::new)));

    private PaperRows() {}

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
                        row.get(PAPER.AMOUNT),
                        row.get(PAPER.DATED_ON),
                        row.get(PAPER.DUE_ON),
                        row.get(PAPER.SHA256),
                        row.get(PAPER.FILE_NAME),
                        row.get(PAPER.MEDIA_TYPE),
                        row.get(PAPER.SIZE_BYTES),
                        row.get(PAPER.MADE_BY),
                        row.get(PAPER.CREATED_AT),
                        row.get(PAPER.SENT_AT),
                        row.get(PAPER.PAID_ON),
                        row.get(PAPER.WITHDRAWN_AT) == null
                                ? Optional.empty()
                                : Optional.of(new Paper.Withdrawal(
                                        row.get(PAPER.WITHDRAWN_AT), row.get(PAPER.WITHDRAW_REASON))),
                        row.get(RECIPIENTS),
                        row.get(PAPER.REVISION),
                        new Paper.Further(row.get(PAPER.CALLED), row.get(PAPER.LINK))));
    }
}
