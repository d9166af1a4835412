package app.etlo.core.field;

import app.etlo.core.field.Boundary.Part;
import app.etlo.core.field.Boundary.Ring;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.MultiPolygon;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.index.strtree.STRtree;
import org.locationtech.jts.operation.valid.IsValidOp;
import org.locationtech.jts.operation.valid.TopologyValidationError;

/**
 * Whether parts and holes make a sound field: no outline crosses itself or another, holes lie in their part, parts apart from
 * each other. Small outlines, and those that touch, are checked by the library's full rules; large ones that nowhere touch in time
 * near-linear in their positions.
 */
final class OutlineCheck {
    /** Up to so many positions the library's check takes a moment at worst. */
    static final int SMALL = 2_000;
    /** A large outline that touches itself is left to the library only where about so many pairs of lines are near. */
    private static final long MOST_NEAR_PAIRS = 20_000_000;

    private static final double HALF_THE_EARTH = 180;
    private static final double MOST_DEGREES = 10;
    private static final int SAMPLES = 200;
    private static final int MOST_PART_PAIRS = 1_000_000;

    private final GeometryFactory factory = new GeometryFactory();
    private final List<Part> parts;
    private final List<Coordinate[]> rings = new ArrayList<>();

    private OutlineCheck(List<Part> parts) {
        this.parts = parts;
        for (Part p : parts) {
            rings.add(coordinates(p.outer()));
            p.holes().forEach(h -> rings.add(coordinates(h)));
        }
    }

    /**
     * Lets sound parts through.
     *
     * @throws BoundaryRefused when they are not, with the place
     */
    static void requireSound(List<Part> parts) {
        new OutlineCheck(parts).require();
    }

    private static Coordinate[] coordinates(Ring ring) {
        return ring.positions().stream()
                .map(p -> new Coordinate(p.lon(), p.lat()))
                .toArray(Coordinate[]::new);
    }

    private void require() {
        if (rings.stream().anyMatch(r -> width(r) > HALF_THE_EARTH)) {
            rings.forEach(OutlineCheck::eastOfGreenwich);
        }
        Envelope all = new Envelope();
        Envelope east = new Envelope();
        rings.forEach(r -> {
            for (Coordinate c : r) {
                all.expandToInclude(c);
                east.expandToInclude(new Coordinate(east(c.x), c.y));
            }
        });
        if (Math.min(all.getWidth(), east.getWidth()) > MOST_DEGREES) {
            throw new BoundaryRefused(
                    "", "the outline spans more than ten degrees of longitude: too large for a field");
        }
        if (rings.stream().mapToInt(r -> r.length).sum() <= SMALL) {
            byTheLibrary();
            return;
        }
        Optional<OutlineSweep.Meeting> met = OutlineSweep.meeting(rings);
        if (met.isEmpty()) {
            requireNesting();
        } else if (met.get().crossing()) {
            throw unsound("Self-intersection", met.get().at());
        } else if (nearPairs() > MOST_NEAR_PAIRS) {
            throw unsound(
                    "it touches itself, and is too tangled for more to be said; simplify it",
                    met.get().at());
        } else {
            byTheLibrary();
        }
    }

    private static double width(Coordinate[] ring) {
        Envelope e = new Envelope();
        for (Coordinate c : ring) {
            e.expandToInclude(c);
        }
        return e.getWidth();
    }

    /** A ring drawn across the antimeridian runs on past 180 degrees; one cut there (RFC 7946, 3.1.9) stays as it is. */
    private static void eastOfGreenwich(Coordinate[] ring) {
        for (Coordinate c : ring) {
            c.x = east(c.x);
        }
    }

    private static double east(double longitude) {
        return longitude < 0 ? longitude + 2 * HALF_THE_EARTH : longitude;
    }

