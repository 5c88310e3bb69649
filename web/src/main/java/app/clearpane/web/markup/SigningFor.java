package app.clearpane.web.markup;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.StandIn;
import app.clearpane.store.deliverable.Round;
import app.clearpane.store.deliverable.StandIns;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.web.layout.TheAgency;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
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
    this.known = Caffeine.newBuilder().maximumSize(PROJECTS).expireAfterWrite(KEPT).build(project -> standIns.of(project).stream().map(StandIns.Row::standIn).toList());
  }

  /** Reads anew who stands in for whom in a project. */
  public void changed(ProjectId project) {
    known.invalidate(project);
  }

  /** Whose decision a viewer would make in a round: in order, that of somebody they stand in for whose place it is; their own as long as they did not decide; then that of somebody they stand in for who did not; their own again if there is nobody. */
  public ContactId signer(Viewer viewer, Round round) {
    Optional<ContactId> next = viewer.byLink() ? Optional.empty() : round.panel().nextInOrder(round.decisions()).filter(place -> !place.equals(viewer.contact()));
    if (next.isPresent() && standsInFor(viewer).contains(next.get())) {
      return next.get();
    }
    boolean own = round.signatories().stream().anyMatch(one -> one.contact().equals(viewer.contact()));
    if (viewer.byLink() || own && round.saidBy(viewer.contact()).isEmpty()) {
      return viewer.contact();
    }
    List<ContactId> away = standsInFor(viewer).stream().filter(contact -> round.signatories().stream().anyMatch(one -> one.contact().equals(contact))).toList();
    return away.stream().filter(contact -> round.saidBy(contact).isEmpty()).findFirst().orElseGet(() -> own || away.isEmpty() ? viewer.contact() : away.get(0));
  }

  /** The signatory a viewer would decide for in a round, if it is not themselves. */
  public Optional<Round.Signatory> other(Viewer viewer, Round round) {
    ContactId signer = signer(viewer, round);
    return signer.equals(viewer.contact()) ? Optional.empty() : round.signatories().stream().filter(one -> one.contact().equals(signer)).findFirst();
  }

  /** For whom a viewer stands in today. */
  private List<ContactId> standsInFor(Viewer viewer) {
    return StandIn.of(viewer.contact(), agency.today(), known.get(viewer.project()));
  }
}
