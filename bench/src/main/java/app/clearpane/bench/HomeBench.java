package app.clearpane.bench;

import java.nio.file.Path;
import java.util.Locale;

/** The home of a contact with forty projects, beside that of one with ten and beside the bare sign-in page. */
final class HomeBench {
    private static final int FEW = 10;
    private static final int MANY = 40;
    private static final int WARM_UP = 600;
    private static final int TIMES = 200;
    private static final int WRITES = 60;
    private static final int TARGET_MS = 60;

    private HomeBench() {}

    /** Measures with a house of its own. */
    static void measure(Path data, int port) throws Exception {
        try (HouseProcess house = HouseProcess.start(data, port)) {
            house.secondsToStart();
        }
        Growth growth = new Growth(data);
        growth.to(MANY, "Jasper Quill-Adeyemi");
        growth.seatAt(FEW, "Per Halloran");
        growth.seatAt(MANY, "Mirela Stancu");
        try (HouseProcess house = HouseProcess.start(data, port)) {
            PageLoad few = in(house, port, "Per");
            PageLoad many = in(house, port, "Mirela");
            PageLoad owner = in(house, port, "Bastian");
            String token = owner.token("/t/ceilings");
            PageLoad.Write write =
                    () -> owner.send("/t/ceilings/tasks-for-clients", token, "asked=true&may=true&sure=true");
            few.ask("/c", WARM_UP, 4);
            many.ask("/c", WARM_UP, 4);
            many.ask("/sign-in", WARM_UP, 4);
            many.askAfter(write, "/c", WRITES);
            PageLoad.Pace signIn = many.ask("/sign-in", TIMES, 1);
            PageLoad.Pace ten = few.ask("/c", TIMES, 1);
            PageLoad.Pace forty = many.ask("/c", TIMES, 1);
            PageLoad.Pace written = many.askAfter(write, "/c", WRITES);
            say(
                    "home over %d projects of 500 items each: p50 %.1f ms, p95 %.1f ms (at most %d); %.2f times as "
                            + "long as over %d, %.2f times as long as the sign-in page",
                    MANY,
                    forty.p50(),
                    forty.p95(),
                    TARGET_MS,
                    forty.p50() / ten.p50(),
                    FEW,
                    forty.p50() / signIn.p50());
            say("  the same, just after a write: p50 %.1f ms, p95 %.1f ms", written.p50(), written.p95());
        }
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
