package app.etlo.core.nitrogen;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The nitrogen of a cash crop.
 *
 * @param cover credit of the cover ahead of it, by school
 * @param schools of its need, side by side
 * @param ledger what it need not be fed
 * @param need kg/ha
 * @param planned what the plan's own feedings bring, kg/ha
 * @param assumed what the simulation feeds it where the plan does not say
 * @param cropBefore id of the crop whose credit it may have; empty where none is entered
 * @param supply against uptake by the week; empty where it is not simulated
 * @param applications planned, in time
 * @param limits of law, as typed
 * @param tests that decide on it, in time
 * @param boughtForYield what is bought over the yield goal; empty without either
 * @param nutrients P, K and S by balance; none where no figure is held or no goal is entered
 * @param bought what is left to buy; empty without a need
 */
public record FeedResult(
        Optional<CoverSchools> cover,
        List<NeedSchool> schools,
        NitrogenLedger ledger,
        Optional<Figure> need,
        Optional<Figure> planned,
        UsualFeeding.Shown assumed,
        Optional<LeftToBuy> bought,
        Optional<String> cropBefore,
        Optional<SupplyAndUptake> supply,
        List<NutrientBalance> nutrients,
        List<PlannedNitrogen.Application> applications,
        FeedLimits limits,
        List<TestToTake> tests,
        Optional<Figure> boughtForYield)
        implements Figured {
    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>();
        cover.ifPresent(c -> {
            all.addAll(c.content().figures());
            all.addAll(c.figures());
        });
        ledger.figures().stream()
                .filter(f -> all.stream().noneMatch(x -> x.id().equals(f.id())))
                .forEach(all::add);
        schools.stream().filter(s -> !s.chosen()).forEach(s -> s.amount().ifPresent(all::add));
        all.addAll(Figured.present(need, planned));
        all.addAll(assumed.figures());
        bought.ifPresent(b -> all.addAll(b.figures()));
        nutrients.forEach(n -> all.addAll(n.figures()));
        boughtForYield.ifPresent(all::add);
        return all;
    }
}
