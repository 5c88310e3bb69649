package app.clearpane.web.journey;

import java.io.IOException;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;

/** The whole job in the house of these tests. */
class WholeJobTest extends Journey {
    @Test
    void fromNewProjectToRelease() throws IOException {
        new WholeJob(new WholeJob.House() {
                    @Override
                    public Someone atDesk() {
                        return WholeJobTest.this.atDesk();
                    }

                    @Override
                    public Someone onPhone() {
                        return WholeJobTest.this.onPhone();
                    }

                    @Override
                    public String linkInMail(String address, String subject) {
                        return WholeJobTest.this.linkInMail(address, subject);
                    }

                    @Override
                    public String linkOfTeam(String member) {
                        return WholeJobTest.this.linkOfTeam(member);
                    }

                    @Override
                    public boolean tellsAtOnce() {
                        return true;
                    }

                    @Override
                    public LocalDate today() {
                        return WholeJobTest.this.today();
                    }
                })
                .isDone();
    }
}
