package app.clearpane.web.files.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.usecases.files.ShowInPlace;
import app.clearpane.web.shell.forms.FormStates;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** How files stand that the room's forms do away with. */
@Component
class FileForms implements FormStates {
    private final ProjectFiles files;
    private final ShowInPlace showInPlace;

    FileForms(ProjectFiles files, ShowInPlace showInPlace) {
        this.files = files;
        this.showInPlace = showInPlace;
    }

    /** Where a file lies. @param folder the name of its folder; null at the top */
    static String lies(@Nullable String folder) {
        return "in " + Objects.requireNonNullElse(folder, "no folder");
    }

    @Override
    public List<FormState> states() {
        return List.of(
                FormState.of("/t/brand/hosts", "hosts", asked -> Optional.of(showInPlace.hosts())),
                FormState.of("/t/files/{file}/delete", "", asked -> file(asked).map(file -> lies(file.folderName()))));
    }

    private Optional<ProjectFile> file(Asked asked) {
        try {
            return files.find(ItemId.of(asked.path("file")));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }
}
