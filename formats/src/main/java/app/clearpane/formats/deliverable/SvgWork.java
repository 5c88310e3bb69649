package app.clearpane.formats.deliverable;

import app.clearpane.core.deliverable.PageSize;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Comment;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.DocumentType;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Entities;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.XmlDeclaration;
import org.jsoup.parser.Parser;

/**
 * An SVG drawing. What is shown is a copy without anything that runs or reaches outside; what is kept and signed is the
 * file as it came.
 */
record SvgWork(Path file, PageSize size, String harmless) implements Work {
    private static final long LARGEST = 20_000_000;
    private static final Set<String> REMOVED = Set.of(
            "script",
            "foreignobject",
            "iframe",
            "object",
            "embed",
            "audio",
            "video",
            "canvas",
            "handler",
            "listener",
            "link",
            "meta");
    private static final Pattern LENGTH = Pattern.compile(
            "\\s*([0-9]*\\.?[0-9]+(?:[eE][+-]?[0-9]+)?)\\s*(px|pt|pc|mm|cm|in|q)?\\s*", Pattern.CASE_INSENSITIVE);
    private static final Pattern PICTURE_INSIDE =
            Pattern.compile("\\s*data:image/(png|jpeg|gif|webp);base64,.*", Pattern.CASE_INSENSITIVE | Pattern.DOTALL);
    private static final Pattern OUTSIDE = Pattern.compile(
            "@import|url\\(\\s*['\"]?\\s*(?!#|['\"]?data:image/(png|jpeg|gif|webp))|expression\\(|\\\\",
            Pattern.CASE_INSENSITIVE);

    static SvgWork open(Path file) throws IOException, UnusableFile {
        if (Files.size(file) > LARGEST) {
            throw new UnusableFile("This SVG has more than %d MB. Nothing was kept; simplify it, or send it as PDF."
                    .formatted(LARGEST / 1_000_000));
        }
        Document document = Jsoup.parse(Files.readString(file, StandardCharsets.UTF_8), "", Parser.xmlParser());
        Element root = document.children().stream()
                .filter(e -> e.normalName().equals("svg"))
                .findFirst()
                .orElseThrow(() ->
                        new UnusableFile("This file has no drawing in it. Nothing was kept; export the SVG again."));
        cleanse(document);
        SvgWeight.check(root);
        PageSize size = sizeOf(root);
        if (!root.hasAttr("viewBox")) {
            root.attr("viewBox", "0 0 " + size.width() + " " + size.height());
        }
        root.attr("xmlns", "http://www.w3.org/2000/svg");
        document.outputSettings()
                .syntax(Document.OutputSettings.Syntax.xml)
                .escapeMode(Entities.EscapeMode.xhtml)
                .prettyPrint(false);
        return new SvgWork(file, size, root.outerHtml());
    }

    private static void cleanse(Document document) {
        for (Element element : List.copyOf(document.getAllElements())) {
            String name = element.normalName().replaceFirst("^.*:", "");
            if (REMOVED.contains(name)
                    || name.equals("style")
                            && OUTSIDE.matcher(element.wholeText()).find()
                    || animatesAddress(element, name)) {
                element.remove();
                continue;
            }
            element.attributes().asList().stream()
                    .filter(SvgWork::reachesOut)
                    .map(Attribute::getKey)
                    .forEach(element::removeAttr);
            for (Node child : List.copyOf(element.childNodes())) {
                if (child instanceof Comment || child instanceof DocumentType || child instanceof XmlDeclaration) {
                    child.remove();
                }
            }
        }
    }

    private static boolean animatesAddress(Element element, String name) {
        return (name.equals("set") || name.startsWith("animate"))
                && element.attr("attributeName").toLowerCase(Locale.ROOT).endsWith("href");
    }

    private static boolean reachesOut(Attribute attribute) {
        String key = attribute.getKey().toLowerCase(Locale.ROOT);
        String value = attribute.getValue();
        if (key.startsWith("on") || key.endsWith(":base")) {
            return true;
        }
        if (key.equals("href") || key.endsWith(":href") || key.equals("src")) {
            return !value.strip().startsWith("#")
                    && !PICTURE_INSIDE.matcher(value).matches();
        }
        return OUTSIDE.matcher(value).find();
    }

    private static PageSize sizeOf(Element root) throws UnusableFile {
        String[] box = root.attr("viewBox").strip().split("[\\s,]+");
        double width = length(root.attr("width"));
        double height = length(root.attr("height"));
        try {
            if (box.length == 4) {
                return new PageSize(Double.parseDouble(box[2]), Double.parseDouble(box[3]));
            }
            return width > 0 && height > 0 ? new PageSize(width, height) : new PageSize(300, 150);
        } catch (IllegalArgumentException e) {
            throw new UnusableFile(
                    "This SVG does not say how large it is in a way that can be used. Nothing was kept; export it "
                            + "with a width and a height.",
                    e);
        }
    }

    private static double length(String text) {
        Matcher matcher = LENGTH.matcher(text);
        return matcher.matches() ? Double.parseDouble(matcher.group(1)) : 0;
    }

    @Override
    public String mediaType() {
        return MediaKind.SVG.mediaType();
    }

    @Override
    public int pages() {
        return 1;
    }

    @Override
    public Optional<BufferedImage> strip(int page, int width, int top, int height) {
        return Optional.empty();
    }

    @Override
    public void draw(int fromPage, Taker taker) throws IOException {
        if (fromPage <= 1) {
            byte[] picture = harmless.getBytes(StandardCharsets.UTF_8);
            taker.take(new DrawnPage(1, size, picture, picture, mediaType()));
        }
    }
}
