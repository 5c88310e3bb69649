package app.clearpane.core.agency;

/** One of the agency's people. */
public record TeamMember(TeamMemberId id, String name, String email, TeamRole role) {}
