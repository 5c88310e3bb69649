package app.clearpane.web.security;

import app.clearpane.core.files.Sha256;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TemplateHelper;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Whoever looks at a page. Templates call it {@code here}. */
@Component
public class WhoIsHere implements TemplateHelper {
    private static final int LETTERS = 12;

    @Override
    public String name() {
        return "here";
    }

    /** Tells people of one browser apart without saying who they are; empty for strangers. */
    public String getTag() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who != null && who.getPrincipal() instanceof Person person
                ? Sha256.ofText("kept words of " + person.getName()).hex().substring(0, LETTERS)
                : "";
    }
}
