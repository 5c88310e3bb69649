package app.clearpane.formats.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TaskTableTest {
    @ParameterizedTest(name = "{0}")
    @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE", "windows-1252"})
    void readsWhatSpreadsheetsWrite(String charset) {
        String table = "Task;Who;Café\r\n\"Draw; the “map”\";Teo;é\r\n\r\n;;\r\nCut\r\n";
        String mark = charset.startsWith("UTF-16") ? "\uFEFF" : "";
        TaskTable read = TaskTable.read(TaskTable.text((mark + table).getBytes(Charset.forName(charset))));
        assertThat(read.header()).containsExactly("Task", "Who", "Café");
        assertThat(read.rows()).hasSize(2);
        assertThat(read.rows().get(0).cell(0)).isEqualTo("Draw; the “map”");
        assertThat(read.rows().get(1).cell(2)).as("a short row").isEmpty();
        assertThat(read.rows().get(1).line()).isEqualTo(5);
    }

    @Test
    void dropsTheMarkOfUtf8AndKnowsTabsAndCommas() {
        assertThat(TaskTable.read(TaskTable.text("\uFEFFTask,Days\nA,1".getBytes(StandardCharsets.UTF_8)))
                        .header())
                .containsExactly("Task", "Days");
        assertThat(TaskTable.read("Task\tDays\nA, b\t1").rows().get(0).cell(0)).isEqualTo("A, b");
    }

    @ParameterizedTest(name = "“{0}”")
    @ValueSource(strings = {"", "Task,Days", "Task\n\n  \n", "Task\n\"never closed"})
    void refusesWhatIsNoTable(String text) {
        assertThatIllegalArgumentException().isThrownBy(() -> TaskTable.read(text));
    }

    @Test
    void refusesMoreRowsThanItReads() {
        String table = "Task\n"
                + IntStream.rangeClosed(0, TaskTable.MOST_ROWS)
                        .mapToObj(i -> "t" + i)
                        .collect(Collectors.joining("\n"));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> TaskTable.read(table))
                .withMessageContaining("50,000 rows");
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3})
    void readsBackWhatItWrote(long seed) {
        Random random = new Random(seed);
        String letters = "aé,;\"\n\t –'1";
        for (int round = 0; round < 100; round++) {
            List<TaskTable.Row> rows = IntStream.range(0, 1 + random.nextInt(5))
                    .mapToObj(i -> new TaskTable.Row(
                            0,
                            IntStream.range(0, 3)
                                    .mapToObj(c -> "x"
                                            + random.ints(random.nextInt(8), 0, letters.length())
                                                    .mapToObj(at -> letters.substring(at, at + 1))
                                                    .collect(Collectors.joining())
                                            + "x")
                                    .toList()))
                    .toList();
            TaskTable table = new TaskTable(List.of("one", "two", "three"), rows);
            assertThat(TaskTable.read(table.write()).rows())
                    .extracting(TaskTable.Row::cells)
                    .isEqualTo(rows.stream().map(TaskTable.Row::cells).toList());
        }
    }

    @Test
    void writesNoFormula() {
        assertThat(new TaskTable(List.of("Task"), List.of(new TaskTable.Row(1, List.of("=HYPERLINK(\"http://x\")"))))
                        .write())
                .contains("'=HYPERLINK");
    }
}
