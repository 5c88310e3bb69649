package app.clearpane.usecases.post;

import app.clearpane.store.post.Mails;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.jobs.Job;
import app.clearpane.usecases.jobs.Recurrence;
import app.clearpane.usecases.jobs.Recurring;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.UnsupportedEncodingException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.Date;
import java.util.UUID;
import org.springframework.mail.MailException;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.stereotype.Component;

/** Hands a mail to the mail server. */
@Component
public class SendMail implements Job, Recurring {
    public static final String NAME = "send-mail";
    private final Mails mails;
    private final JavaMailSender sender;
    private final HouseSettings house;
    private final Clock clock;

    SendMail(Mails mails, JavaMailSender sender, HouseSettings house, Clock clock) {
        this.mails = mails;
        this.sender = sender;
        this.house = house;
        this.clock = clock;
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public Queue queue() {
        return Queue.MAIL;
    }

    /** For some days, ever more seldom. */
    @Override
    public int tries() {
        return 15;
    }

    @Override
    public void run(String about) {
        mails.unsent(UUID.fromString(about)).ifPresent(mail -> {
            try {
                sender.send(message(mail));
            } catch (MailException | MessagingException | UnsupportedEncodingException e) {
                mails.failed(mail.id(), String.valueOf(e.getMessage()));
                throw new IllegalStateException("mail " + mail.id() + " could not be sent", e);
            }
            mails.sent(mail.id(), clock.instant());
        });
    }

    @Override
    public Recurrence recurrence() {
        return new Recurrence("old mails", "0 27 3 * * *", this::forgetOld);
    }

    /** Links in mails live two weeks; a mail that waited longer holds nothing worth keeping. */
    void forgetOld() {
        mails.forgetWrittenBefore(clock.instant().minus(Duration.ofDays(14)));
    }

    private MimeMessage message(Mails.Mail mail) throws MessagingException, UnsupportedEncodingException {
        MimeMessage message = sender.createMimeMessage();
        MimeMessageHelper helper = new MimeMessageHelper(message, true, StandardCharsets.UTF_8.name());
        helper.setFrom(house.from());
        helper.setTo(new InternetAddress(mail.recipient(), mail.recipientName(), StandardCharsets.UTF_8.name()));
        helper.setSentDate(Date.from(mail.writtenAt()));
        helper.setSubject(mail.subject());
        helper.setText(mail.plain(), mail.html());
        message.setHeader(
                "Message-ID",
                "<" + mail.id() + "@" + house.from().substring(house.from().indexOf('@') + 1) + ">");
        message.setHeader("Auto-Submitted", "auto-generated");
        return message;
    }
}
