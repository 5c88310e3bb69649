package app.clearpane.web.shell.access;

import app.clearpane.core.agency.TeamRole;
import app.clearpane.usecases.security.Person;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.http.server.PathContainer;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.pattern.PathPattern;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.AbstractAttributeTagProcessor;
import org.thymeleaf.processor.element.AbstractElementTagProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * Leaves out of every page the forms that would be refused to whoever looks, since what they are sent to is for
 * managers or owners: no template asks for anybody's rights. What a form also says stays readable: one with
 * {@code data-says} keeps its values, with nothing to press, but for makers from outside; so does any element whose
 * {@code data-says} is such an address. An element whose {@code data-only-for} is such an address is left out whole.
 * Makers from outside are led to nothing that is not there for them.
 */
@Component
public class PermittedForms extends AbstractProcessorDialect {
    /** After every other processor of a form, once its address is written. */
    private static final int LAST = 100_000;

    private static final String SAYS = "data-says";
    private static final String ONLY_FOR = "data-only-for";
    private static final String TO_READ = "onlyToRead";
    private final ObjectProvider<RequestMappingHandlerMapping> mappings;
    private @Nullable List<Door> doors;

    PermittedForms(ObjectProvider<RequestMappingHandlerMapping> mappings) {
        super("only what is theirs", null, LAST);
        this.mappings = mappings;
    }

    /**
     * An address, and who is let in: what is for managers or owners, and for makers from outside. @param asks whether a
     * form is sent there, and not a page looked at
     */
    private record Door(PathPattern pattern, boolean asks, TeamRole least, boolean outside) {
        private boolean refuses(TeamRole role) {
            return role.isOutside() && !outside
                    || role != TeamRole.OWNER
                            && asks
                            && (least == TeamRole.OWNER || least == TeamRole.MANAGER && !role.mayPublish());
        }
    }

    @Override
    public Set<IProcessor> getProcessors(String prefix) {
        Set<IProcessor> all = new LinkedHashSet<>(List.of(new Forms(), new Says(), new OnlyFor(), new Links()));
        for (String control : List.of("input", "select", "textarea", "button", "noscript")) {
            all.add(new Controls(control));
        }
        return all;
    }

    private final class Forms extends AbstractElementTagProcessor {
        private Forms() {
            super(TemplateMode.HTML, null, "form", false, null, false, LAST);
        }

        @Override
        protected void doProcess(
                ITemplateContext context, IProcessableElementTag form, IElementTagStructureHandler structure) {
            String action = form.getAttributeValue("action");
            if (action == null || !"post".equalsIgnoreCase(form.getAttributeValue("method")) || !isRefused(action)) {
                return;
            }
            if (form.hasAttribute(SAYS) && role().filter(TeamRole::isOutside).isEmpty()) {
                structure.removeAttribute("action");
                structure.removeAttribute("method");
                structure.removeAttribute("data-at-once");
                leaveToRead(form, structure);
            } else {
                structure.removeElement();
            }
        }
    }

    private static void leaveToRead(IProcessableElementTag element, IElementTagStructureHandler structure) {
        String written = element.getAttributeValue("class");
        structure.setAttribute("class", written == null ? "to-read" : written + " to-read");
        structure.setLocalVariable(TO_READ, true);
    }

    private final class Says extends AbstractAttributeTagProcessor {
        private Says() {
            super(TemplateMode.HTML, null, null, false, SAYS, false, LAST + 1, false);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag element,
                AttributeName name,
                String address,
                IElementTagStructureHandler structure) {
            if (address != null && !address.isEmpty() && isRefused(address)) {
                leaveToRead(element, structure);
            }
        }
    }

    private final class OnlyFor extends AbstractAttributeTagProcessor {
        private OnlyFor() {
            super(TemplateMode.HTML, null, null, false, ONLY_FOR, false, LAST, true);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag element,
                AttributeName name,
                String address,
                IElementTagStructureHandler structure) {
            if (isRefused(address)) {
                structure.removeElement();
            }
        }
    }

    /** What is typed or pressed, within what is only to be read. */
    private static final class Controls extends AbstractElementTagProcessor {
        private Controls(String element) {
            super(TemplateMode.HTML, null, element, false, null, false, LAST);
        }

