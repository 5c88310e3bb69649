package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** What of a sheet is at the places of marks, as pictures. */
@Component
public class CutOuts {
    private static final Logger LOG = LoggerFactory.getLogger(CutOuts.class);
    private final Drawings drawings;
    private final Vault vault;
    private final DrawApart apart;

    CutOuts(Drawings drawings, Vault vault, DrawApart apart) {
        this.drawings = drawings;
        this.vault = vault;
        this.apart = apart;
    }

    /**
     * Those of marks on a version, as PNG; without those where there is nothing to see. @param widest of each, in
     * pixels
     */
    public Map<MarkupId, byte[]> cut(Version version, List<Mark> marks, int widest) throws IOException {
        List<MarkupId> seen = new ArrayList<>();
        List<Wish.At> places = new ArrayList<>();
        for (Mark mark : marks) {
            Optional<Drawings.Sheet> sheet = MarkWords.pictured(mark.place())
                    ? drawings.sheet(version.sha256(), mark.place().page())
                    : Optional.empty();
            sheet.ifPresent(drawn -> {
                seen.add(mark.id());
                places.add(new Wish.At(vault.path(drawn.large()), mark.place()));
            });
        }
        Map<MarkupId, byte[]> cut = new LinkedHashMap<>();
        if (!places.isEmpty()) {
            try {
                List<byte[]> pictures =
                        apart.pictures(new Wish.CutOuts(places, widest)).pictures();
                for (int i = 0; i < seen.size(); i++) {
                    cut.put(seen.get(i), pictures.get(i));
                }
            } catch (UnusableFile unusable) {
                LOG.warn("the marks on {} go without pictures: {}", version.id(), unusable.getMessage());
            }
        }
        return cut;
    }
}
