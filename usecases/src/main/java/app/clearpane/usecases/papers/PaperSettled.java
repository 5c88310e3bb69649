package app.clearpane.usecases.papers;

import app.clearpane.core.papers.PaperId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import java.util.List;

/** All the names that a paper needed are put to it. @param recipients whom it was addressed to */
public record PaperSettled(ProjectId project, PaperId paper, List<String> recipients, Actor by) {}
