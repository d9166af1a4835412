package app.etlo.core.knowledge;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A question on which good practitioners mix differently, with its sides. A farm chooses one; there is no middle.
 *
 * @param before crops ahead of which it is asked; every crop where none stands
 */
public record School(String id, String name, Measure measure, Set<String> before, List<Side> sides) {
    public School {
        before = Set.copyOf(before);
        sides = List.copyOf(sides);
    }

    /** What of a mix tells its side. */
    public enum Measure implements Named {
        SPECIES("species", "species"),
        LEGUME_SHARE("legume-share", "% legumes, of the full rates sown"),
        GRASS_SHARE("grass-share", "% grasses, of the full rates sown"),
        ZONES("zones", "");

        private final String id;
        private final String words;

        Measure(String id, String words) {
            this.id = id;
            this.words = words;
        }

        @Override
        public String id() {
            return id;
        }

        public String words() {
            return words;
        }
    }

    /**
     * @param low of the measure, in its words
     * @param holds where this side holds
     */
    public record Side(String id, String name, double low, double high, String holds, Source source) {
        /** Whether a mix is on this side; half a point of rounding is forgiven. */
        public boolean has(double value) {
            return value >= low - 0.5 && value <= high + 0.5;
        }
    }

    /** What a side takes, in words. */
    public String band(Side side) {
        if (measure == Measure.ZONES) {
            return side.high() == 0 ? "the whole field alike" : "rows or middles by themselves";
        }
        String span = side.low() == side.high()
                ? Math.round(side.low()) == 0 ? "no" : String.valueOf(Math.round(side.low()))
                : Math.round(side.low()) + " to " + Math.round(side.high());
        return side.high() == 0 ? span + " legumes" : span + " " + measure.words();
    }

    public Optional<Side> side(String sideId) {
        return sides.stream().filter(s -> s.id().equals(sideId)).findFirst();
    }

    /** Whether it is asked ahead of a crop; where none is known only what is asked of every mix is. */
    public boolean asked(Optional<String> nextCrop) {
        return before.isEmpty() || nextCrop.filter(before::contains).isPresent();
    }
}
