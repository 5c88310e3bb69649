package app.clearpane.core.supply;

import java.time.Duration;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a part of a request asks of each file that is given for it (rule Q1). A check says what it found with its
 * figures, and how to put right what fails; what cannot be found in a file that should have it is a warning, since
 * somebody has to look.
 */
public sealed interface Check {
    /** What it says of a file. */
    Finding of(FileFacts file);

    /** What is asked, in words: “at least 200 dpi at A2”. */
    String words();

    /** Whether it goes without saying, so that nobody is told of it before something fails it. */
    default boolean isUnsaid() {
        return false;
    }

    /** Whether nothing is said where it passes. */
    default boolean passesInSilence() {
        return isUnsaid();
    }

    /** What all checks say, those that fail first, then those that warn, each in their order. */
    static List<Finding> all(List<Check> checks, FileFacts file) {
        return checks.stream()
                .flatMap(check -> Stream.of(check.of(file))
                        .filter(said -> !check.passesInSilence() || said.grade() != Finding.Grade.PASSES))
                .sorted((one, other) -> other.grade().compareTo(one.grade()))
                .toList();
    }

    /** The file is of one of these kinds, by what is in it. */
    record OfKind(Set<FileKind> kinds) implements Check {
        public OfKind {
            if (kinds.isEmpty()) {
                throw new IllegalArgumentException("a file has to be of some kind");
            }
            kinds = Set.copyOf(kinds);
        }

        @Override
        public boolean passesInSilence() {
            return true;
        }

        @Override
        public String words() {
            return either(EnumSet.copyOf(kinds).stream().map(FileKind::words).toList());
        }

        @Override
        public Finding of(FileFacts file) {
            String found = "It is " + file.kind().foundWords() + " (" + file.mediaType() + ")";
            return kinds.contains(file.kind())
                    ? Finding.passes(found)
                    : Finding.fails(
                            found,
                            "What is wanted is " + words() + "."
                                    + (kinds.equals(Set.of(FileKind.DRAWING)) ? WHO_DREW_IT : ""));
        }
    }

    /** A picture of at least so many pixels, either way up. */
    record AtLeast(Pixels least) implements Check {
        @Override
        public String words() {
            return "at least " + least.words();
        }

        @Override
        public Finding of(FileFacts file) {
            if (file.picture().isEmpty()) {
                return unknown("Its size in pixels");
            }
            Pixels size = file.picture().get().size();
            return size.longSide() >= least.longSide() && size.shortSide() >= least.shortSide()
                    ? Finding.passes(size.words())
                    : Finding.fails(
                            size.words(),
                            "It needs " + Figures.grouped(least.longSide()) + " px on the long side and "
                                    + Figures.grouped(least.shortSide()) + " px on the short one." + LARGER);
        }
    }

    /** Said where lines are wanted and something else came. */
    String WHO_DREW_IT = " Whoever drew it has one that can be made any size: ask for the SVG or EPS.";

    /** Said of pictures that are too small. */
    String LARGER = " The original on the camera is likely larger: mails shrink pictures.";

    /**
     * A picture that is sharp enough at a size on paper.
     *
     * @param least the resolution wanted, in dots per inch
     */
    record Sharp(int least, PrintSize size) implements Check {
        @Override
        public String words() {
            return "at least " + least + " dpi at " + size.name();
        }

        @Override
        public Finding of(FileFacts file) {
            if (file.picture().isEmpty()) {
                return unknown("Its size in pixels");
            }
            Pixels pixels = file.picture().get().size();
            int found = size.resolution(pixels);
            String figures = pixels.words() + ": " + found + " dpi at " + size.name();
            boolean byLong = size.isLimitedByLongSide(pixels);
            int needed = PrintSize.needed(byLong ? size.longSide() : size.shortSide(), least);
            return found >= least
                    ? Finding.passes(figures)
                    : Finding.fails(
                            figures,
                            "It needs " + Figures.grouped(needed) + " px on the " + (byLong ? "long" : "short")
                                    + " side." + LARGER);
        }
    }

    /** Colours of one of these kinds. What is otherwise can be converted, so it only warns. */
    record InColours(Set<ColourSpace> wanted) implements Check {
        @Override
        public String words() {
            return either(
                    EnumSet.copyOf(wanted).stream().map(ColourSpace::words).toList());
        }

        @Override
        public Finding of(FileFacts file) {
            Optional<ColourSpace> found = file.picture().flatMap(FileFacts.Picture::colours);
            if (found.isEmpty()) {
                return unknown("How its colours are given");
            }
            String figures = "Its colours are " + found.get().words()
                    + file.picture()
                            .flatMap(FileFacts.Picture::profile)
                            .map(name -> " (" + name + ")")
                            .orElse(", without a profile");
            return wanted.contains(found.get())
                    ? Finding.passes(figures)
                    : Finding.warns(
                            figures, "What is wanted is " + words() + "; we can convert it, and colours may shift.");
        }
    }

    /** So many pages. */
    record PagesBetween(int least, int most) implements Check {
        @Override
        public String words() {
            return between(least, most, "page");
        }

