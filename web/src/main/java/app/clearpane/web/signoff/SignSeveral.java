package app.clearpane.web.signoff;

import app.clearpane.core.signoff.Decision;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.SignedName;
import app.clearpane.usecases.signoff.DecideOnVersion;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Signs several versions at once, or sends them back. */
@Component
public class SignSeveral {
    /** What may be decided of several at once. */
    public static final Set<Decision> IN_BULK = Set.of(Decision.SIGN_OFF, Decision.SEND_BACK);

    private final DecideOnVersion decide;

    SignSeveral(DecideOnVersion decide) {
        this.decide = decide;
    }

    /**
     * Signs several, or sends them back. @throws Refused if nothing was chosen, or to sign no name was typed, or to
     * send back nothing was said
     */
    public DecideOnVersion.Many decide(
            Viewer viewer, List<DecideOnVersion.Pick> picks, Decision decision, String typedName, boolean sure) {
        Input input = new Input();
        input.require(
                !picks.isEmpty(), decision.signs() ? "Tick what you sign first." : "Tick what you send back first.");
        input.require(
                decision.signs()
                        || picks.isEmpty()
                        || !picks.get(0).form().sentence().isBlank(),
                "Say in a sentence what is not right yet: it goes with each of them.");
        input.allGood();
        if (decision.signs()) {
            SignedName.check(typedName, viewer.name(), sure);
        }
        return decide.byMany(viewer, picks, decision);
    }
}
