package app.clearpane.web.papers.team;

import app.clearpane.core.papers.PaperId;
import app.clearpane.store.papers.Papers;
import app.clearpane.usecases.shell.Words;
import app.clearpane.web.shell.forms.FormStates;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** How papers stand, for forms that change them. */
@Component
class PaperForms implements FormStates {
    private final Papers papers;
    private final Words words;

    PaperForms(Papers papers, Words words) {
        this.papers = papers;
        this.words = words;
    }

    @Override
    public List<FormState> states() {
        return List.of(
                FormState.of("/t/papers/{paper}/paid", "", this::now),
                FormState.of("/t/papers/{paper}/withdraw", "", this::now));
    }

    private Optional<String> now(Asked asked) {
        try {
            return papers.find(PaperId.of(asked.path("paper")))
                    .map(paper -> paper.state(words.today()).name());
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }
}
