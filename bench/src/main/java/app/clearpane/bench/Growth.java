package app.clearpane.bench;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/**
 * Fills a data folder, while no house runs on it, with projects of 500 items each, seen through one pane of the first.
 */
final class Growth {
    private static final int FOLDERS = 20;
    private static final int FILES = 420;
    private static final int DATES = 40;
    private static final int DELIVERABLES = 20;
    private static final int TASKS = 500;
    private static final String DIGEST = "e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855";
    private final Path data;

    Growth(Path data) {
        this.data = data;
    }

    /** Adds projects until there are so many of them. @return the path of the client's pane of the first */
    String to(int projects, String seatOf) throws SQLException {
        try (Connection db = open();
                Statement statement = db.createStatement()) {
            int there = number(statement, "select count(*) from project where name like 'Grown %'");
            for (String sql : statements(there + 1, projects)) {
                statement.execute(sql);
            }
            if (there == 0) {
                statement.execute("insert into seat (id, pane_id, contact_id, role, lead_voice, state, invited_at, "
                        + "accepted_at, revision, created_at) select random_uuid(), p.id, c.id, 'READER', false, "
                        + "'ACCEPTED',"
                        + " current_timestamp, current_timestamp, 1, current_timestamp from pane p join "
                        + "project j on j.id = p.project_id cross join contact c where j.name = 'Grown 1' "
                        + "and c.name = '"
                        + seatOf + "'");
                for (String sql : plan()) {
                    statement.execute(sql);
                }
            }
            try (ResultSet found = statement.executeQuery(
                    "select p.id, j.id from pane p join project j on j.id = p.project_id where j.name = 'Grown 1'")) {
                found.next();
                String paths = "/c/panes/" + found.getString(1) + " /t/projects/" + found.getString(2);
                statement.execute("shutdown compact"); // as what was written over years would lie, not in one go
                return paths;
            }
        }
    }

    /** Gives a contact a seat at the panes of so many of these projects. */
    void seatAt(int projects, String seatOf) throws SQLException {
        try (Connection db = open();
                Statement statement = db.createStatement()) {
            statement.execute("insert into seat (id, pane_id, contact_id, role, lead_voice, state, invited_at, "
                    + "accepted_at, revision, created_at) select random_uuid(), p.id, c.id, 'READER', false, 'ACCEPTED',"
                    + " current_timestamp, current_timestamp, 1, current_timestamp from pane p join project j on "
                    + "j.id = p.project_id cross join contact c where j.name like 'Grown %' and "
                    + "cast(substring(j.name from 7) as integer) <= "
                    + projects + " and c.name = '" + seatOf + "'");
            statement.execute("shutdown compact");
        }
    }

    private Connection open() throws SQLException {
        return DriverManager.getConnection(
                "jdbc:h2:file:" + data.toAbsolutePath()
                        + "/house;MODE=PostgreSQL;DATABASE_TO_LOWER=TRUE;DEFAULT_NULL_ORDERING=HIGH",
                "sa",
                "");
    }

    private static int number(Statement statement, String sql) throws SQLException {
        try (ResultSet found = statement.executeQuery(sql)) {
            found.next();
            return found.getInt(1);
        }
    }

    private static List<String> statements(int from, int to) {
        String grown =
                "(select * from project where name like 'Grown %' and cast(substring(name from 7) as integer) between "
                        + from + " and " + to + ") p";
        String items = "item i join " + grown + " on p.id = i.project_id";
        return List.of(
                "insert into project (id, client_id, manager_id, name, cover, currency, tax_percent, starts_on, "
                        + "agreed_on, revision, created_at) select random_uuid(), client_id, manager_id, 'Grown ' || x, "
                        + "cover, currency,"
                        + " tax_percent, starts_on, agreed_on, 1, created_at from (select * from project where "
                        + "name = 'Visitor centre') cross join system_range("
                        + from + ", " + to + ") as r(x)",
                "insert into pane (id, project_id, name, welcome, published_at, revision, created_at) select "
                        + "random_uuid(), p.id, 'The board', '', current_timestamp, 1, current_timestamp from "
                        + grown,
                "insert into pane_aperture (pane_id, kind, published, pending) select n.id, k.kind, k.how, k.how "
                        + "from pane n join "
                        + grown
                        + " on p.id = n.project_id cross join (values ('STATUS', 'OPEN'), ('DATES', 'OPEN'), "
                        + "('TASKS', 'PICKED'), ('FILES', 'PICKED'), ('DELIVERABLES', 'OPEN'), ('CONCERNS', "
                        + "'PICKED')) k(kind, how)",
                item("FILES", "Folder", FOLDERS, grown),
                "insert into folder (item_id, words) select i.id, '' from " + items + " where i.name like 'Folder %'",
                files(1, FILES, grown),
                contents(items + " where i.name like 'File %'"),
                item("DATES", "Day", DATES, grown),
                "insert into milestone (item_id, falls_on, reached, revision) select i.id, current_date, false, 1 from "
                        + items + " where i.kind = 'DATES'",
                item("DELIVERABLES", "Work", DELIVERABLES, grown),
                "insert into deliverable (item_id, pane_id, about, rule, review_days, rounds_included, extra_fee, "
                        + "position, revision) select i.id, n.id, '', 'ALL', 3, 2, 0, 0, 1 from "
                        + items + " join pane n on n.project_id = p.id where i.kind = 'DELIVERABLES'",
                "insert into item_ancestor (item_id, ancestor_id, depth) select i.id, i.id, 0 from " + items,
                "insert into item_ancestor (item_id, ancestor_id, depth) select i.id, i.parent_id, 1 from " + items
                        + " where i.parent_id is not null",
                "insert into showing (pane_id, item_id, published, pending, set_by, set_at) select n.id, i.id, "
                        + "'SHOWN', 'SHOWN', 'Teo Brandt', current_timestamp from "
                        + items + " join pane n on n.project_id = p.id where i.name in ('Folder 1', 'Folder 2')",
                "analyze");
    }

