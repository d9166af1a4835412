package app.etlo.core.advice;

import static java.time.temporal.ChronoUnit.DAYS;

import app.etlo.core.mix.SeedLot;
import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;

/** The tag's germination test is more than nine months old on the day of sowing. */
final class GerminationTestOld extends Judgement {
    private static final int MONTHS = 9;
    private static final double FAST = 1.5;

    GerminationTestOld() {
        super(
                "germination-test-old",
                Weight.THINK,
                Step.MIX,
                "a lot's germination test is more than 9 months old at sowing (today when no sowing is dated), sooner where it is stored warm or moist",
                Source.commonPractice(
                        "seed laws limit the age of a test, often 9 months; the local law decides. Seed life doubles per 1 % less moisture or 5 degrees cooler (Harrington's rules)"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.components().stream()
                        .flatMap(k -> k.lot().stream())
                        .filter(l -> tooOld(l, c.sown().orElse(s.asOf())))
                        .map(l -> note(
                                c.id() + "/" + l.species(),
                                c.sown(),
                                "Lot " + l.label() + " was tested "
                                        + Shown.date(l.testedOn().orElseThrow())
                                        + (l.tag().agesBy() > FAST
                                                ? "; warm or moist as it is stored it ages about "
                                                        + Math.round(l.tag().agesBy())
                                                        + " times as fast as in a good store, and is as old as seed of more than nine"
                                                        + " months by sowing."
                                                : ", more than nine months before sowing.")
                                        + " Test it again: old seed comes up thinner.",
                                List.of(
                                        "lot " + l.id(),
                                        "tested " + l.testedOn().orElseThrow(),
                                        "sown "
                                                + c.sown()
                                                        .map(LocalDate::toString)
                                                        .orElse("not set")),
                                "a fresh germination test on the lot")));
    }

    private static boolean tooOld(SeedLot lot, LocalDate sown) {
        // in a bad store it is old sooner; a good one does not make an old test younger
        double fast = Math.max(1, lot.tag().agesBy());
        return lot.testedOn()
                .filter(t -> t.plusDays(Math.round(DAYS.between(t, t.plusMonths(MONTHS)) / fast))
                        .isBefore(sown))
                .isPresent();
    }
}
