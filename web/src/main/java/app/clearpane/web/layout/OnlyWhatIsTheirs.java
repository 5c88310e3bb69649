package app.clearpane.web.layout;

import app.clearpane.core.agency.TeamRole;
import app.clearpane.web.security.Person;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.server.PathContainer;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.pattern.PathPattern;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.AbstractElementTagProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.templatemode.TemplateMode;

/** Leaves out of every page the forms that would be refused to whoever looks, since what they are sent to is for managers or owners: no template asks for anybody's rights. */
@Component
class OnlyWhatIsTheirs extends AbstractProcessorDialect {
  /** After every other processor of a form, once its address is written. */
  private static final int LAST = 100_000;
  private final ObjectProvider<RequestMappingHandlerMapping> mappings;
  private @Nullable List<Door> doors;

  OnlyWhatIsTheirs(ObjectProvider<RequestMappingHandlerMapping> mappings) {
    super("only what is theirs", null, LAST);
    this.mappings = mappings;
  }

  /** An address to which a form is sent, and the least that one has to be there. */
  private record Door(PathPattern pattern, TeamRole least) {}

  @Override
  public Set<IProcessor> getProcessors(String prefix) {
    return Set.of(new Forms());
  }

  private final class Forms extends AbstractElementTagProcessor {
    private Forms() {
      super(TemplateMode.HTML, null, "form", false, null, false, LAST);
    }

    @Override
    protected void doProcess(ITemplateContext context, IProcessableElementTag form, IElementTagStructureHandler structure) {
      String action = form.getAttributeValue("action");
      if (action != null && "post".equalsIgnoreCase(form.getAttributeValue("method")) && isRefused(action)) {
        structure.removeElement();
      }
    }
  }

  /** The role of whoever looks; empty for anybody but the team. */
  static Optional<TeamRole> role() {
    Authentication who = SecurityContextHolder.getContext().getAuthentication();
    return who != null && who.getPrincipal() instanceof Person.OfTeam member ? Optional.of(member.role()) : Optional.empty();
  }

  private boolean isRefused(String action) {
    Optional<TeamRole> role = role().filter(one -> one != TeamRole.OWNER);
    if (role.isEmpty()) {
      return false;
    }
    PathContainer path = PathContainer.parsePath(action.replaceAll("[?#].*", ""));
    return doors().stream().filter(door -> door.pattern().matches(path)).anyMatch(door -> door.least() == TeamRole.OWNER || !role.get().mayPublish());
  }

  /** Read when the first page is written, once all of them are known. */
  private List<Door> doors() {
    if (doors == null) {
      doors = mappings.stream().flatMap(mapping -> mapping.getHandlerMethods().entrySet().stream()).filter(entry -> entry.getKey().getMethodsCondition().getMethods().contains(RequestMethod.POST))
          .filter(entry -> entry.getValue().hasMethodAnnotation(ForManagers.class) || entry.getValue().hasMethodAnnotation(ForOwners.class))
          .flatMap(entry -> entry.getKey().getPathPatternsCondition() == null ? java.util.stream.Stream.<Door>empty() : entry.getKey().getPathPatternsCondition().getPatterns().stream()
              .map(pattern -> new Door(pattern, entry.getValue().hasMethodAnnotation(ForOwners.class) ? TeamRole.OWNER : TeamRole.MANAGER))).toList();
    }
    return doors;
  }
}
