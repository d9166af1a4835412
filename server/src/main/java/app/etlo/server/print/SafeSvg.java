package app.etlo.server.print;

import java.io.StringReader;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.transform.OutputKeys;
import javax.xml.transform.Transformer;
import javax.xml.transform.TransformerFactory;
import javax.xml.transform.dom.DOMSource;
import javax.xml.transform.stream.StreamResult;
import org.w3c.dom.Attr;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.xml.sax.InputSource;

/**
 * The section as the screen drew it, let through by a list of plain drawing elements and attributes. Anything else, any
 * reference out of the picture and any document type is left out.
 */
final class SafeSvg {
    private static final int MOST_LETTERS = 4_000_000;
    private static final Set<String> ELEMENTS = Set.of("svg", "g", "path", "rect", "circle", "text", "defs", "pattern");
    private static final Set<String> ATTRIBUTES = Set.of(
            "id",
            "d",
            "x",
            "y",
            "cx",
            "cy",
            "r",
            "width",
            "height",
            "viewBox",
            "fill",
            "stroke",
            "stroke-width",
            "stroke-linejoin",
            "opacity",
            "font-family",
            "font-size",
            "font-weight",
            "font-style",
            "text-anchor",
            "patternUnits",
            "patternTransform",
            "transform",
            "stroke-dasharray",
            "stroke-linecap",
            "stroke-opacity",
            "fill-opacity");
    private static final String VALUE = "[\\w\\s.,#%()'\\-+]*";

    private SafeSvg() {}

    /** The picture with nothing in it but drawing; empty when it is none. */
    static Optional<String> of(String text) {
        if (text.isBlank() || text.length() > MOST_LETTERS) {
            return Optional.empty();
        }
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            Document document = factory.newDocumentBuilder().parse(new InputSource(new StringReader(text)));
            Element root = document.getDocumentElement();
            if (!root.getTagName().equals("svg")) {
                return Optional.empty();
            }
            clean(root);
            root.setAttribute("xmlns", "http://www.w3.org/2000/svg");
            Transformer writer = TransformerFactory.newInstance().newTransformer();
            writer.setOutputProperty(OutputKeys.OMIT_XML_DECLARATION, "yes");
            StringWriter out = new StringWriter();
            writer.transform(new DOMSource(root), new StreamResult(out));
            return Optional.of(out.toString());
        } catch (Exception e) {
            return Optional.empty();
        }
    }

    private static void clean(Element element) {
        List<Attr> attributes = new ArrayList<>();
        for (int i = 0; i < element.getAttributes().getLength(); i++) {
            attributes.add((Attr) element.getAttributes().item(i));
        }
        attributes.stream().filter(a -> !allowed(a)).forEach(a -> element.removeAttribute(a.getName()));
        List<Node> children = new ArrayList<>();
        for (int i = 0; i < element.getChildNodes().getLength(); i++) {
            children.add(element.getChildNodes().item(i));
        }
        for (Node child : children) {
            if (child instanceof Element e && ELEMENTS.contains(e.getTagName())) {
                clean(e);
            } else if (child.getNodeType() != Node.TEXT_NODE) {
                element.removeChild(child);
            }
        }
    }

    private static boolean allowed(Attr attribute) {
        String value = attribute.getValue();
        boolean reference = value.contains("url(");
        return ATTRIBUTES.contains(attribute.getName())
                && value.matches(VALUE)
                && (!reference || value.matches("url\\(#[\\w-]+\\)"));
    }
}
