package app.clearpane.usecases.files;

import java.text.Normalizer;

/** File names as they are kept: the last part of a path, without what other systems cannot take. */
public final class FileNames {
    private static final int LONGEST = 120;

    private FileNames() {}

    /** A name that is safe in a folder, a ZIP and a header: "../a\b.pdf" gives "b.pdf". */
    public static String safe(String given) {
        String last = Normalizer.normalize(given, Normalizer.Form.NFC)
                .replaceAll("^.*[/\\\\]", "")
                .replaceAll("[\\p{Cntrl}<>:\"|?*\\u202A-\\u202E\\u2066-\\u2069]", "")
                .strip()
                .replaceAll("^\\.+", "");
        if (last.isEmpty()) {
            return "file";
        }
        int length = last.codePointCount(0, last.length());
        if (length <= LONGEST) {
            return last;
        }
        int dot = last.lastIndexOf('.');
        String ending = dot > 0 && last.length() - dot <= 12 ? last.substring(dot) : "";
        return last.substring(0, last.offsetByCodePoints(0, LONGEST - ending.length())) + ending;
    }
}
