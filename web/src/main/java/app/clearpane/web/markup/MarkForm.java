package app.clearpane.web.markup;

import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.Spots;
import app.clearpane.web.layout.Input;
import app.clearpane.web.layout.Refused;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * A mark as it comes from a page. Numbers are fractions of the sheet; of a rectangle and an ellipse the second pair is its width and height, of an arrow
 * and a line its other end.
 *
 * @param spots of a line drawn by hand, as {@link Spots} writes them; missing for other shapes
 * @param audience "team" keeps it from clients
 */
public record MarkForm(int page, String shape, double x1, double y1, double x2, double y2, @Nullable String spots, String intent, String note, String audience) {
  static final int LONGEST_NOTE = 2_000;

  Place place() {
    try {
      return switch (shape) {
        case "POINT" -> new Place.Point(page, x1, y1);
        case "RECTANGLE" -> new Place.Rectangle(page, x1, y1, x2, y2);
        case "ELLIPSE" -> new Place.Ellipse(page, x1, y1, x2, y2);
        case "LINE" -> new Place.Line(page, x1, y1, x2, y2);
        case "FREEHAND" -> Place.Freehand.drawn(page, Spots.read(spots == null ? "" : spots));
        case "ARROW" -> new Place.Arrow(page, x1, y1, x2, y2);
        default -> throw Refused.because("This kind of mark is not known. Use one of the tools above the sheet.");
      };
    } catch (Place.OutOfRange outside) {
      throw Refused.because("The mark lies outside the sheet, or is a longer line than the %,d spots that one mark may have. Nothing was saved; place it again.".formatted(Place.Freehand.MOST_SPOTS));
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
