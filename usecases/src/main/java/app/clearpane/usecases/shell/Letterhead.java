package app.clearpane.usecases.shell;

import app.clearpane.core.agency.Particulars;
import app.clearpane.core.project.Project;
import app.clearpane.store.agency.ClientParticulars;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Who writes and to whom, at the head of what is drawn up. */
@Component
public class Letterhead {
    private final TheAgency agency;
    private final ClientParticulars particulars;

    Letterhead(TheAgency agency, ClientParticulars particulars) {
        this.agency = agency;
        this.particulars = particulars;
    }

    /** What templates of papers of a project call {@code agency} and {@code particulars}. */
    public Map<String, Object> headOf(Project project) {
        Particulars said = particulars.find(project.client());
        return Map.of("agency", agency.get(), "particulars", said);
    }
}
