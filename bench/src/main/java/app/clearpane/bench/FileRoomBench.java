package app.clearpane.bench;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The file room of a project with ten thousand files, beside the same room with some hundred. */
final class FileRoomBench {
    private static final int MANY = 10_000;
    private static final int WARM_UP = 150;
    private static final int TIMES = 60;
    private static final int TARGET_MS = 200;

    private FileRoomBench() {}

    /** Measures with a house of its own. */
    static void measure(Path data, int port) throws Exception {
        try (HouseProcess house = HouseProcess.start(data, port)) {
            house.secondsToStart();
        }
        Growth growth = new Growth(data);
        String[] paths = growth.to(1, "Jasper Quill-Adeyemi").split(" ");
        Map<String, PageLoad.Pace> few = paces(data, port, paths);
        growth.files(MANY);
        Map<String, PageLoad.Pace> many = paces(data, port, paths);
        say("%-34s %15s %15s %8s", "p50 ms (p95 ms) alone", "420 files", "10,000 files", "ratio");
        many.forEach((name, pace) -> say(
                "%-34s %7.1f (%5.1f) %7.1f (%5.1f) %8.2f",
                name,
                few.get(name).p50(),
                few.get(name).p95(),
                pace.p50(),
                pace.p95(),
                pace.p50() / few.get(name).p50()));
        say("target: any of them p95 at most %d ms with 10,000 files", TARGET_MS);
    }

    private static Map<String, PageLoad.Pace> paces(Path data, int port, String... paths) throws Exception {
        Map<String, PageLoad.Pace> paces = new LinkedHashMap<>();
        try (HouseProcess house = HouseProcess.start(data, port)) {
            PageLoad team = in(house, port, "Ines");
            for (String place :
                    List.of("files", "files?page=40", "files?find=file+12", "files?by=NEWEST&pictures=true")) {
                paces.put("the team's " + place, pace(team, paths[1] + "/" + place));
            }
            paces.put("the client's pane page", pace(in(house, port, "Jasper Quill-Adeyemi"), paths[0]));
        }
        return paces;
    }

    private static PageLoad.Pace pace(PageLoad pages, String path) throws Exception {
        pages.ask(path, WARM_UP, 4);
        return pages.ask(path, TIMES, 1);
    }

    private static PageLoad in(HouseProcess house, int port, String name) throws Exception {
        PageLoad pages = new PageLoad("http://localhost:" + port);
        pages.comeIn(house.linkOf(name));
        return pages;
    }

    private static void say(String format, Object... values) {
        System.out.println(String.format(Locale.ROOT, format, values));
    }
}
