package app.clearpane.usecases.house;

import app.clearpane.core.agency.Name;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PhaseTemplate;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.core.supply.UsualSupply;
import app.clearpane.store.project.HouseTemplates;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Makes, changes, copies and drops what projects can be laid out from. */
@Component
public class KeepTemplate {
    private static final int LONGEST_OUTLINE = 8_000;
    private static final int LONGEST_LIST = 4_000;
    private final HouseTemplates templates;
    private final TheAgency agency;
    private final AuditLog audit;
    private final TemplateOfProject ofProject;

    KeepTemplate(HouseTemplates templates, TheAgency agency, AuditLog audit, TemplateOfProject ofProject) {
        this.ofProject = ofProject;
        this.templates = templates;
        this.agency = agency;
        this.audit = audit;
    }

    /** Makes one with a single phase, to be written on. */
    @Transactional
    public UUID makeBlank(String name, Actor by) {
        return keep(
                new PhaseTemplate(
                        named(name, ""),
                        "Delivery",
                        List.of(new PhaseTemplate.Part("Work", 10, List.of())),
                        Map.of(),
                        List.of()),
                by);
    }

    /** Makes one from a project. @throws Refused if it has no phase yet */
    @Transactional
    public UUID makeFrom(ProjectId id, String name, Actor by) {
        PhaseTemplate template = ofProject.read(id);
        return keep(template.called(named(name, template.name())), by);
    }

    private String named(String typed, String otherwise) {
        Input input = new Input();
        Optional<Name> name = input.name("The template", typed.isBlank() ? otherwise : typed);
        input.allGood();
        return unused(name.orElseThrow().value());
    }

    /** A name that no other one has. */
    private String unused(String name) {
        List<String> taken = templates.all().stream()
                .map(kept -> kept.template().name().toLowerCase(java.util.Locale.ROOT))
                .toList();
        String free = name;
        for (int number = 2; taken.contains(free.toLowerCase(java.util.Locale.ROOT)); number++) {
            free = name + " (" + number + ")";
        }
        return free;
    }

    private UUID keep(PhaseTemplate template, Actor by) {
        UUID id = UUID.randomUUID();
        templates.add(id, template);
        audit.appendOfAgency(
                agency.get().id(),
                new PeopleActs.HouseSays(Act.HOUSE_TEMPLATE_KEPT, by, template.name(), template.outline()));
        return id;
    }

    /** Keeps a copy of one beside it. */
    @Transactional
    public UUID copy(UUID id, Actor by) {
        PhaseTemplate template = NotFound.unless(templates.find(id)).template();
        return keep(template.called(unused(template.name())), by);
    }

    /** Changes one. @param typed the names of its steps, by stage */
    @Transactional
    public void change(UUID id, TemplateForm form, Map<String, String> typed, Actor by) {
        HouseTemplates.Kept kept = NotFound.unless(templates.find(id));
        Input input = new Input();
        Optional<Name> name = input.name("The template", form.name());
        Optional<Name> finish = input.name("Its last day", form.finish());
        String outline = input.text("The phases and tasks", form.outline(), LONGEST_OUTLINE);
        List<PhaseTemplate.Part> parts = read(input, () -> PhaseTemplate.read(outline), List.of());
        Map<Stage, List<String>> named = new EnumMap<>(Stage.class);
        Arrays.stream(Stage.values())
                .forEach(stage -> named.put(
                        stage,
                        Arrays.stream(typed.getOrDefault("step-" + stage.name(), "")
                                        .split(","))
                                .map(String::strip)
                                .filter(step -> !step.isEmpty())
                                .toList()));
        read(input, () -> Steps.PLAIN.named(named, UUID::randomUUID), Steps.PLAIN);
        String checklist = input.text("What is looked at", form.checklist(), LONGEST_LIST);
        String folders = input.text("The folders", Objects.requireNonNullElse(form.folders(), ""), LONGEST_LIST);
        String requests = input.text("The requests", Objects.requireNonNullElse(form.requests(), ""), LONGEST_OUTLINE);
        List<String> phases = parts.stream().map(PhaseTemplate.Part::name).toList();
        UsualSupply supply = read(input, () -> UsualSupply.read(folders, requests, phases), UsualSupply.NONE);
        input.require(
                name.isEmpty()
                        || templates.all().stream()
                                .noneMatch(one -> !one.id().equals(id)
                                        && one.template()
                                                .name()
                                                .equalsIgnoreCase(name.get().value())),
                "There is a template “" + form.name().strip() + "” already.");
        input.allGood();
        PhaseTemplate template = new PhaseTemplate(
                name.orElseThrow().value(),
                finish.orElseThrow().value(),
                parts,
                named,
                checklist
                        .lines()
                        .map(String::strip)
                        .filter(line -> !line.isEmpty())
                        .toList(),
                supply);
        templates.change(new HouseTemplates.Kept(kept.id(), template, form.revision()));
        audit.appendOfAgency(
                agency.get().id(),
                new PeopleActs.HouseSays(Act.HOUSE_TEMPLATE_CHANGED, by, template.name(), template.outline()));
    }

    private static <T> T read(Input input, Supplier<T> reader, T otherwise) {
        try {
            return reader.get();
        } catch (IllegalArgumentException wrong) {
            input.require(false, String.valueOf(wrong.getMessage()));
            return otherwise;
        }
    }

    /** Keeps one no longer; projects laid out from it stay. */
    @Transactional
    public void drop(UUID id, int revision, Actor by) {
        HouseTemplates.Kept kept = NotFound.unless(templates.find(id));
        templates.drop(new HouseTemplates.Kept(id, kept.template(), revision));
        audit.appendOfAgency(
                agency.get().id(),
                new PeopleActs.HouseSays(
                        Act.HOUSE_TEMPLATE_DROPPED, by, kept.template().name(), ""));
    }
}
