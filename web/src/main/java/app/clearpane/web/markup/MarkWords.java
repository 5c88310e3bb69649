package app.clearpane.web.markup;

import app.clearpane.core.compare.Touch;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;

/** What marks are called on screens. */
public final class MarkWords {
  private MarkWords() {}

  /** How far a mark is. */
  public static String progress(MarkupProgress progress) {
    return switch (progress) {
      case OPEN -> "open";
      case TAKEN_ON -> "taken on";
      case FIXED -> "fixed";
      case CONFIRMED -> "confirmed";
      case SET_ASIDE -> "set aside";
      case WITHDRAWN -> "withdrawn";
    };
  }

  /** What a mark wants. */
  public static String intent(Intent intent) {
    return switch (intent) {
      case CHANGE -> "change";
      case QUESTION -> "question";
      case IDEA -> "idea";
      case KEEP -> "keep";
    };
  }

  /** What was done, after a name: "Teo took it on". */
  public static String done(MarkupProgress.Act act) {
    return switch (act) {
      case TAKE_ON -> "took it on";
      case FIX -> "fixed it";
      case SET_ASIDE -> "set it aside";
      case CONFIRM -> "confirmed it";
      case REOPEN -> "reopened it";
      case WITHDRAW -> "withdrew it";
    };
  }

  /** What became of a mark's place on the next version. */
  static String touch(Touch touch) {
    return switch (touch.kind()) {
      case TOUCHED -> "changed here";
      case NEARBY -> "changed nearby";
      case UNTOUCHED -> "nothing changed here";
    };
  }

  /** What a button says. */
  static String button(MarkupProgress.Act act) {
    return switch (act) {
      case TAKE_ON -> "Take on";
      case FIX -> "Fixed";
      case SET_ASIDE -> "Set aside";
      case CONFIRM -> "Confirm";
      case REOPEN -> "Reopen";
      case WITHDRAW -> "Withdraw";
    };
  }
}
