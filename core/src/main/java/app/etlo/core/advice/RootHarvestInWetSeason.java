package app.etlo.core.advice;

import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A late root harvest ahead of a crop planted without tillage. */
final class RootHarvestInWetSeason extends Judgement {
    private static final Set<String> ROOTS = Set.of("potato", "sugar-beet", "carrot", "onion");

    RootHarvestInWetSeason() {
        super(
                "root-harvest-in-wet-season",
                Weight.THINK,
                Step.ROTATION,
                "a root crop is harvested after the usual first autumn frost and the next crop is planted without tillage",
                Source.commonPractice("ruts and compaction of late root harvests"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return IntStream.range(1, s.crops().size())
                .mapToObj(i -> pair(s, s.crops().get(i - 1), s.crops().get(i)))
                .flatMap(Optional::stream);
    }

    private Optional<Note> pair(Situation s, CropInTime first, CropInTime second) {
        boolean root = ROOTS.contains(first.crop().id());
        boolean late = first.harvested()
                .flatMap(h -> s.frost().map(f -> h.isAfter(f.firstAutumn().atYear(h.getYear()))))
                .orElse(false);
        boolean noTill = s.untilled().contains(second.id()) && second.planted().isPresent();
        return root && late && noTill
                ? Optional.of(note(
                        second.id(),
                        first.harvested(),
                        first.crop().name() + " is lifted late, on wet ground as a rule, and "
                                + second.crop().name().toLowerCase(Locale.ROOT)
                                + " follows without tillage. Look for ruts and a pan first.",
                        List.of(first.crop().id() + " " + first.harvested(), second.id()),
                        "an earlier variety, or one pass of loosening where the spade finds a pan"))
                : Optional.empty();
    }
}
