package app.clearpane.usecases.shell;

import java.util.Map;

/** Sets words where no request is answered: mails, certificates, events. Links in them are written out. */
public interface Pages {
    /** What is written by this name, filled with this. */
    String render(String template, Map<String, Object> model);
}
