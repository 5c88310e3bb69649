package app.clearpane.core.agency;

/**
 * Somebody outside the agency, as a file of addresses tells of them.
 *
 * @param client the organisation they are with; may be empty
 * @param email their mail address, as it stands there; may be empty
 * @param occupation what they do; may be empty
 */
public record Card(String client, String name, String email, String occupation) {}
