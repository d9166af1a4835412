package app.etlo.core.rotation;

import app.etlo.core.working.Source;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;

/**
 * How a window for a cover lies in the rotation: between two crops, or inside one.
 *
 * <p>The light that reaches a cover under a standing crop is a round share of Etlo's own, until the canopy is simulated.
 */
public enum WindowKind {
    BETWEEN("between", "between crops", 1, "drilled"),
    INTERSEEDED("interseeded", "interseeded, V3 to V6", 0.25, "broadcast-incorporated"),
    OVERSEEDED("overseeded", "overseeded before leaf drop", 0.6, "broadcast"),
    FROST_SEEDED("frost-seeded", "frost-seeded in late winter", 0.5, "frost-seeded"),
    COMPANION("companion", "sown with the spring cereal", 0.5, "drilled"),
    UNDERSOWN("undersown", "undersown perennial, up to emergence", 0.35, "drilled"),
    LIVING_MULCH("living-mulch", "living mulch, held back in the strip", 0.4, "drilled");

    public static final Source LIGHT = Source.own("a round share of light under the standing crop, by kind of window");

    private final String id;
    private final String words;
    private final double lightShare;
    private final String usualMethod;

    WindowKind(String id, String words, double lightShare, String usualMethod) {
        this.id = id;
        this.words = words;
        this.lightShare = lightShare;
        this.usualMethod = usualMethod;
    }

    @JsonValue
    public String id() {
        return id;
    }

    public String words() {
        return words;
    }

    /** Share of the light that reaches the cover while the crop stands. */
    public double lightShare() {
        return lightShare;
    }

    /** Sowing method of the trade for it, an id of the library. */
    public String usualMethod() {
        return usualMethod;
    }

    @JsonCreator
    public static WindowKind of(String id) {
        for (WindowKind k : values()) {
            if (k.id.equals(id)) {
                return k;
            }
        }
        throw new IllegalArgumentException("unknown kind of window '" + id + "'");
    }
}
