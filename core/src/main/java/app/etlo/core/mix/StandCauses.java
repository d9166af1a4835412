package app.etlo.core.mix;

import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Why plants are missing, ranked by what is found in the ground and by what the plan knows; before anything is sown again. */
public final class StandCauses {
    public static final Source SOURCE = Source.commonPractice(
            "poor emergence: no seed found: birds, mice, slugs, drill skip; dry firm seed: no contact, air gap, too shallow; swollen,"
                    + " soft: cold, wet, rot; bent shoots: crust or depth; cut plants: cutworm; holes: slugs; none of these: test the"
                    + " lot");

    private StandCauses() {}

    /**
     * What the plan knows that makes a cause likelier.
     *
     * @param slugs or cutworms entered for the field
     * @param tooDeep whether the depth typed loses seedlings
     * @param dryPercent share of the years without a wetting rain after sowing
     * @param coldPercent the most, of its species, of the years with soil too cold
     * @param onSurface whether seed lies on the ground
     * @param testOld whether a lot is untested or its test is old
     */
    public record Known(
            boolean slugs,
            boolean cutworms,
            boolean tooDeep,
            double dryPercent,
            double coldPercent,
            boolean onSurface,
            boolean testOld) {}

    private record Cause(String words, double weight) {}

    private static final Map<String, List<String>> BY_EVIDENCE = Map.of(
            "no-seed", List.of("eaten", "skipped"),
            "dry-seed", List.of("no contact", "dry"),
            "swollen-seed", List.of("cold or wet"),
            "bent-shoots", List.of("crust", "depth"),
            "cut-plants", List.of("cutworm"),
            "holes", List.of("slugs"),
            "none-of-these", List.of("seed"));

    /** The likeliest first, three at most; what was found weighs more than what the plan knows. */
    public static List<String> ranked(Optional<String> evidence, Known k) {
        List<String> found = evidence.map(BY_EVIDENCE::get).orElse(List.of());
        List<Cause> all = new ArrayList<>();
        add(all, found, "slugs", "slugs: holes in leaves, slime at dawn; lay traps", k.slugs() ? 2 : 0.5);
        add(all, found, "eaten", "birds, mice or slugs took the seed", k.onSurface() ? 1.5 : 0.5);
        add(all, found, "skipped", "a drill row blocked or empty: look whether whole rows are missing", 0.6);
        add(
                all,
                found,
                "no contact",
                "no contact with moist soil: an air gap, residue in the slot, too shallow",
                k.onSurface() ? 1.5 : 0.8);
        add(all, found, "dry", "too dry since sowing: it may still come after rain", k.dryPercent() / 40);
        add(all, found, "cold or wet", "cold or wet soil: seed swells and rots", k.coldPercent() / 40);
        add(all, found, "depth", "sown too deep", k.tooDeep() ? 2 : 0.4);
        add(all, found, "crust", "a crust: break it before the shoots bend", 0.5);
        add(all, found, "cutworm", "cutworms: dig at the cut plants in the evening", k.cutworms() ? 2 : 0.3);
        add(all, found, "seed", "the seed itself: test the lot again", k.testOld() ? 1.5 : 0.4);
        return all.stream()
                .sorted(Comparator.comparingDouble(Cause::weight).reversed())
                .limit(3)
                .map(Cause::words)
                .toList();
    }

    private static void add(List<Cause> all, List<String> found, String id, String words, double weight) {
        all.add(new Cause(words, weight + (found.contains(id) ? 10 - found.indexOf(id) : 0)));
    }
}
