package app.clearpane.store.papers;

import static app.clearpane.store.schema.Tables.PAPER;
import static app.clearpane.store.schema.Tables.PAPER_RECIPIENT;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.DrawnSignature;
import app.clearpane.store.Stale;
import app.clearpane.store.project.WorkedOn;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;

/** The papers of projects, as the team sees them. */
public final class Papers {
    private final DSLContext db;

    public Papers(DSLContext db) {
        this.db = db;
    }

    /** Those of a project, newest first. */
    public List<Paper> ofProject(ProjectId project) {
        return PaperRows.where(db, PAPER.PROJECT_ID.eq(project));
    }

    /** Those of some projects that wait for the client, or for the team since they were declined. */
    public List<Paper> unsettled(Collection<ProjectId> projects, LocalDate today) {
        return PaperRows.where(
                        db,
                        PAPER.PROJECT_ID
                                .in(projects)
                                .and(PAPER.SENT_AT.isNotNull())
                                .and(PAPER.WITHDRAWN_AT.isNull())
                                .and(PAPER.PAID_ON.isNull()))
                .stream()
                .filter(paper -> paper.waits(today) || paper.isBack())
                .toList();
    }

    /**
     * Those of the projects that are worked on that were sent, have a day and are not settled for all we know of money.
     */
    public List<Paper> withADay() {
        return PaperRows.where(
                db,
                PAPER.SENT_AT
                        .isNotNull()
                        .and(PAPER.WITHDRAWN_AT.isNull())
                        .and(PAPER.PAID_ON.isNull())
                        .and(PAPER.DUE_ON.isNotNull())
                        .and(WorkedOn.is(PAPER.PROJECT_ID)));
    }

    /** One of them. */
    public Optional<Paper> find(PaperId id) {
        return PaperRows.where(db, PAPER.ID.eq(id)).stream().findFirst();
    }

    /** Locks one for the rest of the transaction. */
    public void lock(PaperId id) {
        db.select(PAPER.ID).from(PAPER).where(PAPER.ID.eq(id)).forUpdate().fetch();
    }

    /** Adds a draft with its recipients. */
    public void add(Paper paper) {
        db.insertInto(PAPER)
                .set(PAPER.ID, paper.id())
                .set(PAPER.PROJECT_ID, paper.project())
                .set(PAPER.KIND, paper.kind())
                .set(PAPER.NAME, paper.name())
                .set(PAPER.REFERENCE, paper.number())
                .set(PAPER.AMOUNT, paper.amount().orElse(null))
                .set(PAPER.DATED_ON, paper.dated())
                .set(PAPER.DUE_ON, paper.due().orElse(null))
                .set(PAPER.SHA256, paper.sha256())
                .set(PAPER.FILE_NAME, paper.fileName())
                .set(PAPER.MEDIA_TYPE, paper.mediaType())
                .set(PAPER.SIZE_BYTES, paper.size())
                .set(PAPER.MADE_BY, paper.madeBy())
                .set(PAPER.CREATED_AT, paper.createdAt())
                .set(PAPER.REVISION, 1)
                .set(PAPER.CALLED, paper.further().called())
                .set(PAPER.LINK, paper.further().link().orElse(null))
                .execute();
        for (int i = 0; i < paper.recipients().size(); i++) {
            db.insertInto(PAPER_RECIPIENT)
                    .set(PAPER_RECIPIENT.PAPER_ID, paper.id())
                    .set(PAPER_RECIPIENT.CONTACT_ID, paper.recipients().get(i).contact())
                    .set(PAPER_RECIPIENT.POSITION, i)
                    .execute();
        }
    }

    /** Notes that it was sent. @throws Stale if it was sent meanwhile */
    public void sent(PaperId id, Instant now) {
        Stale.unlessOne(
                db.update(PAPER)
                        .set(PAPER.SENT_AT, now)
                        .set(PAPER.REVISION, PAPER.REVISION.plus(1))
                        .where(PAPER.ID.eq(id), PAPER.SENT_AT.isNull())
                        .execute(),
                "The paper");
    }

    /** Notes that it was paid. @throws Stale if it was paid or withdrawn meanwhile */
    public void paid(PaperId id, LocalDate day) {
        Stale.unlessOne(
                db.update(PAPER)
                        .set(PAPER.PAID_ON, day)
                        .set(PAPER.REVISION, PAPER.REVISION.plus(1))
                        .where(PAPER.ID.eq(id), PAPER.PAID_ON.isNull(), PAPER.WITHDRAWN_AT.isNull())
                        .execute(),
                "The paper");
    }

    /** Withdraws it. @throws Stale if it was withdrawn meanwhile */
    public void withdraw(PaperId id, String reason, Instant now) {
        Stale.unlessOne(
                db.update(PAPER)
                        .set(PAPER.WITHDRAWN_AT, now)
                        .set(PAPER.WITHDRAW_REASON, reason)
                        .set(PAPER.REVISION, PAPER.REVISION.plus(1))
                        .where(PAPER.ID.eq(id), PAPER.WITHDRAWN_AT.isNull())
                        .execute(),
                "The paper");
    }

    /** Notes when somebody first opened it. @return whether this was the first time */
    public boolean seen(PaperId id, ContactId contact, Instant now) {
        return db.update(PAPER_RECIPIENT)
                        .set(PAPER_RECIPIENT.SEEN_AT, now)
                        .where(
                                PAPER_RECIPIENT.PAPER_ID.eq(id),
                                PAPER_RECIPIENT.CONTACT_ID.eq(contact),
                                PAPER_RECIPIENT.SEEN_AT.isNull())
                        .execute()
                == 1;
    }

    /** Notes that somebody said no to it, and why. @throws Stale if they did already, or put their name to it */
    public void declined(PaperId id, ContactId contact, String why, Instant now) {
        Stale.unlessOne(
                db.update(PAPER_RECIPIENT)
                        .set(PAPER_RECIPIENT.DECLINED_AT, now)
                        .set(PAPER_RECIPIENT.DECLINED_WHY, why)
                        .where(
                                PAPER_RECIPIENT.PAPER_ID.eq(id),
                                PAPER_RECIPIENT.CONTACT_ID.eq(contact),
                                PAPER_RECIPIENT.NAMED_AT.isNull(),
                                PAPER_RECIPIENT.DECLINED_AT.isNull())
                        .execute(),
                "The paper");
    }

    /**
     * Notes that somebody put their name to it. @param drawn the signature that they drew beside it @throws Stale if
     * they did already
     */
    public void named(PaperId id, ContactId contact, String typedName, Optional<DrawnSignature> drawn, Instant now) {
        Stale.unlessOne(
                db.update(PAPER_RECIPIENT)
                        .set(PAPER_RECIPIENT.NAMED_AT, now)
                        .set(PAPER_RECIPIENT.TYPED_NAME, typedName)
                        .set(
                                PAPER_RECIPIENT.DRAWN,
                                drawn.map(DrawnSignature::text).orElse(null))
                        .setNull(PAPER_RECIPIENT.DECLINED_AT)
                        .setNull(PAPER_RECIPIENT.DECLINED_WHY)
                        .where(
                                PAPER_RECIPIENT.PAPER_ID.eq(id),
                                PAPER_RECIPIENT.CONTACT_ID.eq(contact),
                                PAPER_RECIPIENT.NAMED_AT.isNull())
                        .execute(),
                "The paper");
    }
}
