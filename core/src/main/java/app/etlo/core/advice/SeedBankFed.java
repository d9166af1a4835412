package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A weed of high pressure has a long window of the warm season to itself: what seeds there comes up for years. */
final class SeedBankFed extends Judgement {
    private static final int LONG_DAYS = 45;
    /** Days of the warm half of the year inside the window from which weeds can seed. */
    private static final int WARM_DAYS = 40;

    SeedBankFed() {
        super(
                "seed-bank-fed",
                Weight.THINK,
                Step.ROTATION,
                "a weed of high pressure has a window of six weeks or more of the warm season without a cover",
                Source.commonPractice("weeds that seed after harvest feed the seed bank of the next years"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        boolean south = s.weather().map(w -> w.latitude() < 0).orElse(false);
        return s.windows().stream()
                .filter(w -> w.kind() == WindowKind.BETWEEN && w.days().middle() >= LONG_DAYS)
                .filter(w -> warmDays(w, south) >= WARM_DAYS)
                .filter(w -> s.covers().stream().noneMatch(c -> WindowWithoutCover.stands(c, w)))
                .flatMap(w -> s.field().weeds().stream()
                        .filter(x -> x.pressure().equals("high"))
                        .map(x -> note(
                                w.id() + "/" + x.name(),
                                Optional.of(w.from()),
                                x.name() + " can seed between " + Shown.date(w.from()) + " and "
                                        + Shown.date(w.to()) + ", where nothing shades it. Its seed comes up in the"
                                        + " crops of the next years.",
                                List.of(x.name() + " " + w.from() + " " + w.to()),
                                "a cover that closes fast, or a shallow pass before it seeds")));
    }

    private static long warmDays(Window w, boolean south) {
        return w.from()
                .datesUntil(w.to())
                .filter(d -> {
                    int month = south ? (d.getMonthValue() + 5) % 12 + 1 : d.getMonthValue();
                    return month >= 5 && month <= 9;
                })
                .count();
    }
}
