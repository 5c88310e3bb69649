package app.clearpane.web.plan;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.store.plan.PlannedTask;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.web.House;
import app.clearpane.web.layout.Input;
import app.clearpane.web.layout.NotThere;
import app.clearpane.web.layout.TheAgency;
import app.clearpane.web.post.Letter;
import app.clearpane.web.post.WriteMail;
import app.clearpane.web.record.Tell;
import app.clearpane.web.security.Person;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What people say of a task. */
@Component
public class SayOfTask {
  private static final int LONGEST = 4_000;
  private final Tasks tasks;
  private final Projects projects;
  private final People people;
  private final WriteMail mail;
  private final House house;
  private final TheAgency agency;
  private final Tell tell;
  private final Clock clock;

  SayOfTask(Tasks tasks, Projects projects, People people, WriteMail mail, House house, TheAgency agency, Tell tell, Clock clock) {
    this.tasks = tasks;
    this.projects = projects;
    this.people = people;
    this.mail = mail;
    this.house = house;
    this.agency = agency;
    this.tell = tell;
    this.clock = clock;
  }

  /** By one of the team. */
  @Transactional
  public void byTeam(ItemId id, String said, boolean teamOnly, Person.OfTeam by) {
    PlannedTask task = NotThere.unless(tasks.find(id));
    tasks.say(id, words(said), teamOnly, new Tasks.Author(by.fullName(), null, by.memberId()), clock.instant());
    if (!teamOnly) {
      tell.of(task.project(), id.value(), new Tell.Happening("task.said", by.fullName(), task.name(), Map.of("said", words(said))));
    }
  }

  /** By somebody of the clients' side, who sees the task. The manager gets a mail. */
  @Transactional
  public void byClient(ItemId id, String said, Viewer viewer) {
    PlannedTask task = NotThere.unless(tasks.find(id));
    String text = words(said);
    tasks.say(id, text, false, new Tasks.Author(viewer.name(), viewer.contact(), null), clock.instant());
    tell.of(task.project(), id.value(), new Tell.Happening("task.said", viewer.name(), task.name(), Map.of("said", text)));
    tellManager(task, viewer.name() + " on “" + task.name() + "”", viewer.name() + " says: “" + text + "”");
  }

  /** Tells the manager of a task's project. */
  void tellManager(PlannedTask task, String subject, String sentence) {
    projects.find(task.project()).map(Project::manager).flatMap(people::member)
        .ifPresent(manager -> mail.to(manager, new Letter(subject, List.of(sentence), "See " + task.name(), house.address() + "/t/tasks/" + task.id(), agency.get().name())));
  }

  private static String words(String said) {
    Input input = new Input();
    String text = input.text("What you say", said, LONGEST);
    input.require(!text.isEmpty(), "Write something first.");
    input.allGood();
    return text;
  }
}
