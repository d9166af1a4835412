package app.etlo.core.plan.document;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.field.Texture;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Origin;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The soil of a field as far as it is entered; what is not is a default, and says so. */
public final class FieldSoil {
    private static final double TOPSOIL_M = 0.3;
    /** Below the topsoil there is usually less of it. */
    private static final double SUBSOIL_SHARE_OF_ORGANIC = 0.4;

    private FieldSoil() {}

    public static SoilProfile of(FieldEntry f) {
        double rooting = f.rootingLimit().map(q -> q.in(Unit.METRE)).orElse(SoilProfile.USUAL_DEPTH_M);
        List<FieldEntry.Layer> typed = f.layers().orElse(List.of());
        if (!typed.isEmpty()) {
            return new SoilProfile(layers(f, typed, rooting), rooting);
        }
        Optional<Texture> texture = f.texture().flatMap(Texture::find);
        if (texture.isEmpty()
                && f.organicMatterPercent().isEmpty()
                && f.stonePercent().isEmpty()) {
            return new SoilProfile(SoilProfile.usual().layers(), rooting);
        }
        Texture t = texture.orElse(Texture.LOAM);
        Origin origin = texture.isPresent() ? Origin.ENTERED : Origin.DEFAULT;
        String from = texture.isPresent() ? t.words() + ", its usual sand and clay" : "no soil entered: loam";
        Origin organic = f.organicMatterPercent().isPresent() ? Origin.ENTERED : Origin.DEFAULT;
        double om = f.organicMatterPercent().orElse(SoilProfile.USUAL_ORGANIC_PERCENT);
        double stones = f.stonePercent().orElse(0.0);
        double depth = Math.max(rooting, TOPSOIL_M + 0.1);
        return new SoilProfile(
                List.of(
                        new SoilProfile.Layer(
                                0, TOPSOIL_M, t.sandPercent(), t.clayPercent(), om, stones, origin, organic, from),
                        new SoilProfile.Layer(
                                TOPSOIL_M,
                                depth - TOPSOIL_M,
                                t.sandPercent(),
                                t.clayPercent(),
                                om * SUBSOIL_SHARE_OF_ORGANIC,
                                stones,
                                origin,
                                Origin.DEFAULT,
                                from)),
                rooting);
    }

    private static List<SoilProfile.Layer> layers(FieldEntry f, List<FieldEntry.Layer> typed, double rooting) {
        List<SoilProfile.Layer> found = new ArrayList<>();
        double top = 0;
        for (FieldEntry.Layer l : typed) {
            double bottom = l.depth().in(Unit.METRE);
            boolean exact = l.sandPercent().isPresent() && l.clayPercent().isPresent();
            Optional<Texture> texture = l.texture().or(f::texture).flatMap(Texture::find);
            Texture t = texture.orElse(Texture.LOAM);
            found.add(new SoilProfile.Layer(
                    top,
                    bottom - top,
                    exact ? l.sandPercent().orElseThrow() : t.sandPercent(),
                    exact ? l.clayPercent().orElseThrow() : t.clayPercent(),
                    l.organicMatterPercent().or(f::organicMatterPercent).orElse(SoilProfile.USUAL_ORGANIC_PERCENT),
                    l.stonePercent().or(f::stonePercent).orElse(0.0),
                    exact || texture.isPresent() ? Origin.ENTERED : Origin.DEFAULT,
                    l.organicMatterPercent().or(f::organicMatterPercent).isPresent() ? Origin.ENTERED : Origin.DEFAULT,
                    exact ? "sand and clay typed" : t.words() + (texture.isPresent() ? "" : ", not entered")));
            top = bottom;
        }
        if (top < rooting) {
            SoilProfile.Layer last = found.get(found.size() - 1);
            found.add(new SoilProfile.Layer(
                    top,
                    rooting - top,
                    last.sandPercent(),
                    last.clayPercent(),
                    last.organicPercent() * SUBSOIL_SHARE_OF_ORGANIC,
                    last.stonePercent(),
                    Origin.DEFAULT,
                    Origin.DEFAULT,
                    "below the last layer entered: as above it"));
        }
        return found;
    }
}
