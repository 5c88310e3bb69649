package app.clearpane.web.agency.team;

import app.clearpane.usecases.shell.TheAgency;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Printed on the console of a house without an agency: whoever sets it up has to have it, so that nobody who finds the
 * address first can.
 */
@Component
class SetUpCode {
    /** Without what is read for one another. */
    private static final String LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";

    private static final int LENGTH = 12;
    private final String code = new SecureRandom()
            .ints(LENGTH, 0, LETTERS.length())
            .collect(StringBuilder::new, (text, at) -> text.append(LETTERS.charAt(at)), StringBuilder::append)
            .toString();
    private final TheAgency agency;

    SetUpCode(TheAgency agency) {
        this.agency = agency;
    }

    /** After the demo has told its story, which founds an agency. */
    @EventListener(ApplicationReadyEvent.class)
    @Order
    void print() {
        if (!agency.isFounded()) {
            System.out.println("The code for setting it up: " + code);
        }
    }

    /** Whether it was typed, in whatever case and with whatever spaces. */
    boolean isIt(String typed) {
        String plain = typed.replaceAll("\\s", "").toUpperCase(java.util.Locale.ROOT);
        return MessageDigest.isEqual(plain.getBytes(StandardCharsets.UTF_8), code.getBytes(StandardCharsets.UTF_8));
    }
}
