package app.etlo.core.advice;

import app.etlo.core.mix.Seedbed;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Seed on the surface where rain often fails to follow. */
final class SeedbedDry extends Judgement {
    private static final double MANY_PERCENT = 30;
    /** Drilled seed is told of from here on; Etlo's own. */
    private static final double MOST_PERCENT = 80;

    SeedbedDry() {
        super(
                "seedbed-dry",
                Weight.THINK,
                Step.SOW,
                "in over 3 years of 10 too little rain follows seed that stays on the surface, in over 8 of 10 drilled seed",
                Source.commonPractice(
                        "seed on the surface waits for a wetting rain; the amount and days are Etlo's own"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> c.sown().filter(d -> !d.isBefore(s.asOf())).isPresent())
                .flatMap(c -> c.seedbed().stream()
                        .filter(b -> b.dryPercent().middle() > (c.use().onSurface() ? MANY_PERCENT : MOST_PERCENT))
                        .map(b -> {
                            String share = Situation.yearsIn10(b.dryPercent().middle());
                            return note(
                                    c.id(),
                                    c.sown(),
                                    "In " + share + " under " + s.sayRound(Seedbed.WETTING_MM, Unit.MILLIMETRE)
                                            + " falls in the " + Seedbed.WAIT_DAYS
                                            + " days after this sowing: "
                                            + (c.use().onSurface()
                                                    ? "seed on the surface waits, and birds and slugs find it."
                                                    : "drilled seed lies in dust until rain comes, or swells on a shower and dies. The"
                                                            + " forecast of growth counts from the rain of each year. Water it, drill into"
                                                            + " moisture, or drill dry shortly ahead of the rains."),
                                    List.of("without a wetting rain in " + share),
                                    c.use().onSurface()
                                            ? "drilled, or sown ahead of a forecast rain"
                                            : "moist soil at seed depth, or water");
                        }));
    }
}
