package app.clearpane.core.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.files.Sha256;

/**
 * A decision as somebody tries to make it.
 *
 * @param by who decides
 * @param decision what they say
 * @param named the digest of the version their page showed
 * @param sentence their words; empty if none
 */
public record Attempt(ContactId by, Decision decision, Sha256 named, String sentence) {}