        @Override
        protected void doProcess(
                ITemplateContext context, IProcessableElementTag control, IElementTagStructureHandler structure) {
            if (!Boolean.TRUE.equals(context.getVariable(TO_READ))) {
                return;
            }
            String kind = control.getElementCompleteName();
            if (kind.equals("button")
                    || kind.equals("noscript")
                    || "hidden".equals(control.getAttributeValue("type"))) {
                structure.removeElement();
            } else {
                structure.setAttribute("disabled", "disabled");
                structure.removeAttribute("placeholder");
            }
        }
    }

    /** The role of whoever looks; empty for anybody but the team. */
    public static Optional<TeamRole> role() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who != null && who.getPrincipal() instanceof Person.OfTeam member
                ? Optional.of(member.role())
                : Optional.empty();
    }

    /** Whether what is sent to an address would be refused; of a page that takes nothing, whether it would. */
    private boolean isRefused(String action) {
        Optional<TeamRole> role = role().filter(one -> one != TeamRole.OWNER);
        if (role.isEmpty()) {
            return false;
        }
        PathContainer path = PathContainer.parsePath(action.replaceAll("[?#].*", ""));
        List<Door> there =
                doors().stream().filter(door -> door.pattern().matches(path)).toList();
        boolean asks = there.stream().anyMatch(Door::asks);
        return there.stream().filter(door -> door.asks() == asks).anyMatch(door -> door.refuses(role.get()));
    }

    /** Whether a page is not there for a maker from outside. */
    private boolean isShut(String address) {
        PathContainer path = PathContainer.parsePath(address.replaceAll("[?#].*", ""));
        return doors().stream()
                .filter(door -> !door.asks() && door.pattern().matches(path))
                .anyMatch(door -> door.refuses(TeamRole.OUTSIDE));
    }

    /**
     * Links to pages that are not there for makers from outside: their words stay, in places and lists of one's own
     * they are left out.
     */
    private final class Links extends AbstractElementTagProcessor {
        private Links() {
            super(TemplateMode.HTML, null, "a", false, null, false, LAST);
        }

        @Override
        protected void doProcess(
                ITemplateContext context, IProcessableElementTag link, IElementTagStructureHandler structure) {
            String address = link.getAttributeValue("href");
            if (address == null
                    || !address.startsWith("/t")
                    || role().filter(TeamRole::isOutside).isEmpty()
                    || !isShut(address)) {
                return;
            }
            boolean ofAList = Stream.of(context.getElementStack().toArray(IProcessableElementTag[]::new))
                            .anyMatch(around -> around.getElementCompleteName().equals("nav"))
                    || String.valueOf(link.getAttributeValue("class")).contains("button");
            if (ofAList) {
                structure.removeElement();
            } else {
                structure.removeAttribute("href");
            }
        }
    }

    /** Read when the first page is written, once all of them are known. */
    private List<Door> doors() {
        if (doors == null) {
            doors = mappings.stream()
                    .flatMap(mapping -> mapping.getHandlerMethods().entrySet().stream())
                    .filter(entry ->
                            entry.getValue().getBeanType().getPackageName().startsWith("app.clearpane"))
                    .flatMap(entry -> entry.getKey().getPathPatternsCondition() == null
                            ? Stream.<Door>empty()
                            : entry.getKey().getPathPatternsCondition().getPatterns().stream()
                                    .filter(pattern ->
                                            pattern.getPatternString().matches("/t(/.*)?"))
                                    .map(pattern -> door(
                                            pattern,
                                            entry.getKey()
                                                    .getMethodsCondition()
                                                    .getMethods()
                                                    .contains(RequestMethod.POST),
                                            entry.getValue())))
                    .toList();
        }
        return doors;
    }

    private static Door door(PathPattern pattern, boolean asks, HandlerMethod method) {
        TeamRole least = method.hasMethodAnnotation(ForOwners.class)
                ? TeamRole.OWNER
                : method.hasMethodAnnotation(ForManagers.class) ? TeamRole.MANAGER : TeamRole.MAKER;
        return new Door(
                pattern,
                asks,
                least,
                method.hasMethodAnnotation(ForOutsideMakers.class)
                        || AnnotatedElementUtils.hasAnnotation(method.getBeanType(), ForOutsideMakers.class));
    }
}
