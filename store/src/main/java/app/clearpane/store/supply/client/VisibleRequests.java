package app.clearpane.store.supply.client;

import static app.clearpane.store.schema.Tables.REQUEST;
import static app.clearpane.store.schema.Tables.REQUEST_ASKED;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.falseCondition;
import static org.jooq.impl.DSL.selectOne;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.supply.RequestRows;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;

/** The requests that somebody is asked (rule V6): by name only, once they were sent; whoever has a link has none. */
public final class VisibleRequests {
    private final DSLContext db;

    public VisibleRequests(DSLContext db) {
        this.db = db;
    }

    /** All of them, those sent last first. */
    public List<Request> all(Viewer viewer) {
        return RequestRows.where(db, theirs(viewer));
    }

    /** Those of all panes of one contact, by project. */
    public Map<ProjectId, List<Request>> everywhere(AllPanes all) {
        return RequestRows.where(db, REQUEST.PROJECT_ID.in(all.projects()).and(sentTo(all.contact()))).stream()
                .collect(Collectors.groupingBy(Request::project));
    }

    /** One of them. */
    public Optional<Request> find(Viewer viewer, RequestId id) {
        return RequestRows.where(db, theirs(viewer).and(REQUEST.ID.eq(id))).stream()
                .findFirst();
    }

    private static Condition theirs(Viewer viewer) {
        return viewer.byLink()
                ? falseCondition()
                : REQUEST.PROJECT_ID.eq(viewer.project()).and(sentTo(viewer.contact()));
    }

    private static Condition sentTo(ContactId contact) {
        return REQUEST.SENT_AT
                .isNotNull()
                .and(exists(selectOne()
                        .from(REQUEST_ASKED)
                        .where(REQUEST_ASKED.REQUEST_ID.eq(REQUEST.ID), REQUEST_ASKED.CONTACT_ID.eq(contact))));
    }
}
