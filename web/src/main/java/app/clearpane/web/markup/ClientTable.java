package app.clearpane.web.markup;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.markup.client.VisibleMarkups;
import app.clearpane.usecases.markup.Clashes;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.said.WaysOfNames;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The light table as a viewer sees it, and what they do on it. */
@Component
public class ClientTable {
    private final VisibleMarkups markups;
    private final Viewers viewers;
    private final Clashes clashes;
    private final WaysOfNames waysOfNames;
    private final OpenForViewer open;
    private final LayTable layTable;
    private final DecisionBar bars;

    ClientTable(
            VisibleMarkups markups,
            Viewers viewers,
            Clashes clashes,
            WaysOfNames waysOfNames,
            OpenForViewer open,
            LayTable layTable,
            DecisionBar bars) {
        this.bars = bars;
        this.layTable = layTable;
        this.open = open;
        this.waysOfNames = waysOfNames;
        this.clashes = clashes;
        this.markups = markups;
        this.viewers = viewers;
    }

    /** The table's page. @throws NotFound if they do not see the version */
    public Map<String, Object> page(
            Viewer viewer,
            String base,
            VersionId id,
            int page,
            @Nullable Integer atX,
            @Nullable Integer atY,
            @Nullable MarkupId note) {
        OpenForViewer.Opened opened = open.open(viewer, id);
        Version version = opened.version();
        VisibleDeliverables.Row deliverable = opened.deliverable();
        List<Version> versions = opened.versions();
        Optional<Round> reviewed = opened.round();
        List<Mark> marks = markups.marksOf(viewer, version.deliverable());
        LightTable table = layTable.lay(
                new LayTable.Work(base, deliverable.name(), version, versions, marks),
                page,
                LightTable.Around.ofViewer(waysOfNames.ways(viewer, base, marks, opened.all()), marks, note, reviewed),
                new Speaker.Client(viewer));
        List<Clashes.Open> waiting = reviewed.filter(own -> deliverable.own())
                .map(own -> Clashes.waiting(own, marks))
                .orElseGet(() -> clashes.openOn(version, viewer.pane(), marks));
        DecisionBar.Bar bar = bars.lay(viewer, version, versions, marks, reviewed, waiting.size());
        Map<String, Object> model = new HashMap<>(Map.of(
                "table",
                table,
                "bar",
                bar,
                "clashes",
                waiting,
                "mayRule",
                viewer.leadVoice() && viewer.mayAct(),
                "viewer",
                viewer,
                "heading",
                viewers.heading(viewer),
                "deliverable",
                deliverable));
        bar.round()
                .flatMap(round -> round.signatories().stream()
                        .filter(Round.Signatory::leadVoice)
                        .findFirst())
                .ifPresent(seat -> model.put("leadVoice", seat.name()));
        ChosenSpot.of(atX, atY, table).ifPresent(spot -> model.put("spot", spot));
        return model;
    }
}
