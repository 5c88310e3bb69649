package app.clearpane.core.agency;

/** What a member of the team may do. Each role may do what the ones after it may. */
public enum TeamRole {
  /** Sets what may ever be shown; may do everything. */
  OWNER,
  /** Opens projects, publishes, sends, releases. */
  MANAGER,
  /** Makes and fixes; sees every project, publishes nothing. */
  MAKER;

  /** Whether this role may open projects, change what a pane shows, send versions and release. */
  public boolean mayPublish() {
    return this != MAKER;
  }
}
