package app.clearpane.demo;

import jakarta.mail.BodyPart;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A mail that arrived in the post room.
 *
 * @param id its Message-ID without brackets and domain
 */
record Delivered(String id, String name, String address, String subject, String html, String plain, Instant at) {

    /** A reader and how many mails they have. */
    record Reader(String name, String address, int mails) {}

    /** All mails, newest first. */
    static List<Delivered> all(MimeMessage[] messages) throws MessagingException, IOException {
        List<Delivered> all = new ArrayList<>();
        for (MimeMessage message : messages) {
            InternetAddress to = (InternetAddress) message.getRecipients(Message.RecipientType.TO)[0];
            all.add(new Delivered(
                    message.getMessageID().replaceAll("[<>]|@.*", ""),
                    to.getPersonal() == null ? to.getAddress() : to.getPersonal(),
                    to.getAddress(),
                    message.getSubject(),
                    part(message.getContent(), "text/html"),
                    part(message.getContent(), "text/plain"),
                    message.getSentDate().toInstant()));
        }
        all.sort(Comparator.comparing(Delivered::at).reversed());
        return all;
    }

    static List<Reader> readers(List<Delivered> all) {
        Map<String, Reader> readers = new LinkedHashMap<>();
        all.forEach(one -> readers.merge(
                one.address(),
                new Reader(one.name(), one.address(), 1),
                (a, b) -> new Reader(a.name(), a.address(), a.mails() + 1)));
        return List.copyOf(readers.values());
    }

    private static String part(Object content, String type) throws MessagingException, IOException {
        if (content instanceof Multipart parts) {
            for (int i = 0; i < parts.getCount(); i++) {
                BodyPart part = parts.getBodyPart(i);
                String inside =
                        part.isMimeType(type) ? String.valueOf(part.getContent()) : part(part.getContent(), type);
                if (!inside.isEmpty()) {
                    return inside;
                }
            }
        }
        return "";
    }
}
