package app.etlo.server.print;

import static app.etlo.server.print.DrawingBounds.require;

import app.etlo.server.print.DrawingBounds.Exceeded;
import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * The section as the screen drew it, read into a closed model and written again: groups, paths, rectangles, circles, words, and
 * patterns of plain paths. Nothing of the page's own text is passed on; numbers, counts, depth, tiles and dashes are bounded, and
 * what refers, nests, scripts or styles is not in the model. A drawing outside the bounds is refused whole.
 */
final class SectionDrawing {
    private static final Set<String> SHAPES = Set.of("path", "rect", "circle", "text");
    private static final Pattern COLOUR =
            Pattern.compile("none|#[0-9a-fA-F]{3,8}|rgba?\\([0-9., %]{1,40}\\)|[a-z]{3,20}");
    private static final Pattern OF_PATTERN = Pattern.compile("url\\([\"']?#([\\w-]{1,40})[\"']?\\)");
    private static final Pattern VIEW_BOX = Pattern.compile("0 0 ([0-9.]{1,8}) ([0-9.]{1,8})");
    private static final Pattern MOVE =
            Pattern.compile("\\s*(translate|rotate|scale)\\(\\s*([-0-9.e]{1,20})(?:[ ,]+([-0-9.e]{1,20}))?\\s*\\)\\s*");
    private static final Set<String> CAPS = Set.of("butt", "round", "square", "miter", "bevel");
    private static final Set<String> ANCHORS = Set.of("start", "middle", "end");
    private static final double MOST_SCALE = 20;
    private static final double MOST_FONT = 60;

    private final XMLStreamReader in;
    private final StringBuilder out = new StringBuilder();
    private final Map<String, Double> tiles = new HashMap<>();
    private final Set<String> used = new HashSet<>();
    private int elements;
    private int numbers;
    private int texts;
    private int letters;
    private double laid;
    private double dashes;

    private SectionDrawing(XMLStreamReader in) {
        this.in = in;
    }

    /**
     * A drawing that may be printed.
     *
     * @param svg written again, with nothing in it but drawing
     */
    record Drawn(String svg, double width, double height) {}

    /**
     * The drawing in a text.
     *
     * @throws Exceeded when it is none, or more than may be drawn
     */
    static Drawn read(String text) throws Exceeded {
        require(!text.isBlank() && text.length() <= DrawingBounds.MOST_LETTERS, "too large");
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
        try {
            return new SectionDrawing(factory.createXMLStreamReader(new StringReader(text))).drawn();
        } catch (XMLStreamException e) {
            throw new Exceeded("not a drawing");
        }
    }

    private Drawn drawn() throws XMLStreamException, Exceeded {
        require(
                in.nextTag() == XMLStreamConstants.START_ELEMENT
                        && in.getLocalName().equals("svg"),
                "not a drawing");
        Matcher box = VIEW_BOX.matcher(value("viewBox").orElse(""));
        require(box.matches(), "no frame");
        double width =
                DrawingBounds.number(box.group(1), DrawingBounds.LEAST_SIDE, DrawingBounds.MOST_SIDE, "an odd frame");
        double height =
                DrawingBounds.number(box.group(2), DrawingBounds.LEAST_SIDE, DrawingBounds.MOST_SIDE, "an odd frame");
        require(height <= 3 * width && width <= 30 * height, "an odd frame");
        out.append("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"")
                .append(PathData.short2(width))
                .append("\" height=\"")
                .append(PathData.short2(height))
                .append("\" viewBox=\"0 0 ")
                .append(PathData.short2(width))
                .append(' ')
                .append(PathData.short2(height))
                .append("\">");
        children();
        require(tiles.keySet().containsAll(used), "a fill that is not there");
        return new Drawn(out.append("</svg>").toString(), width, height);
    }

    /** What stands in the drawing or a group, to its end. */
    private void children() throws XMLStreamException, Exceeded {
        Deque<String> open = new ArrayDeque<>();
        while (true) {
            int event = in.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                String name = in.getLocalName();
                count();
                require(open.size() < DrawingBounds.DEEPEST, "nested too deeply");
                if (name.equals("g")) {
                    out.append("<g");
                    style(Optional.empty());
                    transform("transform");
                    out.append('>');
                    open.push(name);
                } else if (name.equals("defs")) {
                    out.append("<defs>");
                    patterns();
                    out.append("</defs>");
                } else if (SHAPES.contains(name)) {
                    shape(name);
                } else {
                    skip();
                }
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                if (open.isEmpty()) {
                    return;
                }
                out.append("</").append(open.pop()).append('>');
            } else {
                require(event != XMLStreamConstants.ENTITY_REFERENCE && event != XMLStreamConstants.DTD, "not plain");
            }
        }
    }

