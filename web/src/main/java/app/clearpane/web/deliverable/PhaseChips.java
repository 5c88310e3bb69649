package app.clearpane.web.deliverable;

import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.usecases.shell.Words;
import org.springframework.stereotype.Component;

/** Where a deliverable is, in a word and a colour. Templates call it {@code chips}. */
@Component
class PhaseChips implements TemplateHelper {
    private final Words words;

    PhaseChips(Words words) {
        this.words = words;
    }

    @Override
    public String name() {
        return "chips";
    }

    /** What stands on a chip. @param colour the class of its colour */
    public record Chip(String colour, String words) {}

    /** The chip of a deliverable. */
    public Chip chip(DeliverableState state) {
        String held = words.held(state.daysHeld());
        return switch (state.phase()) {
            case IN_THE_MAKING -> new Chip("ours", "with us · " + held);
            case WITH_CLIENT -> new Chip("client", "with the client · " + held);
            case WILL_GO_BACK -> new Chip("late", "will go back");
            case CAME_BACK -> new Chip("late", "came back · with us " + held);
            case NOBODY_LEFT -> new Chip("late", "nobody left to sign");
            case RECALLED -> new Chip("late", "recalled · with us " + held);
            case SIGNED -> new Chip("sign", "signed off · to be cleared");
            case RELEASED -> new Chip("done", "released");
        };
    }
}
