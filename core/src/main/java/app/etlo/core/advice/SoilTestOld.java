package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The newest soil test is older than the usual clock of four years. */
final class SoilTestOld extends Judgement {
    private static final int CLOCK_YEARS = 4;

    SoilTestOld() {
        super(
                "soil-test-old",
                Weight.TIP,
                Step.FIELD,
                "the newest soil test of the field is over four years old",
                Source.commonPractice("soil tests are repeated about every four years"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s
                .field()
                .newestSoilTest()
                .filter(d -> d.isBefore(s.asOf().minusYears(CLOCK_YEARS)))
                .map(d -> note(
                        "field",
                        Optional.empty(),
                        "The newest soil test is of " + Shown.date(d) + ". It is usual to test again every "
                                + CLOCK_YEARS + " years, at the same time of the year.",
                        List.of("tested " + d),
                        "a new soil test"))
                .stream();
    }
}