        @Override
        public Finding of(FileFacts file) {
            return counted(
                    file.document().map(FileFacts.Document::pages).orElse(OptionalInt.empty()), least, most, "page");
        }
    }

    /**
     * Pages of a size, with room around it to be cut away.
     *
     * @param bleed in millimetres, 0 for none
     */
    record Trimmed(PrintSize size, double bleed) implements Check {
        private static final double NEAR = 1;

        @Override
        public String words() {
            return size.name() + (bleed > 0 ? " with " + Figures.plain(bleed) + " mm around it" : "");
        }

        @Override
        public Finding of(FileFacts file) {
            Optional<PrintSize> sheet = file.document().flatMap(FileFacts.Document::sheet);
            if (sheet.isEmpty()) {
                return unknown("The size of its pages");
            }
            double around = file.document().flatMap(FileFacts.Document::bleed).orElse(0.0);
            String figures = "Its pages are " + sheet.get().name()
                    + (bleed > 0 ? ", with " + Figures.plain(around) + " mm around them" : "");
            boolean fits = Math.abs(sheet.get().longSide() - size.longSide()) <= NEAR
                    && Math.abs(sheet.get().shortSide() - size.shortSide()) <= NEAR;
            if (!fits) {
                return Finding.fails(figures, "What is wanted is " + words() + ".");
            }
            return around + 0.05 >= bleed
                    ? Finding.passes(figures)
                    : Finding.fails(
                            figures,
                            "Export it once more with " + Figures.plain(bleed) + " mm of bleed, and with the bleed box"
                                    + " written.");
        }
    }

    /** Every font that is used is in the file. */
    record FontsWithin() implements Check {
        @Override
        public String words() {
            return "every font within it";
        }

        @Override
        public Finding of(FileFacts file) {
            if (file.document().isEmpty()) {
                return unknown("Which fonts it uses");
            }
            List<String> missing = file.document().get().fontsLeftOut();
            return missing.isEmpty()
                    ? Finding.passes("Every font is within it")
                    : Finding.fails(
                            "It does not carry " + String.join(", ", missing),
                            "Export it once more with fonts embedded, or with its words as outlines.");
        }
    }

    /** So many words. */
    record WordsBetween(int least, int most) implements Check {
        @Override
        public String words() {
            return between(least, most, "word");
        }

        @Override
        public Finding of(FileFacts file) {
            return counted(
                    file.document().map(FileFacts.Document::words).orElse(OptionalInt.empty()), least, most, "word");
        }
    }

    /** Played for so long. */
    record PlaysFor(Duration least, Duration most) implements Check {
        @Override
        public String words() {
            return Figures.played(least) + " to " + Figures.played(most) + " long";
        }

        @Override
        public Finding of(FileFacts file) {
            if (file.length().isEmpty()) {
                return unknown("How long it is");
            }
            Duration length = file.length().get();
            String figures = "It is " + Figures.played(length) + " long";
            if (length.compareTo(least) < 0) {
                return Finding.fails(figures, "It should be at least " + Figures.played(least) + ".");
            }
            return length.compareTo(most) > 0
                    ? Finding.fails(figures, "It should be at most " + Figures.played(most) + ".")
                    : Finding.passes(figures);
        }
    }

    /** No password is needed to read it. */
    record Unlocked() implements Check {
        @Override
        public boolean isUnsaid() {
            return true;
        }

        @Override
        public String words() {
            return "no password";
        }

        @Override
        public Finding of(FileFacts file) {
            return file.locked()
                    ? Finding.fails("A password is needed to read it", "Save it once more without a password.")
                    : Finding.passes("No password is needed");
        }
    }

    /** It carries no programs that run when it is opened. */
    record WithoutMacros() implements Check {
        @Override
        public boolean isUnsaid() {
            return true;
        }

        @Override
        public String words() {
            return "no macros";
        }

        @Override
        public Finding of(FileFacts file) {
            return file.macros()
                    ? Finding.fails(
                            "It carries macros", "Save it once more as a plain document: .docx, .xlsx or .pptx.")
                    : Finding.passes("It carries no macros");
        }
    }

    private static Finding unknown(String what) {
        return Finding.warns(what + " could not be found", "We look at it ourselves.");
    }

    private static Finding counted(OptionalInt found, int least, int most, String what) {
        if (found.isEmpty()) {
            return unknown("How many " + what + "s it has");
        }
        String figures = Figures.counted(found.getAsInt(), what);
        return found.getAsInt() >= least && found.getAsInt() <= most
                ? Finding.passes(figures)
                : Finding.fails(figures, "What is wanted is " + between(least, most, what) + ".");
    }

    private static String between(int least, int most, String what) {
        if (least == most) {
            return Figures.counted(least, what);
        }
        return least == 0
                ? "at most " + Figures.counted(most, what)
                : Figures.grouped(least) + " to " + Figures.counted(most, what);
    }

    private static String either(List<String> words) {
        return String.join(" or ", words);
    }
}
