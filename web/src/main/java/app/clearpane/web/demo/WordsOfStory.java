package app.clearpane.web.demo;

import app.clearpane.core.agency.Relation;
import app.clearpane.core.project.AboutPart;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.project.ProjectWords;
import java.time.Clock;
import java.util.UUID;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** What the projects of the story say of themselves, and how the agency stands to its clients. */
@Component
@Profile("demo")
class WordsOfStory {
  private final ProjectWords words;
  private final Directory directory;
  private final Clock clock;

  WordsOfStory(ProjectWords words, Directory directory, Clock clock) {
    this.words = words;
    this.directory = directory;
    this.clock = clock;
  }

  void visitorCentre(ProjectId project) {
    write(project, AboutPart.PURPOSE, "A visitor centre that a ten-year-old finds her way through alone, from the gate to the star hall.", true);
    write(project, AboutPart.INCLUDED, "The star-hall panels, the visitor map, a short film, and the signs between the gate and the dome.", true);
    write(project, AboutPart.EXCLUDED, "Signs on the public road; the county sees to those.", true);
    write(project, AboutPart.MEASURE, "Nobody asks the keeper for the way on the first open evening.", false);
  }

  private void write(ProjectId project, AboutPart part, String text, boolean shown) {
    words.write(project, new ProjectWords.Part(part, text, shown, 0));
  }

  void stands(ProjectId project, String said) {
    words.say(project, new ProjectWords.Said(UUID.randomUUID(), said, People.INES.called().value(), clock.instant(), true));
  }

  void relates(String client, Relation relation) {
    directory.all().stream().filter(one -> one.name().equals(client)).forEach(one -> directory.relate(one.id(), relation));
  }
}
