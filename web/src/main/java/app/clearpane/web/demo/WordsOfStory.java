package app.clearpane.web.demo;

import app.clearpane.core.agency.Relation;
import app.clearpane.core.project.AboutPart;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.Directory;
import app.clearpane.web.about.SayOfProject;
import app.clearpane.web.clients.KeepClient;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** What the projects of the story say of themselves, and how the agency stands to its clients. */
@Component
@Profile("demo")
class WordsOfStory {
  private final Cast cast;
  private final SayOfProject say;
  private final KeepClient keep;
  private final Directory directory;

  WordsOfStory(Cast cast, SayOfProject say, KeepClient keep, Directory directory) {
    this.cast = cast;
    this.say = say;
    this.keep = keep;
    this.directory = directory;
  }

  void visitorCentre(ProjectId project) {
    say.write(project, AboutPart.PURPOSE, "A visitor centre that a ten-year-old finds her way through alone, from the gate to the star hall.", true, 0, cast.by(People.INES));
    say.write(project, AboutPart.INCLUDED, "The star-hall panels, the visitor map, a short film, and the signs between the gate and the dome.", true, 0, cast.by(People.INES));
    say.write(project, AboutPart.EXCLUDED, "Signs on the public road; the county sees to those.", true, 0, cast.by(People.INES));
    say.write(project, AboutPart.MEASURE, "Nobody asks the keeper for the way on the first open evening.", false, 0, cast.by(People.INES));
  }

  void stands(ProjectId project, String words) {
    say.say(project, words, true, cast.by(People.INES));
  }

  void relates(String client, Relation relation) {
    directory.all().stream().filter(one -> one.name().equals(client)).forEach(one -> keep.relate(one.id(), relation, cast.by(People.INES)));
  }
}
