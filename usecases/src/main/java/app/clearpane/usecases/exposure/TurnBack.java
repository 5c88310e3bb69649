package app.clearpane.usecases.exposure;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.usecases.shell.NeedsConfirmation;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Brings back to us what waits at a client and can wait there no longer, because it, its pane or its person's seat
 * goes; that is asked first (T1).
 */
@Component
class TurnBack {
    private final List<WaitsAtClient> rooms;

    TurnBack(List<WaitsAtClient> rooms) {
        this.rooms = rooms;
    }

    /**
     * How it is asked and told.
     *
     * @param what would happen, as a sentence
     * @param button what confirming does
     * @param because what is told afterwards, as a sentence
     */
    record Words(String what, String button, String because) {}

    /**
     * Brings it back.
     *
     * @param pane only what would be lost with this pane; empty for all of them
     * @param lost which of it goes
     * @param sure whether that was confirmed
     * @throws NeedsConfirmation if it was not; nothing was changed then
     */
    void bringBack(
            ProjectId project,
            Optional<PaneId> pane,
            Predicate<WaitsAtClient.Waiting> lost,
            Words words,
            boolean sure,
            Actor by) {
        for (WaitsAtClient room : rooms) {
            List<WaitsAtClient.Waiting> these =
                    room.in(project, pane).stream().filter(lost).toList();
            if (!these.isEmpty() && !sure) {
                throw new NeedsConfirmation(
                        List.of(
                                these.stream()
                                                .map(one -> "“" + one.name() + "” waits with " + one.who())
                                                .collect(Collectors.joining(", "))
                                        + ".",
                                words.what()),
                        words.button());
            }
            these.forEach(one -> room.bringBack(one.item(), words.because(), by));
        }
    }
}
