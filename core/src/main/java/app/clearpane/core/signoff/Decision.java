package app.clearpane.core.signoff;

/** What a signatory may say of a version (R2). */
public enum Decision {
  SIGN_OFF,
  SIGN_OFF_WITH_NOTES,
  SEND_BACK,
  STAND_ASIDE;

  /** Whether this is a sign-off, with notes or without. */
  public boolean signs() {
    return this == SIGN_OFF || this == SIGN_OFF_WITH_NOTES;
  }
}
