package app.clearpane.web.security;

import app.clearpane.usecases.security.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/** Lets a contact who is called something else now go on in their session under that name. */
@Component
public class Renamed {
    private final SecurityContextRepository contexts;

    Renamed(SecurityContextRepository contexts) {
        this.contexts = contexts;
    }

    /** Keeps them signed in as who they are, under the name of now. */
    public void keep(Person.OfClient person, HttpServletRequest request, HttpServletResponse response) {
        Authentication renamed = SignedIn.as(person);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(renamed);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
    }
}
