package app.etlo.core.field;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import org.locationtech.jts.algorithm.LineIntersector;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.algorithm.RobustLineIntersector;
import org.locationtech.jts.geom.Coordinate;

/**
 * Looks whether lines of an outline meet anywhere but where one follows the other, in time near-linear in their number whatever
 * their shape: a line is swept over the plane and only neighbours on it are compared (Shamos and Hoey 1976, Geometric intersection
 * problems, from memory). An index of boxes, as validity is usually checked by, is quadratic where long lines lie side by side.
 */
final class OutlineSweep {
    /**
     * Where two lines meet.
     *
     * @param crossing whether they cross; else they only touch, which an outline may do at a point
     */
    record Meeting(Coordinate at, boolean crossing) {}

    /** A line from its first end to its second, by x, then y. */
    private record Segment(Coordinate from, Coordinate to, int number) {
        boolean meetsAtEnd(Segment o) {
            return from.equals2D(o.from) || from.equals2D(o.to) || to.equals2D(o.from) || to.equals2D(o.to);
        }
    }

    private final LineIntersector intersector = new RobustLineIntersector();
    private final TreeSet<Segment> swept = new TreeSet<>(OutlineSweep::order);

    private OutlineSweep() {}

    /** The first place where lines of closed rings meet, but for each with the next; nothing when they never do. */
    static Optional<Meeting> meeting(List<Coordinate[]> rings) {
        return new OutlineSweep().sweep(segments(rings));
    }

    private static Segment[] segments(List<Coordinate[]> rings) {
        List<Segment> all = new ArrayList<>();
        for (Coordinate[] ring : rings) {
            for (int i = 1; i < ring.length; i++) {
                int c = ring[i - 1].compareTo(ring[i]);
                if (c != 0) {
                    all.add(new Segment(c < 0 ? ring[i - 1] : ring[i], c < 0 ? ring[i] : ring[i - 1], all.size()));
                }
            }
        }
        return all.toArray(Segment[]::new);
    }

    /** Which of two lines is lower where both are; they do not cross as far as has been swept. */
    private static int order(Segment a, Segment b) {
        if (a.number() == b.number()) {
            return 0;
        }
        if (a.from().compareTo(b.from()) < 0) {
            return -order(b, a);
        }
        // a begins later: on which side of b?
        int side = Orientation.index(b.from(), b.to(), a.from());
        if (side == Orientation.COLLINEAR) {
            side = Orientation.index(b.from(), b.to(), a.to());
        }
        return side != Orientation.COLLINEAR ? side : Integer.compare(a.number(), b.number());
    }

    private Optional<Meeting> sweep(Segment[] segments) {
        Segment[] begins = segments.clone();
        Arrays.sort(begins, Comparator.comparing(Segment::from));
        Segment[] ends = segments.clone();
        Arrays.sort(ends, Comparator.comparing(Segment::to));
        int b = 0;
        for (int e = 0; e < ends.length; ) {
            Coordinate at =
                    b < begins.length && begins[b].from().compareTo(ends[e].to()) < 0 ? begins[b].from() : ends[e].to();
            int here = 0;
            Optional<Meeting> met = Optional.empty();
            for (; e < ends.length && ends[e].to().equals2D(at); e++, here++) {
                Segment below = swept.lower(ends[e]);
                Segment above = swept.higher(ends[e]);
                swept.remove(ends[e]);
                met = met.or(() -> meet(below, above));
            }
            for (; b < begins.length && begins[b].from().equals2D(at); b++, here++) {
                Segment s = begins[b];
                swept.add(s);
                met = met.or(() -> meet(swept.lower(s), s)).or(() -> meet(s, swept.higher(s)));
            }
            if (met.isPresent()) {
                return met;
            }
            if (here > 2) {
                return Optional.of(new Meeting(at, false));
            }
        }
        return Optional.empty();
    }

    private Optional<Meeting> meet(Segment a, Segment b) {
        if (a == null || b == null) {
            return Optional.empty();
        }
        intersector.computeIntersection(a.from(), a.to(), b.from(), b.to());
        if (!intersector.hasIntersection()) {
            return Optional.empty();
        }
        if (intersector.isProper()) {
            return Optional.of(new Meeting(intersector.getIntersection(0), true));
        }
        boolean atAPoint = intersector.getIntersectionNum() == LineIntersector.POINT_INTERSECTION;
        return atAPoint && a.meetsAtEnd(b)
                ? Optional.empty()
                : Optional.of(new Meeting(intersector.getIntersection(0), false));
    }
}
