package app.clearpane.core.record;

import java.util.Arrays;

/** Which act a record is named after: {@code SeatEnded} after {@link Act#SEAT_ENDED}. */
final class NamedAfter {
    static final ClassValue<Act> ACT = new ClassValue<>() {
        @Override
        protected Act computeValue(Class<?> happening) {
            return Arrays.stream(Act.values())
                    .filter(act -> act.name().replace("_", "").equalsIgnoreCase(happening.getSimpleName()))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException(
                            happening.getSimpleName() + " is named after no act and says none"));
        }
    };

    private NamedAfter() {}
}
