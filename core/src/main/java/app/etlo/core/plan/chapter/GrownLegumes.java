package app.etlo.core.plan.chapter;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Which groups of rhizobium a field has had lately, by what it grew: crops of its history and of the plan. */
final class GrownLegumes {
    /** Rhizobium of a crop lives on in the soil for so many years (common practice: inoculate again after three to five). */
    private static final int YEARS = 4;

    private GrownLegumes() {}

    private record Grown(String name, int year) {}

    /** What was grown of each group, in words such as "field pea in 2024"; the latest. */
    static Map<String, String> of(PlanInTime plan, CoverInTime cover) {
        int sown = cover.sown().orElse(plan.asOf()).getYear();
        Map<String, String> found = new LinkedHashMap<>();
        Stream.concat(
                        plan.context().field().history().orElse(List.of()).stream()
                                .map(p -> new Grown(p.crop(), p.year())),
                        plan.crops().stream()
                                .filter(c -> c.planted().isPresent()
                                        && cover.sown()
                                                .filter(d -> c.planted().get().isBefore(d))
                                                .isPresent())
                                .map(c -> new Grown(
                                        c.crop().id(), c.planted().get().getYear())))
                .filter(g -> g.year() <= sown && sown - g.year() <= YEARS)
                .sorted((a, b) -> a.year() - b.year())
                .forEach(g -> group(plan.knowledge(), g.name())
                        .ifPresent(group -> found.put(group, name(plan.knowledge(), g.name()) + " in " + g.year())));
        return found;
    }

    private static String name(Knowledge knowledge, String typed) {
        return knowledge.crops().find(typed).map(Crop::name).orElse(typed).toLowerCase(Locale.ROOT);
    }

    /** The group of a crop or species named by id, name or botanical name, found by its genus among the species. */
    private static Optional<String> group(Knowledge knowledge, String typed) {
        Optional<String> crop = knowledge.crops().all().stream()
                .filter(c -> typed.equalsIgnoreCase(c.id()) || typed.equalsIgnoreCase(c.name()))
                .map(Crop::botanical)
                .findFirst();
        return knowledge.species().all().stream()
                .filter(s -> s.inoculant().isPresent())
                .filter(s -> crop.map(b -> genus(b).equals(genus(s.botanical())))
                        .orElse(typed.equalsIgnoreCase(s.name()) || typed.equalsIgnoreCase(s.id())))
                .findFirst()
                .flatMap(Species::inoculant);
    }

    private static String genus(String botanical) {
        return botanical.split(" ")[0];
    }
}
