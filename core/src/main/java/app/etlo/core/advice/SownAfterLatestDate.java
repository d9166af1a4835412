package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.UsefulYears;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A cover is sown later than its season leaves it time for. */
final class SownAfterLatestDate extends Judgement {
    SownAfterLatestDate() {
        super(
                "sown-after-latest-date",
                Weight.THINK,
                Step.SOW,
                "a mix grows to a useful stand in fewer than 8 weather years of 10; without weather, a species is sown after the day counted from the usual first autumn frost",
                Source.own(
                        "the ground simulation; without weather, Etlo's own days per species from the first autumn frost"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream().flatMap(c -> Stream.concat(seldom(s, c).stream(), tooLate(s, c).stream()));
    }

    /** What the weather years make of the mix as it is sown and ended. */
    private Optional<Note> seldom(Situation s, Situation.Cover c) {
        return c.useful()
                .filter(u -> !u.mostly())
                .flatMap(u -> c.sown().map(sown -> {
                    String share = (u.reached() == 0 ? "none" : String.valueOf(u.reached())) + " of " + u.of()
                            + " weather years";
                    return note(
                            c.id(),
                            c.sown(),
                            "Sown on " + Shown.date(sown) + ", "
                                    + (c.components().size() == 1 ? "it" : "the mix")
                                    + " grows to a useful stand, "
                                    + s.sayRound(UsefulYears.USEFUL_KG_HA / 1000, Unit.T_PER_HA)
                                    + " of dry tops, before it ends in " + share + ".",
                            List.of("sown " + sown, share),
                            "an earlier sowing, a later end, or species that grow faster in this season");
                }));
    }

    private Optional<Note> tooLate(Situation s, Situation.Cover c) {
        if (c.sown().isEmpty()) {
            return Optional.empty();
        }
        LocalDate sown = c.sown().get();
        Map<Species, LocalDate> latest = new LinkedHashMap<>();
        c.components()
                .forEach(k -> s.latest(c, k.species(), sown)
                        .filter(sown::isAfter)
                        .ifPresent(day -> latest.put(k.species(), day)));
        if (latest.isEmpty()) {
            return Optional.empty();
        }
        List<String> facts = new ArrayList<>(List.of("sown " + sown));
        latest.forEach((k, day) -> facts.add(k.name() + ": latest " + day));
        return Optional.of(note(
                c.id() + "/" + latest.keySet().iterator().next().id(),
                c.sown(),
                "Sown after the latest useful day: "
                        + latest.entrySet().stream()
                                .map(e -> e.getKey().name().toLowerCase(Locale.ROOT) + " by "
                                        + days(ChronoUnit.DAYS.between(e.getValue(), sown)) + " ("
                                        + Shown.date(e.getValue()) + ")")
                                .collect(Collectors.joining(", "))
                        + ". Expect little of " + (latest.size() == 1 ? "it." : "them."),
                facts,
                "an earlier sowing, or a hardier species such as cereal rye"));
    }

    private static String days(long n) {
        return n == 1 ? "1 day" : n + " days";
    }
}
