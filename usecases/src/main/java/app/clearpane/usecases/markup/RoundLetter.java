package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a round asks for, on one page, for whoever makes the next version.
 *
 * @param changes every change that is asked for and not settled, in reading order
 * @param others what else was said: questions, ideas, what is to be kept
 * @param toMake how many changes are open or taken on
 * @param settled how many marks were confirmed, set aside or withdrawn
 */
record RoundLetter(
        String deliverable, Version version, List<Line> changes, List<Line> others, int toMake, int settled) {

    /**
     * One mark.
     *
     * @param ratio the height over the width of its sheet
     * @param also who asks for a change at the same place too, each with the mark; empty mostly
     * @param against what it clashes with, as long as nobody ruled
     * @param joined the marks that ask for the same and are worked on with it
     * @param doer who of the team sees to it, by name
     */
    record Line(
            Mark mark,
            String progress,
            double ratio,
            List<String> also,
            Optional<String> against,
            List<Mark> joined,
            Optional<String> doer) {
        /** The names of the files that came with it, with what asks for the same, and with their answers. */
        public List<String> files() {
            return Stream.concat(Stream.of(mark), joined.stream())
                    .flatMap(one -> Stream.concat(
                            Stream.of(one.beside().with()),
                            one.answers().stream().map(Mark.Answer::with)))
                    .flatMap(with -> with.attachments().stream())
                    .map(Mark.Attachment::name)
                    .toList();
        }

        /** "change", "question", "idea" or "keep". */
        public String intent() {
            return MarkWords.intent(mark.intent());
        }

        /** Where it is, in words. */
        public String where() {
            return MarkWords.where(mark.place());
        }

        /** Whether a picture of its place says more than these words. */
        public boolean pictured() {
            return ShapeOnSheet.pictured(mark.place());
        }

        /** What it looks like on its sheet. */
        public ShapeOnSheet drawn() {
            return ShapeOnSheet.of(mark.place(), ratio);
        }

        /** What of the sheet to show of it, as a view box. */
        public String cut() {
            return ViewBox.around(mark.place(), ratio);
        }

        /** In one line, for a mail. */
        String inOneLine() {
            return mark.label() + ", " + where() + ", " + mark.author().name() + ": " + mark.note()
                    + joined.stream()
                            .map(other -> " Together with " + other.label() + ", "
                                    + other.author().name() + ": " + other.note())
                            .collect(Collectors.joining())
                    + mark.replacement()
                            .map(words -> " Instead: “" + words + "”")
                            .orElse("")
                    + against.map(clash -> " (clashes with " + clash + ")").orElse("");
        }
    }
}
