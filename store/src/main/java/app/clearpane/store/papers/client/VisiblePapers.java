package app.clearpane.store.papers.client;

import static app.clearpane.store.schema.Tables.PAPER;
import static app.clearpane.store.schema.Tables.PAPER_RECIPIENT;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.falseCondition;
import static org.jooq.impl.DSL.selectOne;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.papers.PaperRows;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;

/** The papers a viewer sees: those that were sent to them by name (V6). Whoever has only a link sees none. */
public final class VisiblePapers {
    private final DSLContext db;

    public VisiblePapers(DSLContext db) {
        this.db = db;
    }

    /** All of them, newest first. */
    public List<Paper> all(Viewer viewer) {
        return PaperRows.where(db, theirs(viewer));
    }

    /** Those of all panes of one contact, by project. */
    public Map<ProjectId, List<Paper>> everywhere(AllPanes all) {
        return PaperRows.where(db, PAPER.PROJECT_ID.in(all.projects()).and(sentTo(all.contact()))).stream()
                .collect(Collectors.groupingBy(Paper::project));
    }

    /** One of them. */
    public Optional<Paper> find(Viewer viewer, PaperId id) {
        return PaperRows.where(db, theirs(viewer).and(PAPER.ID.eq(id))).stream().findFirst();
    }

    private static Condition theirs(Viewer viewer) {
        return viewer.byLink()
                ? falseCondition()
                : PAPER.PROJECT_ID.eq(viewer.project()).and(sentTo(viewer.contact()));
    }

    private static Condition sentTo(ContactId contact) {
        return PAPER.SENT_AT
                .isNotNull()
                .and(exists(selectOne()
                        .from(PAPER_RECIPIENT)
                        .where(PAPER_RECIPIENT.PAPER_ID.eq(PAPER.ID), PAPER_RECIPIENT.CONTACT_ID.eq(contact))));
    }
}
