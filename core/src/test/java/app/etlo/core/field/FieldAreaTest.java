package app.etlo.core.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ReferenceProgram;
import app.etlo.core.field.Boundary.Part;
import app.etlo.core.field.Boundary.Position;
import app.etlo.core.field.Boundary.Ring;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Areas against GeographicLib's Planimeter, ring by ring, with holes and several parts. */
class FieldAreaTest {
    /** A many-cornered ring around a place, its corners at distances that vary. */
    private static Ring ring(double lon, double lat, double radiusDeg, int corners) {
        List<Position> p = new ArrayList<>();
        for (int i = 0; i < corners; i++) {
            double turn = 2 * Math.PI * i / corners;
            double r = radiusDeg * (1 + 0.3 * Math.sin(3 * turn));
            p.add(new Position(lon + r * Math.cos(turn) / Math.cos(Math.toRadians(lat)), lat + r * Math.sin(turn)));
        }
        p.add(p.get(0));
        return new Ring(p);
    }

    private static Ring reversed(Ring ring) {
        List<Position> p = new ArrayList<>(ring.positions());
        Collections.reverse(p);
        return new Ring(p);
    }

    /** m2 by Planimeter. */
    private static double planimeter(Ring ring) {
        StringBuilder in = new StringBuilder();
        ring.positions().stream()
                .limit(ring.positions().size() - 1L)
                .forEach(p -> in.append(String.format(Locale.ROOT, "%.14f %.14f%n", p.lat(), p.lon())));
        String[] out =
                ReferenceProgram.run(in.toString(), "Planimeter", "-p", "12").split("\\s+");
        return Math.abs(Double.parseDouble(out[2]));
    }

    private static double hectares(Boundary b) {
        return FieldArea.of(b).in(Unit.HECTARE);
    }

    @Test
    void a_field_with_a_hole_in_two_parts_is_what_planimeter_says() {
        Ring outer = ring(-36.2, 50.1, 0.004, 40);
        Ring pond = ring(-36.2, 50.1, 0.0007, 12);
        Ring other = ring(-36.19, 50.1, 0.002, 9);
        Boundary b = new Boundary(List.of(new Part(outer, List.of(pond)), new Part(other, List.of())));
        double theirs = (planimeter(outer) - planimeter(pond) + planimeter(other)) / 1e4;
        assertThat(hectares(b)).isCloseTo(theirs, within(1e-8)).isBetween(40.0, 90.0);
    }

    @Property(tries = 25)
    void agrees_with_planimeter_anywhere_on_earth(
            @ForAll @DoubleRange(min = -179, max = 179) double lon,
            @ForAll @DoubleRange(min = -70, max = 70) double lat,
            @ForAll @IntRange(min = 3, max = 30) int corners) {
        Ring ring = ring(lon, lat, 0.003, corners);
        assertThat(FieldArea.ringAreaM2(ring)).isCloseTo(planimeter(ring), within(1e-3));
    }

    @Property(tries = 50)
    void the_way_a_ring_runs_and_where_it_starts_do_not_matter(
            @ForAll @DoubleRange(min = -70, max = 70) double lat, @ForAll @IntRange(min = 3, max = 20) int corners) {
        Ring ring = ring(10, lat, 0.01, corners);
        double area = FieldArea.ringAreaM2(ring);
        assertThat(FieldArea.ringAreaM2(reversed(ring))).isCloseTo(area, within(area * 1e-9));
        List<Position> turned = new ArrayList<>(ring.positions().subList(0, corners));
        Collections.rotate(turned, 1);
        turned.add(turned.get(0));
        assertThat(FieldArea.ringAreaM2(new Ring(turned))).isCloseTo(area, within(area * 1e-9));
    }

    @Test
    void a_typed_area_stays_as_typed() {
        var area = FieldArea.typed(new Quantity(40, Unit.ACRE));
        assertThat(area.in(Unit.ACRE)).isCloseTo(40, within(1e-12));
        assertThat(area.origin().id()).isEqualTo("entered");
    }
}
