package app.etlo.core.advice;

import app.etlo.core.mix.SeedLot;
import app.etlo.core.quantity.Shown;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;

/** The tag's germination test is more than nine months old on the day of sowing. */
final class GerminationTestOld extends Judgement {
    private static final int MONTHS = 9;

    GerminationTestOld() {
        super(
                "germination-test-old",
                Weight.THINK,
                Step.MIX,
                "a lot's germination test is more than 9 months old at sowing (today when no sowing is dated)",
                Source.commonPractice("seed laws limit the age of a test, often 9 months; the local law decides"),
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
                                        + ", more than nine months before sowing. Test it again: old seed comes up thinner.",
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
        return lot.testedOn().map(t -> t.plusMonths(MONTHS).isBefore(sown)).orElse(false);
    }
}
