package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A date so many years off that the year is likely a slip of the pen. */
final class DateFarAway extends Judgement {
    private static final int MOST_YEARS = 6;

    DateFarAway() {
        super(
                "date-far-away",
                Weight.THINK,
                Step.ROTATION,
                "a date lies six years or more from today",
                Source.own("a rotation is planned over two to six years"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return Stream.concat(
                s.crops().stream()
                        .flatMap(c -> Stream.concat(
                                far(s, c.id(), "Planting of " + c.crop().name(), c.planted()),
                                far(s, c.id(), "Harvest of " + c.crop().name(), c.harvested()))),
                s.covers().stream()
                        .flatMap(c -> Stream.concat(
                                far(s, c.id(), "Sowing of the cover", c.sown()),
                                far(s, c.id(), "End of the cover", c.end().map(e -> e.date())))));
    }

    private Stream<Note> far(Situation s, String subject, String what, Optional<LocalDate> day) {
        return day.stream()
                .filter(d -> Math.abs(ChronoUnit.YEARS.between(s.asOf(), d)) >= MOST_YEARS)
                .map(d -> note(
                        subject,
                        Optional.of(d),
                        what + " is dated " + Shown.date(d) + ", "
                                + Math.abs(ChronoUnit.YEARS.between(s.asOf(), d))
                                + " years from today. Is the year right?",
                        List.of(what + " " + d),
                        "the year as it was meant"));
    }
}