    private void byTheLibrary() {
        MultiPolygon shape =
                factory.createMultiPolygon(parts.stream().map(this::polygon).toArray(Polygon[]::new));
        TopologyValidationError error = new IsValidOp(shape).getValidationError();
        if (error != null) {
            throw unsound(error.getMessage(), error.getCoordinate());
        }
    }

    private static BoundaryRefused unsound(String what, Coordinate c) {
        return new BoundaryRefused("", "the outline is not sound: " + what + " near [" + c.x + ", " + c.y + "]");
    }

    /** About how many pairs of lines have boxes that overlap, from a sample of the lines. */
    private long nearPairs() {
        List<Envelope> boxes = new ArrayList<>();
        for (Coordinate[] r : rings) {
            for (int i = 1; i < r.length; i++) {
                boxes.add(new Envelope(r[i - 1], r[i]));
            }
        }
        int step = Math.max(1, boxes.size() / SAMPLES);
        long near = 0;
        for (int i = 0; i < boxes.size(); i += step) {
            for (Envelope b : boxes) {
                near += b.intersects(boxes.get(i)) ? 1 : 0;
            }
        }
        return near * step / 2;
    }

    /** Rings that never meet lie inside each other completely or not at all, so one position of each decides. */
    private void requireNesting() {
        List<Polygon> polygons = parts.stream().map(this::polygon).toList();
        STRtree byBox = new STRtree();
        List<IndexedPointInAreaLocator> areas = new ArrayList<>();
        for (int i = 0; i < polygons.size(); i++) {
            requireHoles(parts.get(i), polygons.get(i));
            areas.add(new IndexedPointInAreaLocator(polygons.get(i)));
            byBox.insert(polygons.get(i).getEnvelopeInternal(), i);
        }
        int pairs = 0;
        for (int i = 0; i < polygons.size(); i++) {
            Coordinate first = polygons.get(i).getCoordinate();
            for (Object near : byBox.query(new Envelope(first))) {
                int j = (Integer) near;
                if (++pairs > MOST_PART_PAIRS) {
                    throw new BoundaryRefused("", "too many parts around each other; simplify the outline");
                }
                if (i != j && areas.get(j).locate(first) == Location.INTERIOR) {
                    throw unsound("Nested shells", first);
                }
            }
        }
    }

    private void requireHoles(Part part, Polygon polygon) {
        if (part.holes().isEmpty()) {
            return;
        }
        IndexedPointInAreaLocator shell = new IndexedPointInAreaLocator(
                factory.createPolygon(polygon.getExteriorRing().getCoordinates()));
        STRtree byBox = new STRtree();
        List<Polygon> holes = new ArrayList<>();
        List<IndexedPointInAreaLocator> areas = new ArrayList<>();
        for (int h = 0; h < polygon.getNumInteriorRing(); h++) {
            Coordinate first = polygon.getInteriorRingN(h).getCoordinate();
            if (shell.locate(first) != Location.INTERIOR) {
                throw unsound("Hole lies outside shell", first);
            }
            Polygon hole = factory.createPolygon(polygon.getInteriorRingN(h).getCoordinates());
            holes.add(hole);
            areas.add(new IndexedPointInAreaLocator(hole));
            byBox.insert(hole.getEnvelopeInternal(), h);
        }
        int pairs = 0;
        for (int h = 0; h < holes.size(); h++) {
            Coordinate first = holes.get(h).getCoordinate();
            for (Object near : byBox.query(new Envelope(first))) {
                int j = (Integer) near;
                if (++pairs > MOST_PART_PAIRS) {
                    throw new BoundaryRefused("", "too many holes around each other; simplify the outline");
                }
                if (h != j && areas.get(j).locate(first) == Location.INTERIOR) {
                    throw unsound("Holes are nested", first);
                }
            }
        }
    }

    private Polygon polygon(Part part) {
        return factory.createPolygon(
                line(part.outer()), part.holes().stream().map(this::line).toArray(LinearRing[]::new));
    }

    private LinearRing line(Ring ring) {
        return factory.createLinearRing(coordinates(ring));
    }
}
