package app.clearpane.web.clearance;

import app.clearpane.core.clearance.Clearance;
import app.clearpane.store.deliverable.Round;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.files.Vault;
import app.clearpane.web.deliverable.DeliverableState;
import app.clearpane.web.markup.Clashes;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** May this be released? Reads the facts and lets the core weigh them; the stored bytes are hashed anew each time. */
@Component
class ClearanceOf {
  private final Vault vault;
  private final Clashes clashes;

  ClearanceOf(Vault vault, Clashes clashes) {
    this.clashes = clashes;
    this.vault = vault;
  }

  Clearance of(DeliverableState state) {
    return Clearance.of(new Clearance.Facts(state.round().filter(r -> !r.open()).map(Round::soFar), state.asking(),
        state.current().map(version -> clashes.of(version, state.deliverable().pane(), state.marks()).size()).orElse(0), state.current().filter(this::intact).isPresent()));
  }

  private boolean intact(VersionRow version) {
    try {
      return vault.isIntact(version.sha256());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The round that was signed; empty unless it is. */
  static Optional<Round> signedRound(DeliverableState state) {
    return state.round().filter(r -> !r.open() && r.soFar().agreed());
  }
}
