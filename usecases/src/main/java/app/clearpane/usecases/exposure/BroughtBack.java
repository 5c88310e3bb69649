package app.clearpane.usecases.exposure;

import app.clearpane.core.project.ProjectId;

/** Something that was deleted in a project is there again. */
public record BroughtBack(ProjectId project) {}
