package app.etlo.core.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import app.etlo.core.Choices;
import app.etlo.core.field.Boundary.Part;
import app.etlo.core.field.Boundary.Position;
import app.etlo.core.field.Boundary.Ring;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.valid.IsValidOp;

/** Large outlines are checked in near-linear time, and as the library's full check would judge them. */
class OutlineCheckTest {
    /** A check that takes longer is the quadratic one, which took minutes here. */
    private static final Duration HANGS = Duration.ofSeconds(20);

    private static final int MANY = 49_000;

    private static Ring ring(int n, IntFunction<Position> at) {
        List<Position> p = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            p.add(at.apply(i));
        }
        p.add(p.get(0));
        return new Ring(p);
    }

    private static Position turned(double x, double y, double angle) {
        return new Position(
                10 + x * Math.cos(angle) - y * Math.sin(angle), 50 + x * Math.sin(angle) + y * Math.cos(angle));
    }

    /** Long lines side by side, at an angle: the box of each overlaps the boxes of all others. */
    private static Ring zigzag(int n, double angle) {
        return ring(n, i -> {
            if (i >= n - 2) {
                return turned(i == n - 2 ? 0.01 : 0, -0.002, angle);
            }
            return turned(0.01 * i / n, i % 2 == 0 ? 0 : 0.01, angle);
        });
    }

    private static Ring star(int n) {
        return ring(n, i -> {
            double r = i % 2 == 0 ? 0.01 : 0.0001;
            double a = 2 * Math.PI * i / n;
            return new Position(10 + r * Math.cos(a), 50 + r * Math.sin(a));
        });
    }

    private static Ring circle(int n, double x, double r) {
        return ring(
                n,
                i -> new Position(10 + x + r * Math.cos(2 * Math.PI * i / n), 50 + r * Math.sin(2 * Math.PI * i / n)));
    }

    private static void check(Part... parts) {
        assertTimeoutPreemptively(HANGS, () -> OutlineCheck.requireSound(List.of(parts)));
    }

    private static void refused(String why, Part... parts) {
        assertThatThrownBy(() -> check(parts))
                .isInstanceOf(BoundaryRefused.class)
                .hasMessageContaining(why);
    }

    @Example
    void tens_of_thousands_of_positions_are_checked_whatever_their_shape() {
        check(new Part(zigzag(MANY, 0), List.of()));
        check(new Part(zigzag(MANY, Math.PI / 4), List.of()));
        check(new Part(zigzag(MANY, 0.5), List.of()));
        check(new Part(star(MANY), List.of()));
        check(new Part(circle(MANY, 0, 0.01), List.of()));
    }

    @Example
    void a_large_outline_that_crosses_itself_is_refused_with_the_place() {
        List<Position> p = new ArrayList<>(zigzag(MANY, 0.7).positions());
        Position swapped = p.get(20_000);
        p.set(20_000, p.get(20_002));
        p.set(20_002, swapped);
        refused("Self-intersection near [", new Part(new Ring(p), List.of()));
    }

    @Example
    void holes_and_parts_of_large_outlines_lie_where_they_may() {
        Ring shell = circle(4_000, 0, 0.01);
        check(new Part(shell, List.of(circle(50, 0.003, 0.001), circle(50, -0.003, 0.001))));
        refused("Hole lies outside shell", new Part(shell, List.of(circle(50, 0.03, 0.001))));
        refused("Holes are nested", new Part(shell, List.of(circle(50, 0, 0.005), circle(50, 0, 0.001))));
        check(new Part(shell, List.of()), new Part(circle(50, 0.03, 0.001), List.of()));
        refused("Nested shells", new Part(shell, List.of()), new Part(circle(50, 0, 0.001), List.of()));
        // an island in a hole is a part of its own
        check(new Part(shell, List.of(circle(50, 0, 0.005))), new Part(circle(50, 0, 0.001), List.of()));
    }

    @Example
    void a_large_outline_that_touches_itself_is_judged_by_the_full_rules() {
        List<Position> p = new ArrayList<>(circle(4_000, 0, 0.01).positions());
        Position first = p.get(0);
        // a hole that touches the outline at one position is sound; a second touch would cut the field in two
        Ring hole = new Ring(List.of(first, new Position(10.005, 50.001), new Position(10.005, 49.999), first));
        check(new Part(new Ring(p), List.of(hole)));
        Ring cutting = new Ring(List.of(first, p.get(2_000), new Position(10, 49.999), first));
        assertThatThrownBy(() -> check(new Part(new Ring(p), List.of(cutting)))).isInstanceOf(BoundaryRefused.class);
    }

    @Provide
    Arbitrary<Choices> choices() {
        return Choices.upTo(60);
    }

    /** JTS is the judge: where the sweep finds nothing the ring is simple, where it finds a crossing it is not. */
    @Property(tries = 400)
    void the_sweep_agrees_with_the_library(
            @ForAll("choices") Choices r, @ForAll @IntRange(min = 3, max = 14) int n, @ForAll boolean onGrid) {
        Coordinate[] c = new Coordinate[n + 1];
        for (int i = 0; i < n; i++) {
            c[i] = onGrid ? new Coordinate(r.nextInt(7), r.nextInt(7)) : new Coordinate(r.nextDouble(), r.nextDouble());
        }
        c[n] = c[0];
        Optional<OutlineSweep.Meeting> met = OutlineSweep.meeting(java.util.Collections.singletonList(c));
        boolean sound = new IsValidOp(new GeometryFactory().createPolygon(c)).isValid();
        if (met.isEmpty()) {
            // a ring all of one place or line has no area and no crossing
            assertThat(sound || new GeometryFactory().createPolygon(c).getArea() == 0)
                    .isTrue();
        } else if (met.get().crossing()) {
            assertThat(sound).isFalse();
        }
        if (!sound && new GeometryFactory().createPolygon(c).getArea() > 0) {
            assertThat(met).isPresent();
        }
    }

    private static Ring box(double west, double east) {
        return new Ring(List.of(
                new Position(west, -17.01),
                new Position(east, -17.01),
                new Position(east, -17),
                new Position(west, -17),
                new Position(west, -17.01)));
    }

    /** RFC 7946, 3.1.9: a field on the antimeridian is cut there into two parts, or its ring runs across. */
    @Example
    void a_field_on_the_antimeridian_is_a_field() {
        OutlineCheck.requireSound(
                List.of(new Part(box(179.99, 180), List.of()), new Part(box(-180, -179.99), List.of())));
        OutlineCheck.requireSound(List.of(new Part(box(179.99, -179.99), List.of())));
        assertThatThrownBy(() -> OutlineCheck.requireSound(List.of(new Part(box(170, -175), List.of()))))
                .hasMessageContaining("more than ten degrees");
    }
}
