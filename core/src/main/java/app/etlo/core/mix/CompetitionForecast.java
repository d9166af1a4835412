package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.YearFigure;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The yield of each species of a mix by the hyperbola of yield and density with relative competitiveness: what a species
 * yields alone, times its share over its own share and its rivals', each rival weighted by how much better it competes.
 */
public final class CompetitionForecast implements MixForecast {
    /** How thin a stand may be before it yields less: at half the full rate it still yields five sixths. */
    static final double SLACK = 0.25;

    static final Formula RULE = Formula.of(
            "Species in a mix",
            "alone * (1 + slack) * share / (slack + share + rivals) / 1000",
            Source.fromMemory("Spitters (1983), an alternative approach to the analysis of mixed cropping experiments:"
                    + " hyperbola of yield on density with relative competition; shares of the full rate in place of"
                    + " plants, the slack and the competitiveness are Etlo's own"),
            "alone",
            "slack",
            "share",
            "rivals");

    private final MixSeason season;
    private final Map<String, Prospect> prospects = new HashMap<>();

    public CompetitionForecast(MixSeason season) {
        this.season = season;
    }

    @Override
    public MixSeason season() {
        return season;
    }

    @Override
    public Prospect alone(Species species) {
        return prospects.computeIfAbsent(species.id(), id -> Prospect.of(species, season));
    }

    /** The shares of the other species, each weighted by its competitiveness over this one's. */
    static double rivals(List<Sown> mix, int of) {
        double own = mix.get(of).species().growth().competitiveness();
        double sum = 0;
        for (int j = 0; j < mix.size(); j++) {
            if (j != of) {
                sum += mix.get(j).share() * mix.get(j).species().growth().competitiveness() / own;
            }
        }
        return sum;
    }

    /** The factor on what a species yields alone. */
    static double factor(double share, double rivals) {
        return share <= 0 ? 0 : (1 + SLACK) * share / (SLACK + share + rivals);
    }

    @Override
    public double[][] massKgHa(List<Sown> mix) {
        double[][] found = new double[mix.size()][];
        for (int i = 0; i < mix.size(); i++) {
            double factor = factor(mix.get(i).share(), rivals(mix, i));
            double[] alone = alone(mix.get(i).species()).massKgHa();
            found[i] = new double[alone.length];
            for (int y = 0; y < alone.length; y++) {
                found[i][y] = alone[y] * factor;
            }
        }
        return found;
    }

    @Override
    public Figure part(String id, List<Sown> mix, int of, YearFigure year) {
        Sown s = mix.get(of);
        double alone = alone(s.species()).massKgHa()[year.member()];
        return RULE.figure(
                id,
                "Dry tops, " + s.species().name(),
                Unit.T_PER_HA,
                Input.of(
                        "alone",
                        "Dry tops alone at the full rate",
                        alone,
                        Unit.KG_PER_HA,
                        Origin.FORECAST,
                        year.words()),
                Input.of("slack", "Slack of thin stands", SLACK, Unit.FRACTION, Origin.LIBRARY, "own"),
                Input.of("share", "Share of its full rate", s.share(), Unit.FRACTION, Origin.ENTERED, "mix"),
                Input.of(
                        "rivals",
                        "Shares of the others, by how they compete",
                        rivals(mix, of),
                        Unit.FRACTION,
                        Origin.LIBRARY,
                        s.species().sourceOf("competitiveness").text()));
    }

    @Override
    public double nitrogenKgHa(List<Sown> mix, int of, int member) {
        Prospect p = alone(mix.get(of).species());
        return p.massKgHa()[member]
                * factor(mix.get(of).share(), rivals(mix, of))
                * p.tops(member).nitrogenShare();
    }
}
