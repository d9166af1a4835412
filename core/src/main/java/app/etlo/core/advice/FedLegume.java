package app.etlo.core.advice;

import app.etlo.core.nitrogen.PlannedNitrogen;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Nitrogen on a crop that fixes its own. */
final class FedLegume extends Judgement {
    /** About 30 lb/ac: what is called a starter. */
    private static final double STARTER_KG_HA = 34;

    FedLegume() {
        super(
                "fed-legume",
                Weight.THINK,
                Step.FEED,
                "nitrogen is planned for a legume crop; over 34 kg/ha it is more than a starter",
                Source.commonPractice(
                        "starter nitrogen on legumes: none, or 20 to 30 lb/ac in cold ground; more delays nodules"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.crops().stream()
                .filter(c -> c.crop().group().isLegume())
                .flatMap(c -> Optional.ofNullable(s.feed().get(c.id())).stream()
                        .map(f -> f.applications().stream()
                                .mapToDouble(PlannedNitrogen.Application::nitrogenKgHa)
                                .sum())
                        .filter(kg -> kg > 0)
                        .map(kg -> note(
                                c.id(),
                                c.planted(),
                                s.sayRound(kg, Unit.KG_PER_HA) + " of nitrogen is planned for "
                                        + c.crop().name().toLowerCase(Locale.ROOT) + ", which fixes its own. "
                                        + (kg > STARTER_KG_HA
                                                ? "It is more than a starter: nodules form later and fewer, and it fixes that much less."
                                                : "So little carries it over cold ground until nodules work, a week or two later than without; none is"
                                                        + " usual where it has nodulated well."),
                                List.of("fed " + s.sayRound(kg, Unit.KG_PER_HA)),
                                "none, or a starter on cold ground")));
    }
}
