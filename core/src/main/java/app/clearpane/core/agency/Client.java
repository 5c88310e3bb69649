package app.clearpane.core.agency;

/** An organisation that work is done for, or that helps with it. */
public record Client(ClientId id, String name) {}
