package app.clearpane.web;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.people.Actor;
import java.nio.charset.StandardCharsets;
import java.util.UUID;

/** Somebody made up who does something in a test. */
public final class Acting {
    private Acting() {}

    /** One of the team; the same name is the same person. */
    public static Actor team(String name) {
        return new Actor.OfTeam(new TeamMemberId(UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8))), name);
    }
}
