package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** All projects on one axis: each phase lies where its days are, and the agreed finish where it was agreed. */
class AxisOfProjectsTest extends DemoHouse {
    /** The year's axis begins so many days back, and is so long. */
    private static final int BACK = 120;

    private static final int DAYS = 400;

    @Autowired
    private TheAgency agency;

    private double x(LocalDate day) {
        return 1_000.0 * ChronoUnit.DAYS.between(agency.today().minusDays(BACK), day) / DAYS;
    }

    @Test
    void everyPhaseLiesWhereItsDaysAre() throws Exception {
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        String page = ines.get("/t/projects?as=time&span=year").body();
        int compared = 0;
        for (Project project : projects.active()) {
            String drawing = page.substring(page.indexOf("/t/projects/" + project.id() + "/plan"));
            drawing = drawing.substring(0, drawing.indexOf("</article>"));
            for (Phase phase : projects.phases(project.id())) {
                List<MatchResult> bars = Pattern.compile(
                                "<title>" + Pattern.quote(phase.name().replace("&", "&amp;"))
                                        + ", [^<]*</title>\\s*<rect class=\"[a-z_]+\"([^>]*)>")
                        .matcher(drawing)
                        .results()
                        .toList();
                double left = Math.max(0, x(phase.startsOn()));
                double right = Math.min(1_000, x(phase.endsOn().plusDays(1)));
                assertThat(bars).as(project.name() + ": " + phase.name()).hasSize(right > left ? 1 : 0);
                if (right > left) {
                    assertThat(number(bars.get(0).group(1), "x")).isCloseTo(left, within(0.01));
                    assertThat(number(bars.get(0).group(1), "width")).isCloseTo(right - left, within(0.01));
                    compared++;
                }
            }
        }
        assertThat(compared).isGreaterThan(5);
    }

    private static double number(String attributes, String name) {
        return Pattern.compile("(?:^|\\s)" + name + "=\"([0-9.E-]+)\"")
                .matcher(attributes)
                .results()
                .findFirst()
                .map(found -> Double.parseDouble(found.group(1)))
                .orElseThrow();
    }
}