    /** 500 tasks in chains of five in the first project. */
    private static List<String> plan() {
        String first = "(select * from project where name = 'Grown 1') p";
        String tasks = "item i join " + first + " on p.id = i.project_id where i.kind = 'TASKS'";
        return List.of(
                item("TASKS", "Task", TASKS, first),
                "insert into item_ancestor (item_id, ancestor_id, depth) select i.id, i.id, 0 from " + tasks,
                "insert into task (item_id, side, stage, days, priority, labels, notes, repeats, position, "
                        + "revision) select i.id, case when mod(cast(substring(i.name from 6) as integer), 3) = 0 then "
                        + "'CLIENTS' else 'OURS' end, 'TO_DO', 3, 'USUAL', '', '', '',"
                        + " cast(substring(i.name from 6) as integer), 1 from " + tasks,
                "insert into task_link (item_id, predecessor_item_id, lag_days) select a.item_id, b.item_id, 0 "
                        + "from task a join task b on b.position = a.position - 1 join item i on i.id = a.item_id join "
                        + first
                        + " on p.id = i.project_id join item k on k.id = b.item_id and k.project_id = p.id where "
                        + "mod(a.position, 5) > 0 and i.name like 'Task %' and k.name like 'Task %'");
    }

    private static String item(String kind, String name, int count, String grown) {
        return "insert into item (id, project_id, kind, name, created_at) select random_uuid(), p.id, '" + kind + "', '"
                + name + " ' || x, current_timestamp from " + grown + " cross join system_range(1, " + count
                + ") as r(x)";
    }

    private static String files(int from, int to, String grown) {
        return "insert into item (id, project_id, kind, name, parent_id, created_at) select random_uuid(), p.id, "
                + "'FILES', 'File ' || x || '.pdf', f.item, current_timestamp from "
                + grown + " cross join system_range(" + from + ", " + to
                + ") as r(x) join (select id as item, project_id as of, cast(substring(name from 8) as "
                + "integer) as number from item where name like 'Folder %') f on f.of = p.id and f.number "
                + "= 1 + mod(x, "
                + FOLDERS + ")";
    }

    private static String contents(String items) {
        return "insert into file (item_id, sha256, media_type, size_bytes, added_by) select i.id, '" + DIGEST
                + "', 'application/pdf', 1, 'Teo Brandt' from " + items;
    }

    /** Adds files to the first project until it has so many of them. */
    void files(int count) throws SQLException {
        String first = "(select * from project where name = 'Grown 1') p";
        String added = "item i join " + first + " on p.id = i.project_id left join file f on f.item_id = i.id where "
                + "i.name like 'File %' and f.item_id is null";
        String more = "item i join " + first + " on p.id = i.project_id left join item_ancestor a on a.item_id = i.id "
                + "where i.name like 'File %' and a.item_id is null";
        try (Connection db = open();
                Statement statement = db.createStatement()) {
            statement.execute(files(FILES + 1, count, first));
            statement.execute(contents(added));
            statement.execute("create local temporary table grown_more as select i.id, i.parent_id from " + more);
            statement.execute(
                    "insert into item_ancestor (item_id, ancestor_id, depth) select id, id, 0 from grown_more");
            statement.execute("insert into item_ancestor (item_id, ancestor_id, depth) select id, parent_id, 1 from "
                    + "grown_more");
            statement.execute("analyze");
            statement.execute("shutdown compact");
        }
    }
}
