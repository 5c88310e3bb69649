package app.clearpane.usecases.markup;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.StandIn;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.StandIns;
import app.clearpane.usecases.shell.TheAgency;
import com.github.benmanes.caffeine.cache.CacheLoader;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** For whom a viewer decides: for themselves, or for a signatory who is away. */
@Component
public class SigningFor {
    private static final Duration KEPT = Duration.ofSeconds(30);
    private static final int PROJECTS = 1_000;
    private final TheAgency agency;
    private final LoadingCache<ProjectId, List<StandIn>> known;

    SigningFor(StandIns standIns, TheAgency agency) {
        this.agency = agency;
        this.known = Caffeine.newBuilder()
                .maximumSize(PROJECTS)
                .expireAfterWrite(KEPT)
                .build(CacheLoader.bulk(projects -> {
                    Map<ProjectId, List<StandIn>> found = standIns.ofProjects(projects);
                    return projects.stream()
                            .collect(Collectors.toMap(
                                    project -> project, project -> found.getOrDefault(project, List.of())));
                }));
    }

    /** Reads who stands in for whom in all of these projects at once, for what is asked of them next. */
    public void readAhead(Collection<ProjectId> projects) {
        known.getAll(projects);
    }

    /** Reads anew who stands in for whom in a project. */
    public void changed(ProjectId project) {
        known.invalidate(project);
    }

    /** Whose decision a viewer would make in a round; whoever came by a link, only their own. */
    public ContactId signer(Viewer viewer, Round round) {
        return viewer.byLink()
                ? viewer.contact()
                : round.panel()
                        .signer(
                                viewer.contact(),
                                StandIn.of(viewer.contact(), agency.today(), known.get(viewer.project())),
                                round.decisions());
    }

    /** Who decides for a signatory today. */
    public ContactId deciding(ProjectId project, ContactId signatory) {
        return StandIn.deciding(signatory, agency.today(), known.get(project));
    }

    /** The signatory a viewer would decide for in a round, if it is not themselves. */
    public Optional<Round.Signatory> other(Viewer viewer, Round round) {
        ContactId signer = signer(viewer, round);
        return signer.equals(viewer.contact())
                ? Optional.empty()
                : round.signatories().stream()
                        .filter(one -> one.contact().equals(signer))
                        .findFirst();
    }
}
