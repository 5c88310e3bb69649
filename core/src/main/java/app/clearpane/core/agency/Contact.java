package app.clearpane.core.agency;

/**
 * A person outside the agency.
 *
 * @param occupation what they do there, e.g. "trustee"; may be empty
 */
public record Contact(ContactId id, ClientId client, String name, String email, String occupation) {}
