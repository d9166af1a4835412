package app.etlo.core.advice;

import app.etlo.core.knowledge.Group;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
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
        return s.covers().stream().flatMap(c -> {
            List<SeedRate> rates = c.blend().map(Blend::rates).orElse(List.of());
            List<SeedRate> above = rates.stream()
                    .filter(r -> r.component().species().group() == Group.BRASSICA)
                    .filter(r -> shareOfFull(r) > r.component().species().maxShare() + 1e-9)
                    .toList();
            return above.isEmpty() || rates.stream().noneMatch(BrassicaAboveBlendShare::isSlow)
                    ? Stream.empty()
                    : Stream.of(note(c, above, s));
        });
    }

    private Note note(Situation.Cover c, List<SeedRate> above, Situation s) {
        List<String> shares = above.stream()
                .map(r -> name(r) + " at " + Math.round(shareOfFull(r) * 100) + " % of its full rate")
                .toList();
        String all = String.join(" and ", shares);
        return note(
                c.id() + "/" + above.get(0).component().species().id(),
                c.sown(),
                all.substring(0, 1).toUpperCase(Locale.ROOT) + all.substring(1)
                        + (above.size() == 1 ? " shades" : " shade") + " out the small and slow species.",
                above.stream()
                        .map(r -> name(r) + ": share of full rate " + Math.round(shareOfFull(r) * 1000) / 10.0 + " %")
                        .toList(),
                "of pure live seed at most "
                        + above.stream()
                                .map(r -> s.say(most(r), Unit.KG_PER_HA) + " of " + name(r))
                                .collect(Collectors.joining(" and ")));
    }

    private static String name(SeedRate r) {
        return r.component().species().name().toLowerCase(Locale.ROOT);
    }

    private static double most(SeedRate r) {
        var species = r.component().species();
        return species.maxShare() * species.fullRateKgHa().middle();
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
