package app.etlo.core.plan.asked;

import app.etlo.core.mix.SeedRate;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The seed that a plan's covers still need, species by species. */
public final class SeedNeeds {
    /** Seed is wanted in the yard so many days before sowing. Common practice. */
    private static final int AHEAD_DAYS = 14;

    private static final String STOPS = "residual-herbicide";

    private SeedNeeds() {}

    /**
     * @param cropId the crop that follows the cover, by which its mix is opened
     * @param lotId the lot the mix names, if it does
     * @param kilograms with waste, for the sown area
     * @param stopped why no seed of it is ordered yet: a herbicide may still act
     * @param neededBy day it should lie in the yard; empty while the sowing has no date
     */
    public record SeedNeed(
            String planId,
            String coverId,
            String coverName,
            Optional<String> cropId,
            String species,
            String speciesName,
            Optional<String> lotId,
            double kilograms,
            Optional<LocalDate> sown,
            Optional<LocalDate> neededBy,
            Optional<String> stopped) {
        private SeedNeed of(String ofSpecies, String name, double kg) {
            return new SeedNeed(
                    planId, coverId, coverName, cropId, ofSpecies, name, lotId, kg, sown, neededBy, stopped);
        }
    }

    /** What the covers that are still to be sown need. */
    public static List<SeedNeed> of(Evaluated e) {
        return e.covers().stream()
                .filter(c -> c.sown().map(d -> !d.isBefore(e.asOf())).orElse(true))
                .flatMap(c -> c.mix().blend().stream().flatMap(b -> needs(e, c, b.rates())))
                .toList();
    }

    /** One for each species; the species of a ready-made bag are one, under its name. */
    private static Stream<SeedNeed> needs(Evaluated e, CoverResult c, List<SeedRate> rates) {
        Map<String, LotEntry> bags = e.context().lots().stream()
                .filter(LotEntry::holdsSeveral)
                .collect(Collectors.toMap(LotEntry::id, Function.identity()));
        Map<String, SeedNeed> needs = new LinkedHashMap<>();
        for (SeedRate r : rates) {
            Optional<LotEntry> bag = r.component().lot().map(l -> bags.get(l.id()));
            SeedNeed n = need(e, c, r);
            needs.merge(
                    bag.map(LotEntry::id).orElse(n.species()),
                    bag.map(b -> n.of(b.species(), b.label(), n.kilograms())).orElse(n),
                    (a, b) -> a.of(a.species(), a.speciesName(), a.kilograms() + b.kilograms()));
        }
        return needs.values().stream();
    }

    private static SeedNeed need(Evaluated e, CoverResult c, SeedRate r) {
        return new SeedNeed(
                e.plan().id(),
                c.entry().id(),
                EvaluationWriter.name(c),
                c.next().map(n -> n.id()),
                r.component().species().id(),
                r.component().species().name(),
                r.component().lot().map(l -> l.id()),
                r.seedKg().in(Unit.KILOGRAM),
                c.sown(),
                c.sown().map(d -> d.minusDays(AHEAD_DAYS)),
                e.notes().stream()
                        .filter(n -> n.rule().equals(STOPS) && n.subject().startsWith(c.id() + "/"))
                        .map(n -> n.text())
                        .findFirst());
    }
}
