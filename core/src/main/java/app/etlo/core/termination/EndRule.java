package app.etlo.core.termination;

import app.etlo.core.knowledge.EndZone;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A rule that binds the end of a cover on this farm.
 *
 * @param says the rule in words
 * @param found what the plan does against it
 * @param decides who says what holds
 */
public record EndRule(String id, String says, boolean holds, String found, String decides) {

    /**
     * What a farm has switched on.
     *
     * @param nestingFrom with {@code nestingUntil}: nothing is rolled, mown or tilled between them
     * @param earliest no cover ends before
     * @param bees nothing is sprayed or mown in bloom
     */
    public record Rules(
            Optional<EndZone> zone,
            Optional<MonthDay> nestingFrom,
            Optional<MonthDay> nestingUntil,
            Optional<MonthDay> earliest,
            boolean bees) {
        public static final Rules NONE =
                new Rules(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), false);

        /** By rule, as a farm writes them. */
        public static Rules of(Map<String, String> typed, Map<String, EndZone> zones) {
            return new Rules(
                    Optional.ofNullable(typed.get("zone")).map(zones::get),
                    day(typed, "nesting-from"),
                    day(typed, "nesting-until"),
                    day(typed, "earliest"),
                    typed.containsKey("bees"));
        }

        private static Optional<MonthDay> day(Map<String, String> typed, String rule) {
            return Optional.ofNullable(typed.get(rule)).map(d -> MonthDay.parse("--" + d));
        }
    }

    /** The rules that speak of an end. */
    public static List<EndRule> of(EndPlanned p, Rules rules) {
        List<EndRule> found = new ArrayList<>();
        if (p.passes().isEmpty()) {
            return found;
        }
        LocalDate first = p.passes().get(0).on();
        LocalDate last = p.passes().get(p.passes().size() - 1).on();
        rules.zone()
                .flatMap(z -> p.planting().map(x -> zone(z, ChronoUnit.DAYS.between(last, x.on()))))
                .ifPresent(found::add);
        rules.earliest().ifPresent(d -> {
            // a cover that is sown in one year and ended in the next waits for the day of its own year
            LocalDate from = d.atYear(first.getYear());
            found.add(new EndRule(
                    "earliest",
                    "the programme lets no cover end before " + spoken(d),
                    !first.isBefore(from),
                    first.isBefore(from) ? ChronoUnit.DAYS.between(first, from) + " days too soon" : "it does not",
                    "the programme's office"));
        });
        rules.nestingFrom()
                .flatMap(f -> rules.nestingUntil().map(u -> nesting(p, f, u)))
                .ifPresent(found::add);
        if (rules.bees()) {
            p.blooms().ifPresent(b -> found.add(bees(p, b)));
        }
        return found;
    }

    private static EndRule zone(EndZone z, long days) {
        return new EndRule(
                "zone",
                z.name(),
                days >= z.least(),
                days >= 0 ? "it ends " + days + " days before" : "it ends " + -days + " days after",
                z.decides());
    }

    private static EndRule nesting(EndPlanned p, MonthDay from, MonthDay until) {
        List<String> inside = p.passes().stream()
                .filter(x -> !x.method().usesHerbicide() || x.method().rolls())
                .filter(x -> !x.method().isWinter())
                .filter(x -> !MonthDay.from(x.on()).isBefore(from)
                        && !MonthDay.from(x.on()).isAfter(until))
                .map(x -> x.method().name().toLowerCase(java.util.Locale.ROOT))
                .toList();
        return new EndRule(
                "nesting",
                "nothing is rolled, mown or tilled from " + spoken(from) + " to " + spoken(until) + ", when birds nest",
                inside.isEmpty(),
                inside.isEmpty() ? "nothing is" : String.join(", ", inside) + " falls into it",
                "the programme's office or the conservation law here");
    }

    private static EndRule bees(EndPlanned p, LocalDate blooms) {
        boolean inBloom = p.passes().stream()
                .anyMatch(x -> !x.on().isBefore(blooms)
                        && (x.method().usesHerbicide()
                                || x.method()
                                        .means()
                                        .contains(app.etlo.core.knowledge.TerminationMethod.Means.MOWING)));
        return new EndRule(
                "bees",
                "nothing is sprayed or mown in bloom",
                !inBloom,
                inBloom ? "a species is in bloom by then" : "nothing blooms by then",
                "the programme, and the label");
    }

    private static String spoken(MonthDay d) {
        return d.getDayOfMonth() + " "
                + d.getMonth().getDisplayName(java.time.format.TextStyle.FULL, java.util.Locale.UK);
    }
}
