package app.etlo.core.plan.chapter;

import app.etlo.core.advice.Situation.MixUse;
import app.etlo.core.advice.Situation.SeedFertiliser;
import app.etlo.core.knowledge.Caution;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.SowingMethod;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.MixPlace;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.Termination;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** How a cover's mix is meant: whether stock eats it, and what of it would harm them. */
public final class MixUses {
    private MixUses() {}

    /**
     * @param grazed whether stock are on it before its end
     */
    static MixUse of(
            FieldEntry field,
            CoverEntry cover,
            List<Component> components,
            Optional<Termination> end,
            boolean grazed,
            double purpose,
            SowingMethod method,
            Optional<CropInTime> standing,
            Optional<SeedFertiliser> fertiliser,
            Knowledge knowledge) {
        boolean fed = cover.aims().orElse(List.of()).contains("feed-stock")
                || grazed
                || end.filter(e -> e.method().grazes()).isPresent();
        Optional<String> stock = field.livestock().filter(t -> !t.isBlank());
        Map<String, List<Caution>> cautions = new LinkedHashMap<>();
        components.forEach(c -> cautions.put(
                c.species().id(),
                c.species().use().cautions().stream()
                        .map(id -> knowledge.cautions().get(id))
                        .filter(k -> k.animals().stream()
                                .anyMatch(a ->
                                        stock.map(t -> MixPlace.keeps(t, a)).orElse(MixPlace.ANIMALS.contains(a))))
                        .toList()));
        return new MixUse(
                fed,
                stock.isPresent(),
                cautions,
                purpose,
                field.programmes().orElse(List.of()).stream()
                        .map(FieldEntry.Programme::name)
                        .toList(),
                Set.of("broadcast", "flown").contains(method.id()),
                method.id().equals("flown"),
                method.rateFactor(),
                standing,
                fertiliser);
    }
}
