package app.clearpane.store.agency;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.agency.TeamRole;

/** One of the agency's people. */
public record TeamMember(TeamMemberId id, String name, String email, TeamRole role) {}
