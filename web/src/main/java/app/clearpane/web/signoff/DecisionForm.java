package app.clearpane.web.signoff;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.signoff.Decision;
import org.jspecify.annotations.Nullable;

/**
 * A decision as it comes from a page.
 *
 * @param sha256 the digest of the version the page showed
 * @param typedName the signer's name as they typed it; needed to sign
 * @param acceptExtra whether a round beyond those included is accepted; missing if it is not
 */
public record DecisionForm(Decision decision, Sha256 sha256, String sentence, String typedName, @Nullable Boolean acceptExtra) {
  /** Whether it accepts what it costs. */
  boolean accepts() {
    return Boolean.TRUE.equals(acceptExtra);
  }
}
