package app.clearpane.core.supply;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * One thing that a request asks for.
 *
 * @param takes in what form it is given
 * @param wanted how many are wanted, at least 1
 * @param checks what each of them is held against as it arrives
 * @param choices what may be chosen from; empty unless one of several is wanted
 * @param good what would be just right, in words; may be empty
 * @param bad what would not do, in words; may be empty
 */
public record RequestPart(
        UUID id,
        String name,
        Takes takes,
        int wanted,
        List<Check> checks,
        List<String> choices,
        String good,
        String bad) {
    public RequestPart {
        if (wanted < 1) {
            throw new IllegalArgumentException("at least one is wanted of each part, got " + wanted);
        }
        checks = List.copyOf(checks);
        choices = List.copyOf(choices);
    }

    /** Whether it is given as a file, and no check fails this one. */
    public boolean allows(FileFacts file) {
        return takes == Takes.FILES
                && checks.stream().noneMatch(check -> check.of(file).fails());
    }

    /** What is asked of each of them, a phrase each; what goes without saying is left out. */
    public List<String> asked() {
        List<String> asked = new ArrayList<>();
        if (takes == Takes.CHOICE) {
            asked.add(takes.words() + " " + String.join(" / ", choices));
        } else if (takes != Takes.FILES) {
            asked.add(takes.words());
        }
        checks.stream().filter(check -> !check.isUnsaid()).map(Check::words).forEach(asked::add);
        return asked;
    }
}
