package app.clearpane.usecases.post;

import java.util.List;

/**
 * What a mail says.
 *
 * @param subject its subject
 * @param paragraphs plain sentences, one paragraph each
 * @param button what following the link does
 * @param link where the button leads
 * @param from who signs
 * @param page the path of the page the link opens, without its key; empty where it opens none of the reader's
 */
public record Letter(String subject, List<String> paragraphs, String button, String link, String from, String page) {
    public Letter {
        paragraphs = List.copyOf(paragraphs);
    }

    /** One whose link opens no page of its reader's. */
    public Letter(String subject, List<String> paragraphs, String button, String link, String from) {
        this(subject, paragraphs, button, link, from, "");
    }

    /** The mail as plain text. */
    String plain(String firstName) {
        return "Hello " + firstName + ",\n\n" + String.join("\n\n", paragraphs) + "\n\n" + button + ":\n" + link
                + "\n\n" + from + "\n";
    }
}
