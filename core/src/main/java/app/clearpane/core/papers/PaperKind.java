package app.clearpane.core.papers;

/** What a paper is, and what its recipients do with it. */
public enum PaperKind {
  /** Agreed to by one of its recipients. */
  PROPOSAL,
  /** Signed by every recipient. */
  CONTRACT,
  /** Paid. */
  INVOICE,
  /** Read. */
  OTHER;

  /** Whether its recipients put their name to it. */
  public boolean takesNames() {
    return this == PROPOSAL || this == CONTRACT;
  }
}
