package app.clearpane.core.record;

import app.clearpane.core.people.Actor;
import java.lang.reflect.RecordComponent;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Something that somebody did, as a Record keeps it. Of a record, every component that is not named here is told in the
 * payload, by its name.
 */
public interface Happening {
    /** What was done: what the record is named after, unless it says. */
    default Act act() {
        return NamedAfter.ACT.get(getClass());
    }

    /** Who did it. */
    Actor actor();

    /** What it was done to, by name. */
    String subject();

    /** Whether clients took part in it or were told of it, so that it may be told outside the house. */
    default boolean leavesTheHouse() {
        return act().toldOutside();
    }

    /** What else there is to tell; what is empty is left out. */
    default Map<String, Object> payload() {
        Map<String, Object> payload = new LinkedHashMap<>();
        Set<String> told = Set.of("act", "actor", "subject");
        for (RecordComponent component : getClass().getRecordComponents()) {
            if (!told.contains(component.getName())) {
                Object value = value(component);
                if (value instanceof Optional<?> perhaps) {
                    perhaps.ifPresent(there -> payload.put(component.getName(), there));
                } else {
                    payload.put(component.getName(), value);
                }
            }
        }
        return payload;
    }

    private Object value(RecordComponent component) {
        try {
            return component.getAccessor().invoke(this);
        } catch (ReflectiveOperationException never) {
            throw new IllegalStateException(never);
        }
    }
}
