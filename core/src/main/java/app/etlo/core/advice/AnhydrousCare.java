package app.etlo.core.advice;

import app.etlo.core.nitrogen.PlannedNitrogen.Application;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Anhydrous ammonia is planned: it can blind and burn people, and burns seed it is placed beside. */
final class AnhydrousCare extends Judgement {
    private static final int SEED_DAYS = 7;

    AnhydrousCare() {
        super(
                "anhydrous-care",
                Weight.STOP,
                Step.FEED,
                "anhydrous ammonia is planned to be fed",
                Source.commonPractice(
                        "goggles, gloves and water at hand; 15 to 20 cm deep where the slot closes; a week or more before seed; in autumn under 10 °C"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.crops().stream()
                .flatMap(c -> Optional.ofNullable(s.feed().get(c.id())).stream()
                        .flatMap(f -> f.applications().stream())
                        .filter(a -> a.product().id().equals("anhydrous-ammonia"))
                        .findFirst()
                        .map(a -> note(
                                c.id(),
                                Optional.of(a.on()),
                                "Anhydrous ammonia is under pressure, blinds and burns: trained people, goggles, gloves, hoses in date, and"
                                        + " water at hand; law and supplier decide. It goes "
                                        + Said.span(15, 20, Unit.CENTIMETRE)
                                        + " deep into soil that closes behind the knife, neither wet nor cloddy; residue needs a coulter ahead of it."
                                        + seed(c, a),
                                List.of("fed " + a.on()),
                                "a week or more before planting, or another product"))
                        .stream());
    }

    private static String seed(CropInTime c, Application a) {
        return c.planted()
                .map(p -> ChronoUnit.DAYS.between(a.on(), p))
                .filter(days -> days >= 0 && days < SEED_DAYS)
                .map(days -> " Planted " + days
                        + " days after it, seed that comes to lie in the band is burnt: wait a week, or place it"
                        + " between the rows to come.")
                .orElse("");
    }
}
