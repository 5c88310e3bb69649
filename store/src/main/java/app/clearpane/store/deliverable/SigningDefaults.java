package app.clearpane.store.deliverable;

import static app.clearpane.store.schema.Tables.HOUSE_USUAL;
import static app.clearpane.store.schema.Tables.PROJECT_SIGNING;

import app.clearpane.core.deliverable.Allowance;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.SigningTerms;
import app.clearpane.store.Stale;
import java.util.List;
import org.jooq.DSLContext;

/** How signing usually goes in each project: what a new deliverable begins with. */
public final class SigningDefaults {
    private final DSLContext db;

    public SigningDefaults(DSLContext db) {
        this.db = db;
    }

    /**
     * A project's usual terms.
     *
     * @param checklist what is looked at before anything is released, line by line
     * @param revision 0 while nothing was set
     */
    public record Usual(ProjectId project, SigningTerms terms, List<String> checklist, int revision) {
        public Usual {
            checklist = List.copyOf(checklist);
        }

        /** The checklist as it is typed. */
        public String lines() {
            return String.join("\n", checklist);
        }
    }

    /** A project's usual terms; those every project begins with while nothing was set. */
    public Usual usualOf(ProjectId project) {
        return db.selectFrom(PROJECT_SIGNING)
                .where(PROJECT_SIGNING.PROJECT_ID.eq(project))
                .fetchOptional(row -> new Usual(
                        project,
                        new SigningTerms(
                                RuleColumns.rule(row.get(PROJECT_SIGNING.RULE), row.get(PROJECT_SIGNING.RULE_LEAST)),
                                row.get(PROJECT_SIGNING.REVIEW_DAYS),
                                new Allowance(
                                        row.get(PROJECT_SIGNING.ROUNDS_INCLUDED), row.get(PROJECT_SIGNING.EXTRA_FEE))),
                        row.get(PROJECT_SIGNING.CHECKLIST).lines().toList(),
                        row.get(PROJECT_SIGNING.REVISION)))
                .orElseGet(() -> new Usual(project, house().terms(), List.of(), 0));
    }

    /** The house's usual terms. */
    public record House(SigningTerms terms, int revision) {}

    /** The house's usual terms: what a project's are while it has none of its own. */
    public House house() {
        return db.selectFrom(HOUSE_USUAL)
                .fetchSingle(row -> new House(
                        new SigningTerms(
                                RuleColumns.rule(row.get(HOUSE_USUAL.RULE), row.get(HOUSE_USUAL.RULE_LEAST)),
                                row.get(HOUSE_USUAL.REVIEW_DAYS),
                                new Allowance(row.get(HOUSE_USUAL.ROUNDS_INCLUDED), row.get(HOUSE_USUAL.EXTRA_FEE))),
                        row.get(HOUSE_USUAL.REVISION)));
    }

    /**
     * Sets them; projects with terms of their own stay as they are. @throws Stale if they were changed since they were
     * read
     */
    public void setHouse(House wanted) {
        SigningTerms terms = wanted.terms();
        Stale.unlessOne(
                db.update(HOUSE_USUAL)
                        .set(HOUSE_USUAL.RULE, terms.rule().keptAs())
                        .set(HOUSE_USUAL.RULE_LEAST, RuleColumns.least(terms.rule()))
                        .set(HOUSE_USUAL.REVIEW_DAYS, terms.reviewDays())
                        .set(HOUSE_USUAL.ROUNDS_INCLUDED, terms.allowance().rounds())
                        .set(HOUSE_USUAL.EXTRA_FEE, terms.allowance().fee())
                        .set(HOUSE_USUAL.REVISION, HOUSE_USUAL.REVISION.plus(1))
                        .where(HOUSE_USUAL.REVISION.eq(wanted.revision()))
                        .execute(),
                "How signing usually goes");
    }

    /** Sets them. @throws Stale if they were changed since they were read */
    public void set(Usual wanted) {
        SigningTerms terms = wanted.terms();
        if (wanted.revision() == 0) {
            Stale.unlessOne(
                    db.insertInto(PROJECT_SIGNING)
                            .set(PROJECT_SIGNING.PROJECT_ID, wanted.project())
                            .set(PROJECT_SIGNING.RULE, terms.rule().keptAs())
                            .set(PROJECT_SIGNING.RULE_LEAST, RuleColumns.least(terms.rule()))
                            .set(PROJECT_SIGNING.REVIEW_DAYS, terms.reviewDays())
                            .set(
                                    PROJECT_SIGNING.ROUNDS_INCLUDED,
                                    terms.allowance().rounds())
                            .set(PROJECT_SIGNING.EXTRA_FEE, terms.allowance().fee())
                            .set(PROJECT_SIGNING.CHECKLIST, String.join("\n", wanted.checklist()))
                            .set(PROJECT_SIGNING.REVISION, 1)
                            .onConflictDoNothing()
                            .execute(),
                    "How signing goes here");
        } else {
            Stale.unlessOne(
                    db.update(PROJECT_SIGNING)
                            .set(PROJECT_SIGNING.RULE, terms.rule().keptAs())
                            .set(PROJECT_SIGNING.RULE_LEAST, RuleColumns.least(terms.rule()))
                            .set(PROJECT_SIGNING.REVIEW_DAYS, terms.reviewDays())
                            .set(
                                    PROJECT_SIGNING.ROUNDS_INCLUDED,
                                    terms.allowance().rounds())
                            .set(PROJECT_SIGNING.EXTRA_FEE, terms.allowance().fee())
                            .set(PROJECT_SIGNING.CHECKLIST, String.join("\n", wanted.checklist()))
                            .set(PROJECT_SIGNING.REVISION, PROJECT_SIGNING.REVISION.plus(1))
                            .where(
                                    PROJECT_SIGNING.PROJECT_ID.eq(wanted.project()),
                                    PROJECT_SIGNING.REVISION.eq(wanted.revision()))
                            .execute(),
                    "How signing goes here");
        }
    }
}
