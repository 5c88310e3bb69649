package app.clearpane.web.exposure.client;

import app.clearpane.core.viewer.Viewer;
import java.util.Locale;

/** Where the pages of a viewer's pane begin. */
public final class Through {
    private Through() {}

    /**
     * {@code /c/panes/…} for the viewer themselves, {@code /t/look/…} for one of the team who looks through their seat.
     */
    public static String base(Viewer viewer) {
        return viewer.looking()
                ? "/t/look/" + viewer.seat() + "/"
                        + viewer.sight().name().toLowerCase(Locale.ROOT).replace('_', '-')
                : "/c/panes/" + viewer.pane();
    }
}
