package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.store.record.Records;
import app.clearpane.usecases.record.RecordWatch;
import java.util.List;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** The Record only grows, is read over, and shouts when it was altered; it can be sifted and kept. */
class RecordKeptTest extends DemoHouse {
    @Autowired
    JdbcTemplate sql;

    @Autowired
    Records records;

    @Autowired
    RecordWatch watch;

    private UUID chain() {
        return projects.active().stream()
                .filter(project -> project.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id()
                .value();
    }

    @AfterEach
    void settle() {
        sql.update("update record_fault set settled_at = current_timestamp");
        watch.nightly();
    }

    @Test
    void theDatabaseRefusesToChangeOrDeleteAnEntry() {
        assertThatThrownBy(() -> sql.update(
                        "update record_entry set actor = 'Somebody else' where chain_id = ? and sequence = 3", chain()))
                .hasMessageContaining("only grows");
        assertThatThrownBy(() -> sql.update("delete from record_entry where chain_id = ? and sequence = 3", chain()))
                .hasMessageContaining("only grows");
    }

    @Test
    void anAlteredEntryIsFoundAndShoutedOnEveryPage() throws Exception {
        watch.nightly();
        assertThat(watch.faults()).isEmpty();
        sql.execute("drop trigger record_entry_only_grows");
        sql.update(
                "update record_entry set payload = replace(payload, '\"', '\"') || ' ' where chain_id = ? and "
                        + "sequence = 5",
                chain());
        try {
            watch.opened();
            assertThat(watch.faults()).as("its tail is sound").isEmpty();
            watch.nightly();
            theFifthIsNamed();
            watch.nightly();
            assertThat(watch.faults()).as("a known fault is not found twice").hasSize(1);
            assertThat(Visitor.by(address(), linkOfTeam("teo@marram-finch.example"))
                            .get("/t")
                            .body())
                    .contains("A fault was found in the Record.", "Entry 5: its payload was altered.");
        } finally {
            sql.update("update record_entry set payload = trim(payload) where chain_id = ? and sequence = 5", chain());
            sql.execute("create trigger record_entry_only_grows before update, delete on record_entry for each row "
                    + "call 'app.clearpane.store.record.OnlyGrows'");
        }
    }

    private void theFifthIsNamed() throws Exception {
        assertThat(watch.faults()).singleElement().satisfies(fault -> {
            assertThat(fault.sequence()).isEqualTo(5);
            assertThat(fault.said()).isEqualTo("payload was altered");
        });
    }

    @Test
    void isSiftedSearchedAndKept() throws Exception {
        Visitor ines = Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
        String base = "/t/projects/" + chain() + "/record";
        assertThat(ines.get(base + "?kind=decisions").body())
                .contains("signed off")
                .doesNotContain("marked up");
        assertThat(ines.get(base + "?q=identity%20MARK&kind=decisions").body())
                .contains("Identity mark")
                .doesNotContain("Visitor map</a>");
        assertThat(ines.get(base + "?q=nobody%20ever%20said%20this").body())
                .contains("Nothing of that stands in the Record.");
        assertThat(ines.get(base + "?q=%25").body())
                .as("a per cent sign is only a character")
                .doesNotContain("opened the project");
        String mirela = ines.get(base + "?who=Mirela%20Stancu").body();
        assertThat(mirela).contains("The story of Mirela Stancu", "who=Mirela");
        List<String> actors = Jsoup.parse(mirela).select(".record .actor").eachText();
        assertThat(actors)
                .as("what she did, and what was done for her")
                .contains("Mirela Stancu", "Ines Okafor-Lindqvist")
                .doesNotContain("Dov Castellan");
        assertThat(ines.get(base + "?who=Mirela").body())
                .as("a part of a name is nobody's")
                .contains("Nothing of that stands in the Record.");
        assertThat(ines.get("/t/projects/" + chain() + "/people").body()).contains("who=Mirela%20Stancu");
        isTakenAwayAsAFile(ines, base);
    }

    private void isTakenAwayAsAFile(Visitor ines, String base) throws Exception {
        String lines = ines.get(base + ".jsonl").body();
        assertThat(lines.lines().count()).isEqualTo(records.end(chain()).sequence());
        assertThat(lines.lines().findFirst().orElseThrow())
                .startsWith("{\"sequence\":0,\"previous\":\"" + "0".repeat(64))
                .contains("\"entry\":{\"act\":\"project.opened\"");
        assertThat(ines.get(base + ".pdf?kind=decisions").body()).startsWith("%PDF-");
    }
}
