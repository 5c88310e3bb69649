package app.clearpane.store.project;

import static app.clearpane.store.schema.Tables.HOUSE_TEMPLATE;

import app.clearpane.core.plan.PhaseTemplate;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.supply.UsualSupply;
import app.clearpane.store.Stale;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Record;

/** The templates that the house keeps. */
public final class HouseTemplates {
    private final DSLContext db;

    public HouseTemplates(DSLContext db) {
        this.db = db;
    }

    /** One of them. */
    public record Kept(UUID id, PhaseTemplate template, int revision) {
        /** What a stage's steps are called, as it is typed. */
        public String steps(Stage stage) {
            return String.join(", ", template.steps().getOrDefault(stage, List.of()));
        }

        /** What is looked at before a release, as it is typed. */
        public String checklist() {
            return String.join("\n", template.checklist());
        }
    }

    /** All of them, by name. */
    public List<Kept> all() {
        return db.selectFrom(HOUSE_TEMPLATE)
                .orderBy(HOUSE_TEMPLATE.NAME, HOUSE_TEMPLATE.ID)
                .fetch(HouseTemplates::kept);
    }

    /** One of them. */
    public Optional<Kept> find(UUID id) {
        return db.selectFrom(HOUSE_TEMPLATE).where(HOUSE_TEMPLATE.ID.eq(id)).fetchOptional(HouseTemplates::kept);
    }

    private static Kept kept(Record row) {
        List<PhaseTemplate.Part> parts = PhaseTemplate.read(row.get(HOUSE_TEMPLATE.OUTLINE));
        Map<Stage, List<String>> steps = new EnumMap<>(Stage.class);
        row.get(HOUSE_TEMPLATE.STEPS)
                .lines()
                .map(line -> line.split(": ", 2))
                .forEach(line -> steps.put(Stage.valueOf(line[0]), Arrays.asList(line[1].split(", "))));
        return new Kept(
                row.get(HOUSE_TEMPLATE.ID),
                new PhaseTemplate(
                        row.get(HOUSE_TEMPLATE.NAME),
                        row.get(HOUSE_TEMPLATE.FINISH),
                        parts,
                        steps,
                        row.get(HOUSE_TEMPLATE.CHECKLIST).lines().toList(),
                        UsualSupply.read(
                                row.get(HOUSE_TEMPLATE.FOLDERS),
                                row.get(HOUSE_TEMPLATE.REQUESTS),
                                parts.stream().map(PhaseTemplate.Part::name).toList())),
                row.get(HOUSE_TEMPLATE.REVISION));
    }

    /** Keeps another one. */
    public void add(UUID id, PhaseTemplate template) {
        db.insertInto(HOUSE_TEMPLATE)
                .set(HOUSE_TEMPLATE.ID, id)
                .set(HOUSE_TEMPLATE.NAME, template.name())
                .set(HOUSE_TEMPLATE.FINISH, template.finish())
                .set(HOUSE_TEMPLATE.OUTLINE, template.outline())
                .set(HOUSE_TEMPLATE.STEPS, steps(template))
                .set(HOUSE_TEMPLATE.CHECKLIST, String.join("\n", template.checklist()))
                .set(HOUSE_TEMPLATE.FOLDERS, template.supply().typedFolders())
                .set(HOUSE_TEMPLATE.REQUESTS, template.supply().typedRequests())
                .set(HOUSE_TEMPLATE.REVISION, 1)
                .execute();
    }

    /** Changes one. @throws Stale if it was changed since it was read */
    public void change(Kept wanted) {
        PhaseTemplate template = wanted.template();
        Stale.unlessOne(
                db.update(HOUSE_TEMPLATE)
                        .set(HOUSE_TEMPLATE.NAME, template.name())
                        .set(HOUSE_TEMPLATE.FINISH, template.finish())
                        .set(HOUSE_TEMPLATE.OUTLINE, template.outline())
                        .set(HOUSE_TEMPLATE.STEPS, steps(template))
                        .set(HOUSE_TEMPLATE.CHECKLIST, String.join("\n", template.checklist()))
                        .set(HOUSE_TEMPLATE.FOLDERS, template.supply().typedFolders())
                        .set(HOUSE_TEMPLATE.REQUESTS, template.supply().typedRequests())
                        .set(HOUSE_TEMPLATE.REVISION, HOUSE_TEMPLATE.REVISION.plus(1))
                        .where(HOUSE_TEMPLATE.ID.eq(wanted.id()), HOUSE_TEMPLATE.REVISION.eq(wanted.revision()))
                        .execute(),
                template.name());
    }

    /** Keeps one no longer. @throws Stale if it was changed since it was read */
    public void drop(Kept read) {
        Stale.unlessOne(
                db.deleteFrom(HOUSE_TEMPLATE)
                        .where(HOUSE_TEMPLATE.ID.eq(read.id()), HOUSE_TEMPLATE.REVISION.eq(read.revision()))
                        .execute(),
                read.template().name());
    }

    private static String steps(PhaseTemplate template) {
        return template.steps().entrySet().stream()
                .filter(entry -> !entry.getValue().isEmpty())
                .sorted(Map.Entry.comparingByKey())
                .map(entry -> entry.getKey().name() + ": " + String.join(", ", entry.getValue()))
                .collect(Collectors.joining("\n"));
    }
}
