package app.etlo.core.field;

import app.etlo.core.field.Boundary.Part;
import app.etlo.core.field.Boundary.Position;
import app.etlo.core.field.Boundary.Ring;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;

/**
 * Reads a field boundary from GeoJSON (RFC 7946): Polygon, MultiPolygon, or features and collections holding them.
 *
 * <p>Refused, with the place: rings not closed or of fewer than four positions, positions that are no degrees, outlines
 * that cross themselves, holes outside their part, parts that overlap.
 */
public final class BoundaryReader {
    /** A field outline of more positions is a survey, not a boundary. */
    static final int MOST_POSITIONS = 50_000;

    private static final int MOST_DEPTH = 16;

    private final List<Part> parts = new ArrayList<>();
    private int positions;

    private BoundaryReader() {}

    /**
     * The boundary in a GeoJSON tree.
     *
     * @throws BoundaryRefused when there is none or it cannot be a field
     */
    public static Boundary read(JsonNode geoJson) {
        BoundaryReader reader = new BoundaryReader();
        reader.object(geoJson, "", 0);
        if (reader.parts.isEmpty()) {
            throw new BoundaryRefused(
                    "", "the file holds no Polygon or MultiPolygon; export the field outline as an area");
        }
        OutlineCheck.requireSound(reader.parts);
        return new Boundary(reader.parts);
    }

    private void object(JsonNode node, String at, int depth) {
        if (depth > MOST_DEPTH) {
            throw new BoundaryRefused(at, "collections are nested too deeply");
        }
        if (!node.isObject()) {
            throw new BoundaryRefused(at, "expected a GeoJSON object such as {\"type\": \"Polygon\", ...}");
        }
        String type = node.path("type").asText("");
        switch (type) {
            case "FeatureCollection" -> each(node, "features", at, depth);
            case "GeometryCollection" -> each(node, "geometries", at, depth);
            case "Feature" -> {
                if (!node.path("geometry").isNull()) {
                    object(node.path("geometry"), at + "/geometry", depth + 1);
                }
            }
            case "Polygon" -> parts.add(part(node.path("coordinates"), at + "/coordinates"));
            case "MultiPolygon" -> {
                JsonNode list = array(node.path("coordinates"), at + "/coordinates", "a list of polygons");
                for (int i = 0; i < list.size(); i++) {
                    parts.add(part(list.get(i), at + "/coordinates/" + i));
                }
            }
            case "Point", "MultiPoint", "LineString", "MultiLineString" -> {
                // points and lines that lie beside the outline in the same file are no part of it
            }
            default -> throw new BoundaryRefused(at + "/type", "'" + shortened(type) + "' is not a GeoJSON type");
        }
    }

    private void each(JsonNode node, String member, String at, int depth) {
        JsonNode list = array(node.path(member), at + "/" + member, "a list");
        for (int i = 0; i < list.size(); i++) {
            object(list.get(i), at + "/" + member + "/" + i, depth + 1);
        }
    }

    private static JsonNode array(JsonNode node, String at, String what) {
        if (!node.isArray()) {
            throw new BoundaryRefused(at, "expected " + what);
        }
        return node;
    }

    private Part part(JsonNode rings, String at) {
        array(rings, at, "a list of rings");
        if (rings.isEmpty()) {
            throw new BoundaryRefused(at, "a polygon needs an outer ring");
        }
        List<Ring> read = new ArrayList<>();
        for (int i = 0; i < rings.size(); i++) {
            read.add(ring(rings.get(i), at + "/" + i));
        }
        return new Part(read.get(0), read.subList(1, read.size()));
    }

    private Ring ring(JsonNode node, String at) {
        array(node, at, "a list of positions");
        List<Position> read = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            if (++positions > MOST_POSITIONS) {
                throw new BoundaryRefused(at, "more than " + MOST_POSITIONS + " positions; simplify the outline");
            }
            read.add(position(node.get(i), at + "/" + i));
        }
        if (read.size() < 4) {
            throw new BoundaryRefused(at, "a ring needs at least four positions, the last equal to the first");
        }
        if (!read.get(0).equals(read.get(read.size() - 1))) {
            throw new BoundaryRefused(at, "the ring is not closed: its last position must equal its first");
        }
        return new Ring(read);
    }

    private static Position position(JsonNode node, String at) {
        if (!node.isArray()
                || node.size() < 2
                || !node.get(0).isNumber()
                || !node.get(1).isNumber()) {
            throw new BoundaryRefused(at, "a position is [longitude, latitude] in degrees");
        }
        double lon = node.get(0).doubleValue();
        double lat = node.get(1).doubleValue();
        if (!(Math.abs(lon) <= 180 && Math.abs(lat) <= 90)) {
            throw new BoundaryRefused(
                    at,
                    "[" + lon + ", " + lat
                            + "] are not degrees; GeoJSON is in WGS 84 longitude and latitude, so export the"
                            + " outline again in that system, not in metres or feet");
        }
        return new Position(lon, lat);
    }

    private static String shortened(String text) {
        return text.length() <= 40 ? text : text.substring(0, 40) + "...";
    }
}
