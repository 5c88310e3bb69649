package app.clearpane.core.supply;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What a kind of work usually needs of the client.
 *
 * @param folders those that stand ready for it
 * @param requests what is asked for, and when
 */
public record UsualSupply(List<UsualFolder> folders, List<UsualRequest> requests) {
    /** Nothing. */
    public static final UsualSupply NONE = new UsualSupply(List.of(), List.of());

    private static final int MOST = 40;
    private static final int DEEPEST = 12;
    private static final int USUAL_DAYS = 3;
    private static final Pattern WITHIN = Pattern.compile("(?i)within (\\d{1,3}) (?:working )?days?");
    private static final Pattern BEFORE = Pattern.compile("(?i)(\\d{1,3}) (?:working )?days? before (.+)");
    private static final Pattern WITH = Pattern.compile("(?i)with (.+)");

    public UsualSupply {
        folders = List.copyOf(folders);
        requests = List.copyOf(requests);
    }

    /** A folder. @param way its name after those it lies in @param words what belongs in it; may be empty */
    public record UsualFolder(List<String> way, String words) {
        public UsualFolder {
            way = List.copyOf(way);
        }

        String typed() {
            return String.join(" / ", way) + (words.isEmpty() ? "" : ": " + words);
        }
    }

    /**
     * A request.
     *
     * @param phase with which it goes out; empty for the start
     * @param daysBefore how many working days before that phase begins
     * @param days within how many working days it is wanted
     * @param alone whether it goes by itself
     * @param wanted what is wanted, a line for each thing
     */
    public record UsualRequest(
            String title, Optional<String> phase, int daysBefore, int days, boolean alone, List<String> wanted) {
        public UsualRequest {
            wanted = List.copyOf(wanted);
        }

        String typed() {
            String when = phase.map(name -> daysBefore == 0 ? "with " + name : daysBefore + " days before " + name)
                    .orElse("at the start");
            return title + ", " + when + ", within " + days + " days" + (alone ? ", by itself" : "")
                    + wanted.stream().map(line -> "\n- " + line).collect(Collectors.joining());
        }
    }

    /**
     * Reads both as they are typed: a folder a line, "Artwork / Maps: what goes to print"; of a request "What we need
     * to begin, at the start, within 3 days, by itself", and below it what is wanted, "- 3 photographs". Instead of "at
     * the start" stands "with Concept" or "5 days before Concept".
     *
     * @param phases those there are
     * @throws IllegalArgumentException saying in which line what is wrong
     */
    public static UsualSupply read(String folders, String requests, List<String> phases) {
        List<UsualRequest> read = new ArrayList<>();
        List<String> lines = requests.lines().map(String::strip).toList();
        for (int i = 0; i < lines.size(); i++) {
            String line = lines.get(i);
            String where = "Line " + (i + 1) + " of the requests: ";
            if (line.startsWith("-")) {
                require(!read.isEmpty(), where + "what is wanted stands below a request; write its title before it.");
                UsualRequest last = read.remove(read.size() - 1);
                List<String> wanted = new ArrayList<>(last.wanted());
                wanted.add(line.substring(1).strip());
                read.add(new UsualRequest(
                        last.title(), last.phase(), last.daysBefore(), last.days(), last.alone(), wanted));
            } else if (!line.isEmpty()) {
                read.add(request(line, where, phases));
            }
        }
        require(read.size() <= MOST, "Up to " + MOST + " requests are possible.");
        read.stream()
                .filter(request -> request.wanted().isEmpty())
                .findFirst()
                .ifPresent(empty -> require(false, "“" + empty.title() + "” says nothing that is wanted: add a line."));
        return new UsualSupply(readFolders(folders), read);
    }

    private static List<UsualFolder> readFolders(String typed) {
        List<UsualFolder> read = new ArrayList<>();
        for (String line :
                typed.lines().map(String::strip).filter(one -> !one.isEmpty()).toList()) {
            String[] parts = line.split(":", 2);
            List<String> way = Arrays.stream(parts[0].split("/"))
                    .map(String::strip)
                    .filter(step -> !step.isEmpty())
                    .toList();
            require(!way.isEmpty(), "A folder has no name: “" + line + "”.");
            require(way.size() <= DEEPEST, "“" + line + "” lies deeper than " + DEEPEST + " folders.");
            read.add(new UsualFolder(way, parts.length > 1 ? parts[1].strip() : ""));
        }
        require(read.size() <= MOST, "Up to " + MOST + " folders are possible.");
        return read;
    }

    private static UsualRequest request(String line, String where, List<String> phases) {
        List<String> title = new ArrayList<>();
        Optional<String> phase = Optional.empty();
        int before = 0;
        int days = USUAL_DAYS;
        boolean alone = false;
        for (String said : line.split(",")) {
            String part = said.strip();
            Matcher within = WITHIN.matcher(part);
            Matcher earlier = BEFORE.matcher(part);
            Matcher with = WITH.matcher(part);
            if (title.isEmpty()) {
                title.add(part);
            } else if (part.toLowerCase(Locale.ROOT).equals("by itself")) {
                alone = true;
            } else if (within.matches()) {
                days = number(within.group(1), 1, where);
            } else if (earlier.matches()) {
                before = number(earlier.group(1), 1, where);
                phase = Optional.of(phase(earlier.group(2), phases, where));
            } else if (with.matches()) {
                phase = Optional.of(phase(with.group(1), phases, where));
            } else if (!part.toLowerCase(Locale.ROOT).equals("at the start")) {
                title.add(part);
            }
        }
        String named = String.join(", ", title);
        require(!named.isBlank(), where + "the request has no title.");
        return new UsualRequest(named, phase, before, days, alone, List.of());
    }

    private static String phase(String typed, List<String> phases, String where) {
        return phases.stream()
                .filter(one -> one.equalsIgnoreCase(typed.strip()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(where + "there is no phase “" + typed.strip()
                        + "”; there is " + String.join(", ", phases) + "."));
    }

    private static int number(String typed, int least, String where) {
        int number = Integer.parseInt(typed);
        require(number >= least && number <= Leaving.MOST_DAYS, where + "from 1 to " + Leaving.MOST_DAYS + " days.");
        return number;
    }

    private static void require(boolean holds, String sentence) {
        if (!holds) {
            throw new IllegalArgumentException(sentence);
        }
    }

    /** Its folders as {@link #read} takes them. */
    public String typedFolders() {
        return folders.stream().map(UsualFolder::typed).collect(Collectors.joining("\n"));
    }

    /** Its requests as {@link #read} takes them. */
    public String typedRequests() {
        return requests.stream().map(UsualRequest::typed).collect(Collectors.joining("\n"));
    }
}
