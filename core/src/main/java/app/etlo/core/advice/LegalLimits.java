package app.etlo.core.advice;

import app.etlo.core.nitrogen.FeedLimits;
import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.PlannedNitrogen.Application;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Stream;

/** More nitrogen than law allows, or on days on which it allows none, by what the adviser typed. */
final class LegalLimits {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.UK);

    private LegalLimits() {}

    static List<Judgement> all() {
        return List.of(new OverCeiling(), new InClosedPeriod());
    }

    private static Stream<Note> each(Situation s, BiFunction<CropInTime, FeedResult, Optional<Note>> judge) {
        return s.crops().stream()
                .flatMap(c -> Optional.ofNullable(s.feed().get(c.id())).flatMap(f -> judge.apply(c, f)).stream());
    }

    private static final class OverCeiling extends Judgement {
        OverCeiling() {
            super(
                    "nitrogen-over-ceiling",
                    Weight.STOP,
                    Step.FEED,
                    "all nitrogen planned for a crop, that of organic products whole, is over the legal maximum typed for it",
                    Source.commonPractice(
                            "legal maxima by crop and year, as the adviser typed them; the law in force decides"),
                    "high");
        }

        @Override
        public Stream<Note> judge(Situation s) {
            return each(s, (c, f) -> f.limits().ceilingKgHa().flatMap(most -> judge(s, c, f, most)));
        }

        private Optional<Note> judge(Situation s, CropInTime c, FeedResult f, double mostKgHa) {
            double all = f.applications().stream()
                    .mapToDouble(a -> a.nitrogenKgHa() / a.product().availableShare())
                    .sum();
            return all <= mostKgHa
                    ? Optional.empty()
                    : Optional.of(note(
                            c.id(),
                            c.planted(),
                            "What is planned brings " + s.say(all, Unit.KG_PER_HA)
                                    + " of nitrogen in all, over the legal " + s.say(mostKgHa, Unit.KG_PER_HA)
                                    + " that you entered. The law in force decides what counts.",
                            List.of("planned " + s.say(all, Unit.KG_PER_HA)),
                            "less, or manure on other fields"));
        }
    }

    private static final class InClosedPeriod extends Judgement {
        InClosedPeriod() {
            super(
                    "fed-in-closed-period",
                    Weight.STOP,
                    Step.FEED,
                    "a feeding of a crop lies in the closed period typed for it",
                    Source.commonPractice("closed periods, as the adviser typed them; the law in force decides"),
                    "high");
        }

        @Override
        public Stream<Note> judge(Situation s) {
            return each(
                    s,
                    (c, f) -> f.limits()
                            .closed()
                            .flatMap(p -> f.applications().stream()
                                    .filter(a -> p.holds(a.on()))
                                    .findFirst()
                                    .map(a -> closed(c, a, p))));
        }

        private Note closed(CropInTime c, Application a, FeedLimits.Closed p) {
            return note(
                    c.id(),
                    Optional.of(a.on()),
                    a.product().name() + " on " + Shown.date(a.on()) + " lies in the closed period that you entered, "
                            + DAY.format(p.from()) + " to " + DAY.format(p.to()) + ". It is not brought out then.",
                    List.of("fed " + a.on()),
                    "a day outside it");
        }
    }
}
