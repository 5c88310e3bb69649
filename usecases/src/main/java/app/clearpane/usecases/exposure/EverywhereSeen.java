package app.clearpane.usecases.exposure;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Visibility;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Project;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.Words;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What everybody sees at all panes of all projects, before and after something that holds for all of them: what that
 * would change is said before it is done.
 */
@Component
class EverywhereSeen {
    private static final int NAMED = 3;
    private static final int SENTENCES = 8;
    private final Projects projects;
    private final Panes panes;
    private final Items items;
    private final TransactionTemplate trial;
    private final Clock clock;

    EverywhereSeen(Projects projects, Panes panes, Items items, PlatformTransactionManager transactions, Clock clock) {
        this.trial = new TransactionTemplate(transactions);
        this.trial.setPropagationBehavior(TransactionDefinition.PROPAGATION_NESTED);
        this.projects = projects;
        this.panes = panes;
        this.items = items;
        this.clock = clock;
    }

    /**
     * What one person sees at a pane. @param pane its name and that of its project @param names of all items there are
     */
    private record Seen(String pane, Set<ItemId> items, Map<ItemId, String> names) {}

    /**
     * Makes a change within the transaction that is under way.
     *
     * @param sure whether what follows from it was confirmed
     * @param button what confirming does
     * @throws NeedsConfirmation if it was not, and anybody would see more or less; nothing was changed then
     */
    void change(boolean sure, String button, Runnable change) {
        if (!sure) {
            askFirst(button, change);
        }
        change.run();
    }

    /** Tries it and takes it back, within the same transaction. */
    private void askFirst(String button, Runnable change) {
        Map<UUID, Seen> before = all();
        Map<UUID, Seen> after = Objects.requireNonNull(trial.<Map<UUID, Seen>>execute(status -> {
            status.setRollbackOnly();
            change.run();
            return all();
        }));
        List<String> sentences = before.entrySet().stream()
                .flatMap(entry -> differences(entry.getValue(), Objects.requireNonNull(after.get(entry.getKey()))))
                .toList();
        if (!sentences.isEmpty()) {
            List<String> told = new ArrayList<>(sentences.subList(0, Math.min(SENTENCES, sentences.size())));
            if (sentences.size() > SENTENCES) {
                told.add("And " + (sentences.size() - SENTENCES) + " more like these.");
            }
            throw new NeedsConfirmation(told, button);
        }
    }

    private static Stream<String> differences(Seen before, Seen after) {
        List<String> lost = names(
                before, before.items().stream().filter(item -> !after.items().contains(item)));
        List<String> gained = names(
                after, after.items().stream().filter(item -> !before.items().contains(item)));
        return Stream.of(
                        said(before.pane(), "would no longer see", lost),
                        said(before.pane(), "would see at once", gained))
                .flatMap(Optional::stream);
    }

    private static List<String> names(Seen seen, Stream<ItemId> items) {
        return items.map(item -> "“" + seen.names().get(item) + "”").sorted().toList();
    }

    private static Optional<String> said(String pane, String what, List<String> names) {
        if (names.isEmpty()) {
            return Optional.empty();
        }
        List<String> first = names.size() > NAMED + 1
                ? Stream.concat(names.stream().limit(NAMED), Stream.of((names.size() - NAMED) + " more"))
                        .toList()
                : names;
        return Optional.of(pane + " " + what + " " + Words.listed(first) + ".");
    }

    private Map<UUID, Seen> all() {
        Map<UUID, Seen> seen = new LinkedHashMap<>();
        for (Project project : projects.active()) {
            List<Pane> open = panes.withSettings(project.id()).stream()
                    .filter(pane -> pane.publishedAt().isPresent())
                    .toList();
            List<Item> there = open.isEmpty() ? List.of() : items.ofProject(project.id());
            Map<ItemId, String> names = there.stream().collect(Collectors.toMap(Item::id, Item::name));
            open.forEach(pane -> {
                Set<ContactId> people = Stream.concat(
                                Stream.of(new ContactId(new UUID(0, 0))),
                                there.stream().flatMap(item -> item.concerned().stream()))
                        .collect(Collectors.toSet());
                seen.put(
                        pane.id().value(),
                        new Seen(
                                pane.name() + " (" + project.name() + ")",
                                there.stream()
                                        .filter(item -> people.stream().anyMatch(one -> sees(item, pane, one)))
                                        .map(Item::id)
                                        .collect(Collectors.toSet()),
                                names));
            });
        }
        return seen;
    }

    private boolean sees(Item item, Pane pane, ContactId contact) {
        return Visibility.decide(
                        item,
                        pane,
                        Optional.of(new Seat(
                                new SeatId(contact.value()),
                                pane.id(),
                                contact,
                                SeatRole.READER,
                                SeatState.ACCEPTED,
                                false)),
                        clock.instant())
                .visible();
    }
}
