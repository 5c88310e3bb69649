package app.clearpane.store.agency;

import app.clearpane.core.agency.ClientId;

/** An organisation that work is done for, or that helps with it. */
public record Client(ClientId id, String name) {}
