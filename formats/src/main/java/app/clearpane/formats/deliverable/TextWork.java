package app.clearpane.formats.deliverable;

import app.clearpane.core.markup.Writing;
import app.clearpane.formats.clearance.PdfWriter;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.jsoup.nodes.Entities;

/** A text. It is read as {@link Texts#read} gives it; its one sheet is a picture of how it begins. */
record TextWork(Path file, MediaKind kind) implements Work {
    /** More of a text than this does not fit on its sheet. */
    private static final int BEGINNING = 6_000;

    static TextWork open(Path file, MediaKind kind) throws IOException, UnusableFile {
        Texts.read(file, kind.mediaType());
        return new TextWork(file, kind);
    }

    @Override
    public String mediaType() {
        return kind.mediaType();
    }

    @Override
    public int pages() {
        return 1;
    }

    @Override
    public void draw(int fromPage, Taker taker) throws IOException, UnusableFile {
        Path sheet = Files.createTempFile("sheet", ".pdf");
        try {
            Files.write(sheet, PdfWriter.write(xhtml(Texts.read(file, kind.mediaType()))));
            PdfWork.open(sheet).draw(1, page -> {
                if (page.page() == 1) {
                    taker.take(page);
                }
            });
        } finally {
            Files.delete(sheet);
        }
    }

    private static String xhtml(Writing writing) {
        StringBuilder body = new StringBuilder();
        for (Writing.Paragraph paragraph : writing.paragraphs()) {
            if (body.length() < BEGINNING) {
                String text = paragraph.text();
                body.append("<p class=\"")
                        .append(paragraph.style().name())
                        .append("\">")
                        .append(Entities.escape(legible(text.substring(0, Math.min(text.length(), BEGINNING)))))
                        .append("</p>");
            }
        }
        return "<html><head><style>@page { size: A4; margin: 24mm 22mm } body { font: 11pt/1.5 Atkinson; color: "
                + "#22282c } p { margin: 0 0 3mm } .TITLE { font: 700 20pt/1.2 Bricolage } "
                + ".HEADING { font: 700 14pt/1.25 Bricolage; margin-top: 6mm } .ITEM { margin-left: 6mm } .QUOTE { "
                + "margin-left: 8mm; color: #5a625f } </style></head><body>"
                + body + "</body></html>";
    }

    /** Without characters that XML cannot hold. */
    private static String legible(String text) {
        return text.replaceAll("[^\\u0009\\u0020-\\uD7FF\\uE000-\\uFFFD]", " ");
    }

    @Override
    public Optional<BufferedImage> strip(int page, int width, int top, int height) {
        return Optional.empty();
    }
}
