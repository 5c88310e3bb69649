package app.clearpane.formats.deliverable;

import app.clearpane.core.markup.Writing;
import app.clearpane.core.markup.Writing.Paragraph;
import app.clearpane.core.markup.Writing.Style;
import app.clearpane.core.markup.Writing.Words;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.poi.xwpf.usermodel.IBodyElement;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFRun;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.BlockQuote;
import org.commonmark.node.Code;
import org.commonmark.node.Emphasis;
import org.commonmark.node.FencedCodeBlock;
import org.commonmark.node.HardLineBreak;
import org.commonmark.node.Heading;
import org.commonmark.node.HtmlBlock;
import org.commonmark.node.HtmlInline;
import org.commonmark.node.IndentedCodeBlock;
import org.commonmark.node.ListItem;
import org.commonmark.node.Node;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.StrongEmphasis;
import org.commonmark.node.Text;
import org.commonmark.parser.Parser;

/** Reads texts: Markdown, plain text, and the words of a DOCX. */
public final class Texts {
    /** The most bytes of a text file; of a DOCX with its pictures, ten times as many. */
    public static final long LARGEST = 4_000_000;

    /** The most characters of a text. */
    public static final int MOST_CHARACTERS = 1_000_000;

    private Texts() {}

    /**
     * Reads a text.
     *
     * @param mediaType {@code text/markdown}, {@code text/plain} or DOCX's
     * @throws UnusableFile with a sentence if it is damaged, empty or too long
     */
    public static Writing read(Path file, String mediaType) throws IOException, UnusableFile {
        boolean docx = mediaType.equals(MediaKind.DOCX.mediaType());
        if (Files.size(file) > LARGEST * (docx ? 10 : 1)) {
            throw new UnusableFile(
                    "This text has %,d bytes; up to %,d can be read here. Nothing was kept; split it and send "
                            + "the parts.".formatted(Files.size(file), LARGEST * (docx ? 10 : 1)));
        }
        List<Paragraph> paragraphs = docx
                ? ofDocx(file)
                : mediaType.equals(MediaKind.MARKDOWN.mediaType()) ? ofMarkdown(decoded(file)) : ofPlain(decoded(file));
        Writing writing = new Writing(paragraphs.stream()
                .filter(paragraph -> !paragraph.text().isBlank())
                .toList());
        if (writing.paragraphs().isEmpty()) {
            throw new UnusableFile(
                    "This text has no word in it. Nothing was kept; look whether the right file was chosen.");
        }
        if (writing.plain().length() > MOST_CHARACTERS) {
            throw new UnusableFile(
                    "This text has more than %,d characters. Nothing was kept; split it and send the parts."
                            .formatted(MOST_CHARACTERS));
        }
        return writing;
    }

    /** As UTF-8, or where that cannot be, as Windows text. */
    private static String decoded(Path file) throws IOException {
        byte[] bytes = Files.readAllBytes(file);
        if (bytes.length > 1
                && (bytes[0] == (byte) 0xFE && bytes[1] == (byte) 0xFF
                        || bytes[0] == (byte) 0xFF && bytes[1] == (byte) 0xFE)) {
            return new String(bytes, StandardCharsets.UTF_16);
        }
        String text;
        try {
            text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException other) {
            text = new String(bytes, Charset.forName("windows-1252"));
        }
        return text.replace("\uFEFF", "").replace("\r\n", "\n").replace('\r', '\n');
    }

    private static Paragraph plainly(Style style, String text) {
        return new Paragraph(style, List.of(new Words(text, false, false)));
    }

    /** Paragraphs are parted by empty lines; a single line break within one is a space. */
    private static List<Paragraph> ofPlain(String text) {
        List<Paragraph> result = new ArrayList<>();
        for (String part : text.split("\n[ \t]*\n+")) {
            result.add(plainly(Style.BODY, part.strip().replaceAll("[ \t]*\n[ \t]*", " ")));
        }
        return result;
    }

    private static List<Paragraph> ofMarkdown(String text) {
        MarkdownReader reader = new MarkdownReader();
        Parser.builder().build().parse(text).accept(reader);
        return reader.paragraphs;
    }

