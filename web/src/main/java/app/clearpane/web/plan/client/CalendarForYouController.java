package app.clearpane.web.plan.client;

import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.usecases.plan.MakeFeed;
import app.clearpane.web.exposure.client.Through;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;

/** The address of a calendar, for somebody outside. */
@Controller
class CalendarForYouController {
    private final MakeFeed makeFeed;
    private final Viewers viewers;

    CalendarForYouController(MakeFeed makeFeed, Viewers viewers) {
        this.makeFeed = makeFeed;
        this.viewers = viewers;
    }

    /** The answer shows the address of a calendar with what they see here, this once. */
    @PostMapping("/c/panes/{pane}/calendar")
    String calendar(Viewer viewer, Model model) {
        Viewers.Heading heading = viewers.heading(viewer);
        model.addAttribute("address", makeFeed.ofSeat(viewer, heading.project()));
        model.addAttribute("base", Through.base(viewer));
        model.addAttribute("viewer", viewer);
        model.addAttribute("heading", heading);
        return "plan/client/calendar";
    }
}
