package app.clearpane.web.signoff;

import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.web.layout.Speech;
import org.springframework.stereotype.Component;

/** What decisions are called on screens, in mails and on certificates. Templates call it {@code decisions}. */
@Component
public final class DecisionWords implements Speech {

  @Override
  public String name() {
    return "decisions";
  }

  /** After a name: "Jasper sent back". */
  public static String said(Decision decision) {
    return switch (decision) {
      case SIGN_OFF -> "signed off";
      case SIGN_OFF_WITH_NOTES -> "signed off, with notes,";
      case SEND_BACK -> "sent back";
      case STAND_ASIDE -> "stands aside on";
    };
  }

  /** On its own: "sent back". */
  public static String alone(Decision decision) {
    return switch (decision) {
      case SIGN_OFF -> "signed off";
      case SIGN_OFF_WITH_NOTES -> "signed off with notes";
      case SEND_BACK -> "sent back";
      case STAND_ASIDE -> "stands aside";
    };
  }

  static String subject(Decision decision) {
    return switch (decision) {
      case SIGN_OFF, SIGN_OFF_WITH_NOTES -> "Signed off";
      case SEND_BACK -> "Sent back";
      case STAND_ASIDE -> "Stands aside";
    };
  }

  /** What a round came to. */
  public static String outcome(Outcome outcome) {
    return switch (outcome) {
      case PENDING -> "pending";
      case BACK -> "came back";
      case SIGNED -> "signed off";
      case SIGNED_WITH_NOTES -> "signed off with notes";
      case NOBODY_LEFT -> "nobody left to sign";
    };
  }
}
