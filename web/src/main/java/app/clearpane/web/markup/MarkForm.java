package app.clearpane.web.markup;

import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import app.clearpane.web.layout.Input;
import app.clearpane.web.layout.Refused;
import java.util.Arrays;

/**
 * A mark as it comes from a page. Numbers are fractions of the sheet; of a rectangle the second pair is its width and height, of an arrow its tip.
 *
 * @param audience "team" keeps it from clients
 */
public record MarkForm(int page, String shape, double x1, double y1, double x2, double y2, String intent, String note, String audience) {
  static final int LONGEST_NOTE = 2_000;

  Place place() {
    try {
      return switch (shape) {
        case "POINT" -> new Place.Point(page, x1, y1);
        case "RECTANGLE" -> new Place.Rectangle(page, x1, y1, x2, y2);
        case "ARROW" -> new Place.Arrow(page, x1, y1, x2, y2);
        default -> throw Refused.because("This kind of mark is not known. Use a point, a rectangle or an arrow.");
      };
    } catch (Place.OutOfRange outside) {
      throw Refused.because("The mark lies outside the sheet. Nothing was saved; place it again.");
    }
  }

  Intent intended() {
    return Arrays.stream(Intent.values()).filter(known -> known.name().equals(intent)).findFirst()
        .orElseThrow(() -> Refused.because("Say what the mark is: a change, a question, an idea, or something to keep."));
  }

  String said() {
    Input input = new Input();
    String said = input.text("The note", note, LONGEST_NOTE);
    input.require(!said.isEmpty(), "Write a note to the mark first.");
    input.allGood();
    return said;
  }

  boolean forTeam() {
    return "team".equals(audience);
  }
}
