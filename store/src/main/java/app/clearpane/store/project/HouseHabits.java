package app.clearpane.store.project;

import static app.clearpane.store.schema.Tables.HOUSE_USUAL;
import static app.clearpane.store.schema.Tables.PROSPECT_STEP;
import static app.clearpane.store.schema.Tables.STANDING_NAME;

import app.clearpane.core.project.ProjectState;
import app.clearpane.store.Stale;
import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Records;

/** What the house usually reckons with, and what it calls things. */
public final class HouseHabits {
    private final DSLContext db;

    public HouseHabits(DSLContext db) {
        this.db = db;
    }

    /**
     * What a project begins with. @param currency ISO 4217 @param taxPercent 0 to 100 @param paymentDays days from an
     * invoice's date until it is due
     */
    public record Reckoning(String currency, BigDecimal taxPercent, int paymentDays, int revision) {}

    /** What a project begins with. */
    public Reckoning reckoning() {
        return db.select(HOUSE_USUAL.CURRENCY, HOUSE_USUAL.TAX_PERCENT, HOUSE_USUAL.PAYMENT_DAYS, HOUSE_USUAL.REVISION)
                .from(HOUSE_USUAL)
                .fetchSingle(Records.mapping(Reckoning::new));
    }

    /** Sets it. @throws Stale if it was changed since it was read */
    public void reckon(Reckoning wanted) {
        Stale.unlessOne(
                db.update(HOUSE_USUAL)
                        .set(HOUSE_USUAL.CURRENCY, wanted.currency())
                        .set(HOUSE_USUAL.TAX_PERCENT, wanted.taxPercent())
                        .set(HOUSE_USUAL.PAYMENT_DAYS, wanted.paymentDays())
                        .set(HOUSE_USUAL.REVISION, HOUSE_USUAL.REVISION.plus(1))
                        .where(HOUSE_USUAL.REVISION.eq(wanted.revision()))
                        .execute(),
                "What we usually reckon with");
    }

    /** What states of projects are called here; those that go by their own name are missing. */
    public Map<ProjectState, String> standings() {
        Map<ProjectState, String> names = new EnumMap<>(ProjectState.class);
        db.selectFrom(STANDING_NAME)
                .forEach(row ->
                        names.put(ProjectState.valueOf(row.get(STANDING_NAME.STANDING)), row.get(STANDING_NAME.NAME)));
        return names;
    }

    /** Calls them otherwise. */
    public void nameStandings(Map<ProjectState, String> names) {
        db.deleteFrom(STANDING_NAME).execute();
        names.forEach((standing, name) -> db.insertInto(STANDING_NAME)
                .set(STANDING_NAME.STANDING, standing.name())
                .set(STANDING_NAME.NAME, name)
                .execute());
    }

    /** The steps from a first word to a first project, in order. */
    public List<String> prospectSteps() {
        return db.select(PROSPECT_STEP.NAME)
                .from(PROSPECT_STEP)
                .orderBy(PROSPECT_STEP.POSITION)
                .fetch(PROSPECT_STEP.NAME);
    }

    /** Names them. */
    public void nameProspectSteps(List<String> names) {
        db.deleteFrom(PROSPECT_STEP).execute();
        for (int i = 0; i < names.size(); i++) {
            db.insertInto(PROSPECT_STEP)
                    .set(PROSPECT_STEP.POSITION, i)
                    .set(PROSPECT_STEP.NAME, names.get(i))
                    .execute();
        }
    }
}