    private static List<Paragraph> ofDocx(Path file) throws UnusableFile {
        List<Paragraph> result = new ArrayList<>();
        try (InputStream in = Files.newInputStream(file);
                XWPFDocument document = new XWPFDocument(in)) {
            for (IBodyElement element : document.getBodyElements()) {
                if (element instanceof XWPFParagraph paragraph) {
                    result.add(ofDocx(paragraph));
                } else if (element instanceof XWPFTable table) {
                    table.getRows().forEach(row -> row.getTableCells()
                            .forEach(cell -> cell.getParagraphs().forEach(paragraph -> result.add(ofDocx(paragraph)))));
                }
            }
        } catch (IOException | RuntimeException damaged) {
            throw new UnusableFile(
                    "This DOCX is damaged or locked: its text could not be read. Nothing was kept; save it again, "
                            + "without a password, and send that.",
                    damaged);
        }
        return result;
    }

    private static Paragraph ofDocx(XWPFParagraph paragraph) {
        List<Words> words = new ArrayList<>();
        for (XWPFRun run : paragraph.getRuns()) {
            String text = run.text().replaceAll("\\s", " ");
            if (!text.isEmpty()) {
                words.add(new Words(text, run.isBold(), run.isItalic()));
            }
        }
        String style = paragraph.getStyle() == null ? "" : paragraph.getStyle().toLowerCase(Locale.ROOT);
        Style as = style.startsWith("title") || style.equals("heading1")
                ? Style.TITLE
                : style.startsWith("heading")
                        ? Style.HEADING
                        : style.contains("quote")
                                ? Style.QUOTE
                                : paragraph.getNumID() != null ? Style.ITEM : Style.BODY;
        return new Paragraph(as, words);
    }

    /** Walks through Markdown and keeps its words. */
    private static final class MarkdownReader extends AbstractVisitor {
        private final List<Paragraph> paragraphs = new ArrayList<>();
        private List<Words> words = new ArrayList<>();
        private int strong;
        private int emphasised;
        private Style within = Style.BODY;

        private void end(Style style) {
            if (!words.isEmpty()) {
                paragraphs.add(new Paragraph(style, words));
                words = new ArrayList<>();
            }
        }

        private void say(String text) {
            if (!text.isEmpty()) {
                words.add(new Words(text, strong > 0, emphasised > 0));
            }
        }

        private void inside(Style style, Node node) {
            Style outside = within;
            within = style;
            visitChildren(node);
            end(style);
            within = outside;
        }

        @Override
        public void visit(Heading heading) {
            visitChildren(heading);
            end(heading.getLevel() == 1 ? Style.TITLE : Style.HEADING);
        }

        @Override
        public void visit(org.commonmark.node.Paragraph paragraph) {
            visitChildren(paragraph);
            end(within);
        }

        @Override
        public void visit(ListItem item) {
            inside(Style.ITEM, item);
        }

        @Override
        public void visit(BlockQuote quote) {
            inside(Style.QUOTE, quote);
        }

        @Override
        public void visit(FencedCodeBlock code) {
            code.getLiteral().lines().forEach(line -> paragraphs.add(plainly(Style.CODE, line)));
        }

        @Override
        public void visit(IndentedCodeBlock code) {
            code.getLiteral().lines().forEach(line -> paragraphs.add(plainly(Style.CODE, line)));
        }

        @Override
        public void visit(HtmlBlock html) {
            paragraphs.add(plainly(
                    Style.CODE, html.getLiteral().replaceAll("\\s+", " ").strip()));
        }

        @Override
        public void visit(HtmlInline html) {
            say(html.getLiteral());
        }

        @Override
        public void visit(Text text) {
            say(text.getLiteral());
        }

        @Override
        public void visit(Code code) {
            say(code.getLiteral());
        }

        @Override
        public void visit(SoftLineBreak soft) {
            say(" ");
        }

        @Override
        public void visit(HardLineBreak hard) {
            say(" ");
        }

        @Override
        public void visit(StrongEmphasis node) {
            strong++;
            visitChildren(node);
            strong--;
        }

        @Override
        public void visit(Emphasis node) {
            emphasised++;
            visitChildren(node);
            emphasised--;
        }
    }
}
