package app.etlo.core.advice;

import app.etlo.core.knowledge.Group;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** A brassica in a blend at more of its full rate than its companions bear. */
final class BrassicaAboveBlendShare extends Judgement {
    private static final double SMALL_SEEDS_PER_KG = 100_000;

    BrassicaAboveBlendShare() {
        super(
                "brassica-above-blend-share",
                Weight.THINK,
                Step.MIX,
                "a brassica stands beside legumes or small-seeded species at more than its blend share (15 %) of the full rate",
                Source.commonPractice(
                        "brassicas at 5-15 % of full rate in blends; 5 lb/ac of radish crowds out clover and ryegrass"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.blend().stream()
                        .filter(b -> b.rates().stream().anyMatch(BrassicaAboveBlendShare::isSlow))
                        .flatMap(b -> b.rates().stream())
                        .filter(r -> r.component().species().group() == Group.BRASSICA)
                        .filter(r -> shareOfFull(r) > r.component().species().maxShare() + 1e-9)
                        .map(r -> note(
                                c.id() + "/" + r.component().species().id(),
                                c.sown(),
                                r.component().species().name() + " at " + Math.round(shareOfFull(r) * 100)
                                        + " % of its full rate shades out the small and slow species.",
                                List.of("share of full rate " + Math.round(shareOfFull(r) * 1000) / 10.0 + " %"),
                                "at most "
                                        + s.say(
                                                r.component().species().maxShare()
                                                        * r.component()
                                                                .species()
                                                                .fullRateKgHa()
                                                                .middle(),
                                                Unit.KG_PER_HA)
                                        + " of pure live seed")));
    }

    /** Legumes and small-seeded species start slowly; cereals stand their ground beside a radish. */
    private static boolean isSlow(SeedRate r) {
        var species = r.component().species();
        return species.group() != Group.BRASSICA
                && (species.group().isLegume() || species.seedsPerKg().middle() > SMALL_SEEDS_PER_KG);
    }

    private static double shareOfFull(SeedRate r) {
        return r.plsKgHa().middle() / r.component().species().fullRateKgHa().middle();
    }
}
