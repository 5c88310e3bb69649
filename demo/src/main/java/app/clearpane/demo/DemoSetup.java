package app.clearpane.demo;

import app.clearpane.usecases.jobs.QueueTime;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import java.time.Instant;
import java.util.Map;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.JavaMailSenderImpl;

/** What stands in for the outside world in the demo: a mail server of its own, and a clock that can be set back. */
class DemoSetup {

    /** @param now the instant at which the demo begins, as ISO 8601 writes it; empty for the real one */
    DemoClock demoClock(String now) {
        return new DemoClock(now.isEmpty() ? Instant.now() : Instant.parse(now));
    }

    QueueTime queueTime(DemoClock clock) {
        return clock::present;
    }

    GreenMail world() {
        GreenMail world = new GreenMail(new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        world.start();
        return world;
    }

    JavaMailSender toTheWorld(GreenMail world, int elsewhere) {
        JavaMailSenderImpl sender = new JavaMailSenderImpl();
        sender.setHost("127.0.0.1");
        sender.setPort(elsewhere > 0 ? elsewhere : world.getSmtp().getPort());
        sender.getJavaMailProperties()
                .putAll(Map.of(
                        "mail.smtp.connectiontimeout",
                        "10000",
                        "mail.smtp.timeout",
                        "20000",
                        "mail.smtp.writetimeout",
                        "20000"));
        return sender;
    }
}
