package app.clearpane.web.jobs;

/** Slow work that can be done again without harm. */
public interface Job {
  /** The name it is queued by. */
  String name();

  /** Does it. An exception puts it back for a later try. */
  void run(String about);
}
