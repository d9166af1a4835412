package app.etlo.core.advice;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** A practice above what the farm has experience with: a small first try, and what evidence allows the next step. */
final class FirstTry extends Judgement {
    private static final List<String> LEVELS = List.of("beginner", "intermediate", "expert");
    /** Area of a first try; Etlo's own round cap. */
    private static final double FIRST_HA = 4;

    private static final int LATE_DAYS = 7;

    FirstTry() {
        super(
                "first-try",
                Weight.THINK,
                Step.ROTATION,
                "the farm's experience is entered and a plan holds a practice above it: a late end, annual ryegrass, a rolled mulch without"
                        + " herbicide, a cover sown into a standing crop, or planting without tillage into a cover",
                Source.commonPractice(
                        "readiness: late termination, annual ryegrass and a rolled mulch without herbicide are for experts; a first try is"
                                + " small; the first three years lag"),
                "medium");
    }

    /**
     * A practice and its level.
     *
     * @param evidence that allows the next step
     */
    private record Practice(String name, String level, String evidence) {}

    private static final Practice MULCH_ALONE = new Practice(
            "a rolled mulch without herbicide",
            "expert",
            "two seasons with an even mulch, a kill above 95 % at the check and clean rows until the canopy closes");
    private static final Practice LATE = new Practice(
            "ending a cover within a week of planting or after it",
            "expert",
            "two seasons with the crop's full stand, soil water watched, and a second way to kill at hand");
    private static final Practice RYEGRASS =
            new Practice("annual ryegrass", "expert", "a complete kill at the check in two springs");
    private static final Practice INTO = new Practice(
            "sowing into a standing crop", "intermediate", "a stand above half of what was sown in two years");
    private static final Practice NO_TILL = new Practice(
            "planting without tillage into a cover",
            "intermediate",
            "closed slots, even depth and a stand as good as on tilled ground in two years");

    @Override
    public Stream<Note> judge(Situation s) {
        Optional<Integer> own = s.field().experience().map(LEVELS::indexOf).filter(i -> i >= 0);
        return own.stream()
                .flatMap(level -> s.covers().stream()
                        .filter(c -> c.sown().map(d -> !d.isBefore(s.asOf())).orElse(true))
                        .flatMap(c -> practices(s, c)
                                .filter(p -> LEVELS.indexOf(p.level()) > level)
                                .limit(1)
                                .map(p -> speak(s, c, p, level))));
    }

    private static Stream<Practice> practices(Situation s, Situation.Cover c) {
        boolean rolledAlone = c.endings().stream().anyMatch(e -> e.method().rolls())
                && c.endings().stream().noneMatch(e -> e.method().usesHerbicide());
        Optional<LocalDate> planted = c.next().flatMap(n -> n.planted());
        boolean late = c.end()
                .filter(e -> planted.filter(d -> e.date().plusDays(LATE_DAYS).isAfter(d))
                        .isPresent())
                .isPresent();
        boolean ryegrass =
                c.components().stream().anyMatch(k -> k.species().id().equals("annual-ryegrass"));
        boolean untilled = c.next().filter(n -> s.untilled().contains(n.id())).isPresent();
        return Stream.of(
                        when(rolledAlone && untilled, MULCH_ALONE),
                        when(late && untilled, LATE),
                        when(ryegrass, RYEGRASS),
                        when(c.use().standing().isPresent(), INTO),
                        when(untilled, NO_TILL))
                .flatMap(Optional::stream);
    }

    private static Optional<Practice> when(boolean is, Practice p) {
        return is ? Optional.of(p) : Optional.empty();
    }

    private Note speak(Situation s, Situation.Cover c, Practice p, int level) {
        return note(
                c.id(),
                c.sown(),
                p.name().substring(0, 1).toUpperCase(Locale.ROOT) + p.name().substring(1) + " is a practice for "
                        + (p.level().equals("expert") ? "experts" : "those with some years of covers")
                        + "; this farm is entered as " + LEVELS.get(level) + ". Try it on about "
                        + s.sayRound(FIRST_HA, Unit.HECTARE)
                        + " first, where a failure can be borne. The next step is earned by " + p.evidence()
                        + ". Yields often lag in the first three years.",
                List.of(p.name(), "experience " + LEVELS.get(level)),
                "a small first area, or an easier practice");
    }
}
