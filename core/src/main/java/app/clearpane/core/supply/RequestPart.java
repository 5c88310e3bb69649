package app.clearpane.core.supply;

import java.util.List;
import java.util.UUID;

/**
 * One thing that a request asks for.
 *
 * @param wanted how many are wanted, at least 1
 * @param checks what each of them is held against as it arrives
 * @param good what would be just right, in words; may be empty
 * @param bad what would not do, in words; may be empty
 */
public record RequestPart(UUID id, String name, int wanted, List<Check> checks, String good, String bad) {
    public RequestPart {
        if (wanted < 1) {
            throw new IllegalArgumentException("at least one is wanted of each part, got " + wanted);
        }
        checks = List.copyOf(checks);
    }

    /** Whether no check fails a file. */
    public boolean allows(FileFacts file) {
        return checks.stream().noneMatch(check -> check.of(file).fails());
    }
}
