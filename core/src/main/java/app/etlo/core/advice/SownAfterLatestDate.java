package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.UsefulSowing;
import app.etlo.core.quantity.Shown;
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

/** A species is sown later than the frost date leaves it time for. */
final class SownAfterLatestDate extends Judgement {
    SownAfterLatestDate() {
        super(
                "sown-after-latest-date",
                Weight.THINK,
                Step.SOW,
                "a species is sown after its latest useful day: by degree days of the place's weather, else counted from the usual first autumn frost",
                Source.own("Etlo's own degree days per species to a useful stand, or days from the first autumn frost"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream().flatMap(c -> Stream.concat(never(c).stream(), tooLate(s, c).stream()));
    }

    /** Species that most years never bring to a useful stand in this window, whenever they are sown. */
    private Optional<Note> never(Situation.Cover c) {
        List<UsefulSowing> found = never(c.useful());
        if (c.sown().isEmpty() || found.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(note(
                c.id() + "/" + found.get(0).species().id(),
                c.sown(),
                found.stream()
                                .map(u -> u.species().name() + " reaches a useful stand in "
                                        + (u.years() == 0 ? "none" : "only " + u.years()) + " of " + u.allYears()
                                        + " weather years")
                                .collect(Collectors.joining("; "))
                        + ", even sown on the first day of this window.",
                Stream.concat(
                                Stream.of("window "
                                        + c.window()
                                                .map(w -> w.from() + " " + w.to())
                                                .orElse("")),
                                found.stream()
                                        .map(u -> u.species().name() + ": " + u.years() + " of " + u.allYears()
                                                + " years"))
                        .toList(),
                "a wider window, or a faster species"));
    }

    private static List<UsefulSowing> never(List<UsefulSowing> of) {
        return of.stream().filter(u -> u.mostYears().isEmpty()).toList();
    }

    /** Whether this rule speaks of a species, so that no other says the same. */
    static boolean speaksOf(Situation s, Situation.Cover c, Species species) {
        return c.sown()
                .filter(sown -> never(c.useful()).stream()
                                .anyMatch(u -> u.species().equals(species))
                        || s.latest(c, species, sown).filter(sown::isAfter).isPresent())
                .isPresent();
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
