package app.clearpane.formats.markup;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.markup.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;

/** Places as SVG and back. */
final class SvgShapes {
    private static final Pattern NUMBER = Pattern.compile("[-+]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][-+]?\\d+)?");
    private static final double DISC = 0.02;

    private SvgShapes() {}

    /** A drawing in the page's own units with the place on it. */
    static String write(Place place, PageSize size) {
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %s %s\">%s</svg>"
                .formatted(n(size.width()), n(size.height()), shape(place, size.width(), size.height()));
    }

    /** The place as an element of such a drawing. */
    static String shape(Place place, double width, double height) {
        if (place instanceof Place.Rectangle r) {
            return "<rect x=\"%s\" y=\"%s\" width=\"%s\" height=\"%s\"/>"
                    .formatted(n(r.x() * width), n(r.y() * height), n(r.width() * width), n(r.height() * height));
        }
        if (place instanceof Place.Ellipse e) {
            return "<ellipse cx=\"%s\" cy=\"%s\" rx=\"%s\" ry=\"%s\"/>"
                    .formatted(
                            n(e.centreX() * width),
                            n(e.centreY() * height),
                            n(e.width() / 2 * width),
                            n(e.height() / 2 * height));
        }
        if (place instanceof Place.Arrow a) {
            return "<line class=\"arrow\" x1=\"%s\" y1=\"%s\" x2=\"%s\" y2=\"%s\"/>"
                    .formatted(n(a.fromX() * width), n(a.fromY() * height), n(a.toX() * width), n(a.toY() * height));
        }
        if (place instanceof Place.Line l) {
            return "<line x1=\"%s\" y1=\"%s\" x2=\"%s\" y2=\"%s\"/>"
                    .formatted(n(l.fromX() * width), n(l.fromY() * height), n(l.toX() * width), n(l.toY() * height));
        }
        if (place instanceof Place.Freehand f) {
            return "<polyline points=\"%s\"/>"
                    .formatted(f.spots().stream()
                            .map(spot -> n(spot.x() * width) + "," + n(spot.y() * height))
                            .collect(Collectors.joining(" ")));
        }
        return "<circle class=\"point\" cx=\"%s\" cy=\"%s\" r=\"%s\"/>"
                .formatted(n(place.centreX() * width), n(place.centreY() * height), n(DISC * width));
    }

    /**
     * The first shape of a drawing as a place.
     *
     * @param size of the page, for drawings that have no view box
     * @throws IllegalArgumentException if there is none that is known, or it lies outside the page
     */
    static Place read(String svg, int page, PageSize size) {
        Element root = Jsoup.parse(svg, Parser.xmlParser()).selectFirst("svg");
        Element shape = root == null ? null : root.selectFirst("rect, circle, ellipse, line, polyline, polygon, path");
        if (root == null || shape == null) {
            throw new IllegalArgumentException("its drawing has no shape that is known here");
        }
        if (shape.hasAttr("transform") || shape.parents().stream().anyMatch(above -> above.hasAttr("transform"))) {
            throw new IllegalArgumentException("its shape is moved or turned by a transform, which is not read here");
        }
        List<Double> view = numbers(root.attr("viewBox"));
        double left = view.size() == 4 ? view.get(0) : 0;
        double top = view.size() == 4 ? view.get(1) : 0;
        double width = view.size() == 4 ? view.get(2) : size.width();
        double height = view.size() == 4 ? view.get(3) : size.height();
        return place(shape, page, new Frame(left, top, width, height));
    }

    private record Frame(double left, double top, double width, double height) {
        double x(double value) {
            return (value - left) / width;
        }

        double y(double value) {
            return (value - top) / height;
        }
    }

    private static Place place(Element shape, int page, Frame in) {
        return switch (shape.normalName()) {
            case "rect" ->
                new Place.Rectangle(
                        page,
                        in.x(number(shape, "x")),
                        in.y(number(shape, "y")),
                        number(shape, "width") / in.width,
                        number(shape, "height") / in.height);
            case "circle" -> circle(shape, page, in);
            case "ellipse" ->
                ellipse(page, in, number(shape, "cx"), number(shape, "cy"), number(shape, "rx"), number(shape, "ry"));
            case "line" ->
                shape.hasClass("arrow") || shape.hasAttr("marker-end")
                        ? new Place.Arrow(
                                page,
                                in.x(number(shape, "x1")),
                                in.y(number(shape, "y1")),
                                in.x(number(shape, "x2")),
                                in.y(number(shape, "y2")))
                        : new Place.Line(
                                page,
                                in.x(number(shape, "x1")),
                                in.y(number(shape, "y1")),
                                in.x(number(shape, "x2")),
                                in.y(number(shape, "y2")));
            case "path" -> path(shape.attr("d"), page, in);
            default -> freehand(numbers(shape.attr("points")), page, in);
        };
    }

    private static Place circle(Element shape, int page, Frame in) {
        double radius = number(shape, "r");
        boolean point = shape.hasClass("point") || radius <= DISC * in.width;
        return point
                ? new Place.Point(page, in.x(number(shape, "cx")), in.y(number(shape, "cy")))
                : ellipse(page, in, number(shape, "cx"), number(shape, "cy"), radius, radius);
    }

    private static Place ellipse(int page, Frame in, double cx, double cy, double rx, double ry) {
        return new Place.Ellipse(page, in.x(cx - rx), in.y(cy - ry), 2 * rx / in.width, 2 * ry / in.height);
    }

    /** A path of straight lines; curves are not followed. */
    private static Place path(String commands, int page, Frame in) {
        if (!commands.matches("[MLZz\\d\\s,.eE+-]*")) {
            throw new IllegalArgumentException("its drawing has curves, which are not read");
        }
        return freehand(numbers(commands), page, in);
    }

    private static Place freehand(List<Double> numbers, int page, Frame in) {
        List<Place.Spot> spots = new ArrayList<>();
        for (int i = 0; i + 1 < numbers.size(); i += 2) {
            spots.add(new Place.Spot(in.x(numbers.get(i)), in.y(numbers.get(i + 1))));
        }
        return new Place.Freehand(page, spots);
    }

    /** A media fragment's box: "percent:10,20,30,40", "pixel:…" or only numbers, which are pixels. */
    static Place box(String xywh, int page, PageSize size) {
        List<Double> numbers = numbers(xywh.replaceAll("^(percent|pixel):", "").replaceAll("&.*", ""));
        if (numbers.size() != 4) {
            throw new IllegalArgumentException("a box needs four numbers: " + xywh);
        }
        boolean percent = xywh.startsWith("percent:");
        double width = percent ? 100 : size.width();
        double height = percent ? 100 : size.height();
        return new Place.Rectangle(
                page, numbers.get(0) / width, numbers.get(1) / height, numbers.get(2) / width, numbers.get(3) / height);
    }

    private static double number(Element shape, String attribute) {
        List<Double> numbers = numbers(shape.attr(attribute));
        return numbers.isEmpty() ? 0 : numbers.get(0);
    }

    private static List<Double> numbers(String text) {
        List<Double> result = new ArrayList<>();
        Matcher matcher = NUMBER.matcher(text);
        while (matcher.find() && result.size() <= 2 * Place.Freehand.MOST_SPOTS) {
            result.add(Double.valueOf(matcher.group()));
        }
        return result;
    }

    static String n(double number) {
        return String.format(Locale.ROOT, "%.4f", number).replaceAll("\\.?0+$", "");
    }
}
