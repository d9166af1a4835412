package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Much of the rotation's work falls together. */
final class WorkPeak extends Judgement {
    private static final int MANY = 4;
    private static final int SPAN_DAYS = 10;

    WorkPeak() {
        super(
                "work-peak",
                Weight.TIP,
                Step.ROTATION,
                "four or more plantings, harvests, sowings or ends fall within ten days",
                Source.commonPractice("work peaks are where windows are lost"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        List<LocalDate> days = Stream.of(
                        s.crops().stream().flatMap(c -> c.planted().stream()),
                        s.crops().stream().flatMap(c -> c.harvested().stream()),
                        s.covers().stream().flatMap(c -> c.sown().stream()),
                        s.covers().stream().flatMap(c -> c.end().stream().map(e -> e.date())))
                .flatMap(d -> d)
                .filter(d -> !d.isBefore(s.asOf()))
                .sorted()
                .toList();
        for (int i = 0; i + MANY <= days.size(); i++) {
            LocalDate first = days.get(i);
            LocalDate last = days.get(i + MANY - 1);
            if (ChronoUnit.DAYS.between(first, last) <= SPAN_DAYS) {
                return Stream.of(note(
                        "rotation",
                        Optional.of(first),
                        MANY + " jobs of this field fall between " + Shown.date(first) + " and " + Shown.date(last)
                                + ". With rain in between, the last one slips.",
                        List.of("jobs " + first + " to " + last),
                        "an earlier maturity, a second machine, or a cover sown before harvest"));
            }
        }
        return Stream.empty();
    }
}