    private void count() throws Exceeded {
        require(++elements <= DrawingBounds.MOST_ELEMENTS, "too many shapes");
    }

    /** Passes over an element of no kind that is drawn, with all that is in it. */
    private void skip() throws XMLStreamException, Exceeded {
        for (int depth = 1; depth > 0; ) {
            int event = in.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                count();
                require(++depth <= DrawingBounds.DEEPEST, "nested too deeply");
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            }
        }
    }

    private void patterns() throws XMLStreamException, Exceeded {
        while (in.nextTag() == XMLStreamConstants.START_ELEMENT) {
            count();
            if (in.getLocalName().equals("pattern")) {
                pattern();
            } else {
                skip();
            }
        }
    }

    private void pattern() throws XMLStreamException, Exceeded {
        String id = value("id").orElse("");
        require(id.matches("[\\w-]{1,40}") && !tiles.containsKey(id), "a pattern without a name of its own");
        require(tiles.size() < DrawingBounds.MOST_PATTERNS, "too many patterns");
        double width = side("width");
        double height = side("height");
        tiles.put(id, width * height);
        out.append("<pattern id=\"").append(id).append("\" patternUnits=\"userSpaceOnUse\"");
        attribute("width", width);
        attribute("height", height);
        transform("patternTransform");
        out.append('>');
        for (int n = 0; in.nextTag() == XMLStreamConstants.START_ELEMENT; n++) {
            count();
            require(
                    in.getLocalName().equals("path") && n < DrawingBounds.MOST_PATHS_OF_A_PATTERN,
                    "a pattern of more than a few paths");
            PathData d = data();
            require(
                    d.width() <= 4 * DrawingBounds.MOST_TILE && d.height() <= 4 * DrawingBounds.MOST_TILE,
                    "a wide tile");
            out.append("<path");
            text("d", d.text());
            for (String name : new String[] {"fill", "stroke"}) {
                Optional<String> colour = value(name);
                // a tile is plain: nothing in it is filled with another
                require(colour.isEmpty() || COLOUR.matcher(colour.get()).matches(), "a pattern in a pattern");
                colour.ifPresent(c -> text(name, c));
            }
            lines(Optional.empty());
            out.append("/>");
            require(in.nextTag() == XMLStreamConstants.END_ELEMENT, "a path with something in it");
        }
        out.append("</pattern>");
    }

    private double side(String name) throws Exceeded {
        return DrawingBounds.number(
                value(name).orElse(""), DrawingBounds.LEAST_TILE, DrawingBounds.MOST_TILE, "an odd tile");
    }

    private PathData data() throws Exceeded {
        PathData d = PathData.read(value("d").orElse(""));
        numbers += d.numbers();
        require(numbers <= DrawingBounds.MOST_NUMBERS, "too many numbers");
        return d;
    }

    private void shape(String name) throws XMLStreamException, Exceeded {
        out.append('<').append(name);
        Optional<PathData> path = Optional.empty();
        switch (name) {
            case "path" -> {
                path = Optional.of(data());
                text("d", path.get().text());
            }
            case "rect" -> {
                double width = coordinate("width");
                double height = coordinate("height");
                require(width >= 0 && height >= 0, "an odd box");
                coordinate("x");
                coordinate("y");
                path = Optional.of(new PathData("", 0, 2 * (width + height), width, height));
            }
            case "circle" -> {
                double r = coordinate("r");
                require(r >= 0, "an odd circle");
                coordinate("cx");
                coordinate("cy");
                path = Optional.of(new PathData("", 0, 2 * Math.PI * r, 2 * r, 2 * r));
            }
            default -> {
                coordinate("x");
                coordinate("y");
                font();
            }
        }
        transform("transform");
        style(path);
        out.append('>');
        if (name.equals("text")) {
            words();
        } else {
            skip();
        }
        out.append("</").append(name).append('>');
    }

    private void words() throws XMLStreamException, Exceeded {
        require(++texts <= DrawingBounds.MOST_TEXTS, "too many words");
        StringBuilder word = new StringBuilder();
        while (true) {
            int event = in.next();
            if (event == XMLStreamConstants.CHARACTERS || event == XMLStreamConstants.CDATA) {
                word.append(in.getText());
                require(word.length() <= DrawingBounds.LONGEST_TEXT, "a long word");
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                count();
                skip();
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                letters += word.length();
                require(letters <= DrawingBounds.MOST_WORD_LETTERS, "too many words");
                out.append(escaped(word.toString()));
                return;
            }
        }
    }

    private void font() throws Exceeded {
        boolean figures = value("font-family").orElse("").contains("Sofia");
        text("font-family", figures ? PrintController.FIGURES_NAME : PrintController.TEXT_NAME);
        number("font-size", 3, MOST_FONT);
        number("font-weight", 100, 900);
        word("font-style", Set.of("italic", "normal"));
        word("text-anchor", ANCHORS);
    }

    /**
     * @param path what is painted; absent where only colours are set for what follows
     */
    private void style(Optional<PathData> path) throws Exceeded {
        Optional<String> fill = value("fill");
        if (fill.isPresent()) {
            Matcher of = OF_PATTERN.matcher(fill.get());
            if (of.matches()) {
                require(path.isPresent(), "a pattern for a group");
                // patterns may be declared behind what they fill; a tile is no smaller than the least
                double tile = tiles.getOrDefault(of.group(1), DrawingBounds.LEAST_TILE * DrawingBounds.LEAST_TILE);
                laid += path.get().width() * path.get().height() / tile;
                require(laid <= DrawingBounds.MOST_TILES, "too much pattern");
                used.add(of.group(1));
                text("fill", "url(#" + of.group(1) + ")");
            } else {
                require(COLOUR.matcher(fill.get()).matches(), "an odd colour");
                text("fill", fill.get());
            }
        }
        Optional<String> stroke = value("stroke");
        if (stroke.isPresent()) {
            require(COLOUR.matcher(stroke.get()).matches(), "an odd colour");
            text("stroke", stroke.get());
        }
        lines(path);
        number("opacity", 0, 1);
        number("fill-opacity", 0, 1);
    }

    private void lines(Optional<PathData> path) throws Exceeded {
        number("stroke-width", 0, MOST_FONT);
        number("stroke-opacity", 0, 1);
        word("stroke-linejoin", CAPS);
        word("stroke-linecap", CAPS);
        Optional<String> dash = value("stroke-dasharray").filter(d -> !d.equals("none"));
        if (dash.isPresent()) {
            String[] lengths = dash.get().strip().split("[ ,]+");
            require(path.isPresent() && lengths.length <= DrawingBounds.MOST_DASH_LENGTHS, "odd dashes");
            double period = 0;
            StringBuilder again = new StringBuilder();
            for (String l : lengths) {
                double length = DrawingBounds.number(l, DrawingBounds.LEAST_DASH, DrawingBounds.FARTHEST, "odd dashes");
                period += length;
                again.append(PathData.short2(length)).append(' ');
            }
            dashes += lengths.length * path.get().length() / period;
            require(dashes <= DrawingBounds.MOST_DASHES, "too many dashes");
            text("stroke-dasharray", again.toString().strip());
        }
    }

    /** A chain of moves, turns and scales; the page never has more than three of them. */
    private void transform(String name) throws Exceeded {
        Optional<String> chain = value(name);
        if (chain.isEmpty()) {
            return;
        }
        StringBuilder again = new StringBuilder();
        String rest = chain.get();
        for (int n = 0; !rest.isBlank(); n++) {
            Matcher m = MOVE.matcher(rest);
            require(n < 4 && m.lookingAt(), "an odd place");
            boolean scale = m.group(1).equals("scale");
            double least = scale ? 0.05 : -DrawingBounds.FARTHEST;
            double most = scale ? MOST_SCALE : DrawingBounds.FARTHEST;
            again.append(m.group(1))
                    .append('(')
                    .append(PathData.short2(DrawingBounds.number(m.group(2), least, most, "an odd place")));
            if (m.group(3) != null) {
                again.append(' ')
                        .append(PathData.short2(DrawingBounds.number(m.group(3), least, most, "an odd place")));
            }
            again.append(')');
            rest = rest.substring(m.end());
        }
        text(name, again.toString());
    }

    private double coordinate(String name) throws Exceeded {
        Optional<String> given = value(name);
        double v = given.isEmpty()
                ? 0
                : DrawingBounds.number(given.get(), -DrawingBounds.FARTHEST, DrawingBounds.FARTHEST, "an odd place");
        attribute(name, v);
        return v;
    }

    private void number(String name, double least, double most) throws Exceeded {
        Optional<String> given = value(name);
        if (given.isPresent()) {
            attribute(name, DrawingBounds.number(given.get(), least, most, "an odd number"));
        }
    }

    private void word(String name, Set<String> allowed) {
        value(name).filter(allowed::contains).ifPresent(v -> text(name, v));
    }

    private Optional<String> value(String name) {
        return Optional.ofNullable(in.getAttributeValue(null, name));
    }

    private void attribute(String name, double v) {
        text(name, PathData.short2(v));
    }

    private void text(String name, String value) {
        out.append(' ').append(name).append("=\"").append(escaped(value)).append('"');
    }

    private static String escaped(String raw) {
        return raw.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;")
                .replaceAll("[\\p{Cntrl}\\uFFFE\\uFFFF]", " ");
    }
}
