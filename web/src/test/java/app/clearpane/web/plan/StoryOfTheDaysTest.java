package app.clearpane.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.plan.Slip;
import app.clearpane.core.plan.SlipLedger;
import app.clearpane.web.DemoHouse;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The demo tells the same of its plan on whatever day of the week, and in whatever zone, it is started. */
class StoryOfTheDaysTest extends DemoHouse {
    private static final String CENTRE = "Visitor centre";

    @Autowired
    private AsTold told;

    @Test
    void fourDaysLateThreeOfThemTheirsAndOneOurs() {
        SlipLedger ledger = told.ledgers.get(CENTRE);
        assertThat(ledger.sum()).isEqualTo(new Slip(3, 1, 0));
        assertThat(ledger.late()).isEqualTo(4);
        assertThat(told.plans.get(CENTRE).daysAfterAgreed()).isEqualTo(4);
    }

    @Test
    void everyAccountAddsUpToHowLateItsProjectIs() {
        assertThat(told.ledgers).isNotEmpty();
        told.ledgers.forEach((name, ledger) -> assertThat(ledger.late())
                .as(name)
                .isEqualTo(told.plans.get(name).daysAfterAgreed()));
    }
}
