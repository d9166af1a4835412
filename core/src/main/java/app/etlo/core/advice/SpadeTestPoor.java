package app.etlo.core.advice;

import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The newest spade test says that the soil's structure needs help. */
final class SpadeTestPoor extends Judgement {
    /** Above it act (Ball et al. 2007). */
    private static final double ACT = 3;
    /** A change of less is within what two people score apart; Etlo's own. */
    private static final double TELLS_APART = 0.5;
    /** Treading reaches 5 to 8 cm deep, and few score thinner layers than this (common practice). */
    private static final double TREADING_CM = 10;

    SpadeTestPoor() {
        super(
                "spade-test-poor",
                Weight.THINK,
                Step.FIELD,
                "the newest spade test scores above 3, weighted by depth, or a layer of it does",
                Source.fromMemory(
                        "Ball et al. 2007, Soil Use and Management 23:329; Guimaraes et al. 2011, 27:395: above 3 act"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        List<FieldFacts.SpadeTest> tests = s.field().spadeTests();
        if (tests.isEmpty()) {
            return Stream.empty();
        }
        FieldFacts.SpadeTest last = tests.get(tests.size() - 1);
        if (last.score() <= ACT && last.worst() <= ACT) {
            return Stream.empty();
        }
        return Stream.of(note(
                "field",
                Optional.empty(),
                "The spade test of " + Shown.date(last.on()) + " scores " + Shown.plain(last.score(), 1)
                        + " of 5, and the worst layer " + Shown.plain(last.worst(), 1) + ", "
                        + Said.span(Math.round(last.worstFromCm()), Math.round(last.worstToCm()), Unit.CENTIMETRE)
                        + " deep: above 3 the soil needs help. "
                        + since(tests)
                        + (last.worstToCm() <= TREADING_CM
                                ? "What lies on top is treading or traffic: roots, worms and frost mend it, and steel does not."
                                : "Roots first, where they still go through; steel only where the soil at that depth crumbles.")
                        + " No-till started on it keeps the damage for years.",
                List.of("scored " + last.on(), "score " + Shown.plain(last.score(), 1)),
                "another block at the same place and moisture, a year later"));
    }

    private static String since(List<FieldFacts.SpadeTest> tests) {
        if (tests.size() < 2) {
            return "";
        }
        FieldFacts.SpadeTest before = tests.get(tests.size() - 2);
        double change = tests.get(tests.size() - 1).score() - before.score();
        return Math.abs(change) < TELLS_APART
                ? "On " + Shown.date(before.on()) + " it was much the same. "
                : "On " + Shown.date(before.on()) + " it was " + Shown.plain(before.score(), 1) + ". ";
    }
}
