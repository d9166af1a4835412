package app.etlo.core.field;

import java.util.List;

/** The outline of a field: one or more parts, each an outer ring with any number of holes, in WGS 84 degrees. */
public record Boundary(List<Part> parts) {
    /** A position, degrees east and north. */
    public record Position(double lon, double lat) {}

    /** A closed ring; the first position is repeated at the end. */
    public record Ring(List<Position> positions) {
        public Ring {
            positions = List.copyOf(positions);
        }
    }

    public record Part(Ring outer, List<Ring> holes) {
        public Part {
            holes = List.copyOf(holes);
        }
    }

    public Boundary {
        parts = List.copyOf(parts);
    }
}
