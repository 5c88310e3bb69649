import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.List;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * Checks a release bundle with nothing but Java 17: every file against the manifests (BagIt, RFC 8493), and every entry
 * of the Record against its hash. Run it in the bundle's folder: {@code java data/Verify.java}, or name the folder. It
 * says what it checked, or the first fault, and ends with 0 or 1.
 */
public class Verify {
  public static void main(String[] arguments) throws Exception {
    Path bag = Path.of(arguments.length > 0 ? arguments[0] : ".").toAbsolutePath().normalize();
    String fault = faultIn(bag);
    System.out.println(fault.isEmpty() ? "Sound: " + checked : "FAULT: " + fault);
    System.exit(fault.isEmpty() ? 0 : 1);
  }

  static String checked = "";

  static String faultIn(Path bag) throws Exception {
    if (!Files.isRegularFile(bag.resolve("bagit.txt"))) {
      return bag + " is not a bundle: bagit.txt is missing.";
    }
    TreeMap<String, String> named = new TreeMap<>();
    for (String manifest : List.of("tagmanifest-sha256.txt", "manifest-sha256.txt")) {
      if (!Files.isRegularFile(bag.resolve(manifest))) {
        return manifest + " is missing.";
      }
      String fault = manifestFault(bag, manifest, named);
      if (!fault.isEmpty()) {
        return fault;
      }
    }
    TreeSet<String> there = new TreeSet<>();
    try (Stream<Path> files = Files.walk(bag)) {
      files.filter(Files::isRegularFile).forEach(file -> there.add(bag.relativize(file).toString().replace('\\', '/')));
    }
    there.removeAll(named.keySet());
    there.remove("tagmanifest-sha256.txt");
    if (!there.isEmpty()) {
      return there.first() + " is in no manifest: it was put here later.";
    }
    return recordFault(bag, named.size());
  }

  static String manifestFault(Path bag, String manifest, TreeMap<String, String> named) throws Exception {
    for (String line : Files.readAllLines(bag.resolve(manifest), StandardCharsets.UTF_8)) {
      String[] parts = line.strip().split("\\s+", 2);
      if (parts.length < 2) {
        continue;
      }
      String name = parts[1].replace("%0D", "\r").replace("%0A", "\n").replace("%25", "%");
      Path file = bag.resolve(name).normalize();
      if (!file.startsWith(bag)) {
        return manifest + " names " + name + ", which lies outside the bundle.";
      }
      if (!Files.isRegularFile(file)) {
        return name + " is missing.";
      }
      if (!hash(file).equals(parts[0])) {
        return name + " was altered: it hashes to " + hash(file) + ", not to " + parts[0] + ".";
      }
      named.put(name, parts[0]);
    }
    return "";
  }

  /** Each entry with its payload hashes to what it says; entries without one stand as hashes only. */
  static String recordFault(Path bag, int files) throws Exception {
    Path record = bag.resolve("data/record.jsonl");
    int entries = 0;
    if (Files.isRegularFile(record)) {
      String before = "";
      for (String line : Files.readAllLines(record, StandardCharsets.UTF_8)) {
        String hash = text(line, "hash");
        String previous = text(line, "previous");
        if (!before.isEmpty() && !previous.equals(before)) {
          return "entry " + number(line) + " of the Record does not follow from the one before.";
        }
        before = hash;
        if (line.contains("\"entry\"") && !hash.equals(hash(part(line, "entry").getBytes(StandardCharsets.UTF_8)))) {
          return "entry " + number(line) + " of the Record was altered.";
        }
        if (line.contains("\"payload\":")
            && !text(part(line, "entry"), "payloadHash")
                    .equals(hash(part(line, "payload").getBytes(StandardCharsets.UTF_8)))) {
          return "the payload of entry " + number(line) + " of the Record was altered.";
        }
        entries++;
      }
    }
    checked = files + " files as the manifests say, " + entries + " entries of the Record, each following from the "
            + "one before.";
    return "";
  }

  static String number(String line) {
    int at = line.indexOf("\"sequence\":");
    return at < 0 ? "?" : line.substring(at + 11).replaceAll("^(\\d+).*", "$1");
  }

  /** The text of a member. */
  static String text(String json, String member) {
    int at = json.indexOf("\"" + member + "\":\"");
    return at < 0 ? "" : json.substring(at + member.length() + 4, json.indexOf('"', at + member.length() + 4));
  }

  /** An object as it is written, brace to brace. */
  static String part(String json, String member) {
    int from = json.indexOf("\"" + member + "\":{") + member.length() + 3;
    int depth = 0;
    boolean quoted = false;
    for (int i = from; i < json.length(); i++) {
      char c = json.charAt(i);
      if (quoted) {
        if (c == '\\') {
          i++;
        } else if (c == '"') {
          quoted = false;
        }
      } else if (c == '"') {
        quoted = true;
      } else if (c == '{') {
        depth++;
      } else if (c == '}' && --depth == 0) {
        return json.substring(from, i + 1);
      }
    }
    return "";
  }

  static String hash(Path file) throws Exception {
    MessageDigest digest = MessageDigest.getInstance("SHA-256");
    byte[] chunk = new byte[1 << 16];
    try (InputStream in = Files.newInputStream(file)) {
      for (int read = in.read(chunk); read > 0; read = in.read(chunk)) {
        digest.update(chunk, 0, read);
      }
    }
    return HexFormat.of().formatHex(digest.digest());
  }

  static String hash(byte[] bytes) throws Exception {
    return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
  }
}
