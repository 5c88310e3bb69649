package app.clearpane.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;

/**
 * The steps of a project's tasks: the five stages, and for any of them names of the team's own, which then stand in its
 * place.
 *
 * @param own in their order; every one belongs to a stage, and no two are called the same
 */
public record Steps(List<Step> own) {
    /** The most names that one stage can have. */
    public static final int MOST = 8;
    /** The longest name. */
    public static final int LONGEST = 40;
    /** The stages under their own names. */
    public static final Steps PLAIN = new Steps(List.of());

    /**
     * One of them.
     *
     * @param id of a name of the team's own; empty for a stage itself
     */
    public record Step(Optional<UUID> id, String name, Stage stage) {
        /** How a form says it: the stage, and after a dot the identifier of a name of the team's own. */
        public String value() {
            return stage.name() + id.map(own -> "." + own).orElse("");
        }
    }

    public Steps {
        own = List.copyOf(own);
    }

    /** All steps a task can be at, in order: of a stage its own names, or itself. */
    public List<Step> all() {
        return Arrays.stream(Stage.values())
                .flatMap(stage -> of(stage).stream())
                .toList();
    }

    /** The steps of one stage; never none. */
    public List<Step> of(Stage stage) {
        List<Step> named = own.stream().filter(step -> step.stage() == stage).toList();
        return named.isEmpty() ? List.of(new Step(Optional.empty(), stage.words(), stage)) : named;
    }

    /**
     * The step a task is at.
     *
     * @param kept what it was last said to be at; where that belongs to another stage, or is gone, it is at the first
     *     step of its stage
     */
    public Step at(Stage stage, Optional<UUID> kept) {
        List<Step> possible = of(stage);
        return possible.stream()
                .filter(step -> step.id().isPresent() && step.id().equals(kept))
                .findFirst()
                .orElse(possible.get(0));
    }

    /**
     * The step that a form means, if there is one: what {@link Step#value()} says, or a stage alone for its first step.
     */
    public Optional<Step> read(String value) {
        return all().stream()
                .filter(step ->
                        step.value().equals(value) || step.stage().name().equals(value))
                .findFirst();
    }

    /**
     * Them under other names. A name that stays keeps its identifier; so does one that is alone in being replaced by
     * another in its stage, which was renamed.
     *
     * @param typed by stage; what is missing has none
     * @param fresh makes identifiers
     * @throws IllegalArgumentException saying what is wrong, if a stage has too many, a name is too long, or two are
     *     called the same
     */
    public Steps named(Map<Stage, List<String>> typed, Supplier<UUID> fresh) {
        Set<String> seen = new HashSet<>();
        List<Step> all = new ArrayList<>();
        for (Stage stage : Stage.values()) {
            List<String> names = typed.getOrDefault(stage, List.of()).stream()
                    .map(String::strip)
                    .filter(name -> !name.isEmpty())
                    .toList();
            require(
                    names.size() <= MOST,
                    "“" + stage.words() + "” has " + names.size() + " names; up to " + MOST + " are possible.");
            for (String name : names) {
                require(
                        name.length() <= LONGEST,
                        "“" + name.substring(0, Math.min(name.length(), LONGEST)) + "…” is too long; a step has up to "
                                + LONGEST + " characters.");
                require(
                        seen.add(name.toLowerCase(Locale.ROOT)),
                        "Two steps are called “" + name + "”; give one of them another name.");
            }
            List<Step> before =
                    own.stream().filter(step -> step.stage() == stage).toList();
            List<Step> gone =
                    before.stream().filter(step -> !names.contains(step.name())).toList();
            List<String> added = names.stream()
                    .filter(name ->
                            before.stream().noneMatch(step -> step.name().equals(name)))
                    .toList();
            boolean renamed = gone.size() == 1 && added.size() == 1;
            names.forEach(name -> all.add(new Step(
                    before.stream()
                            .filter(step -> step.name().equals(name))
                            .findFirst()
                            .or(() -> renamed ? Optional.of(gone.get(0)) : Optional.empty())
                            .map(Step::id)
                            .orElseGet(() -> Optional.of(fresh.get())),
                    name,
                    stage)));
        }
        return new Steps(all);
    }

    private static void require(boolean good, String otherwise) {
        if (!good) {
            throw new IllegalArgumentException(otherwise);
        }
    }
}
