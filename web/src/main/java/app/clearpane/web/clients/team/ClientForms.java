package app.clearpane.web.clients.team;

import app.clearpane.core.agency.ClientId;
import app.clearpane.store.agency.Directory;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.web.shell.forms.FormStates;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** Forms of clients, each with what it was shown with. */
@Component
class ClientForms implements FormStates, TemplateHelper {
    private final Directory directory;

    ClientForms(Directory directory) {
        this.directory = directory;
    }

    @Override
    public List<FormState> states() {
        return List.of(
                FormState.of(
                        "/t/clients/{client}/relation",
                        "relation",
                        asked -> now(asked, entry -> entry.relation().name())),
                FormState.of("/t/clients/{client}/next", "", asked -> now(asked, entry -> ahead(entry.ahead()))),
                FormState.of("/t/clients/{client}/name", "name", asked -> now(asked, Directory.Entry::name)));
    }

    @Override
    public String name() {
        return "prospects";
    }

    /** What is to come, as a form shows it. */
    public String ahead(Directory.Ahead ahead) {
        return ahead.step() + "; " + ahead.move() + "; " + Objects.toString(ahead.on(), "");
    }

    private Optional<String> now(Asked asked, Function<Directory.Entry, String> said) {
        try {
            return directory.find(ClientId.of(asked.path("client"))).map(said);
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }
}
