package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A long window without a living cover. */
final class WindowWithoutCover extends Judgement {
    private static final int LONG_DAYS = 60;
    private static final int MANY_WINTER_DAYS = 30;

    WindowWithoutCover() {
        super(
                "window-without-cover",
                Weight.TIP,
                Step.ROTATION,
                "a window of two months or more between crops has no cover",
                Source.commonPractice("living roots as much of the year as the season gives"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.windows().stream()
                .filter(w -> w.kind() == WindowKind.BETWEEN)
                .filter(w -> w.days().middle() >= LONG_DAYS)
                .filter(w -> s.covers().stream().noneMatch(c -> stands(c, w)))
                .map(w -> note(
                        w.before().orElse(w.after()),
                        Optional.of(w.from()),
                        "Nothing grows for " + Math.round(w.days().middle()) + " days, from " + Shown.date(w.from())
                                + " to " + Shown.date(w.to()) + bareWinter(w) + ".",
                        List.of("bare " + w.from() + " to " + w.to()),
                        "a cover, or a crop that closes the window"));
    }

    static boolean stands(Situation.Cover c, Window w) {
        return c.window().map(x -> x.id().equals(w.id())).orElse(false)
                || c.sown().map(d -> d.isBefore(w.to())).orElse(false)
                        && c.end().map(e -> e.date().isAfter(w.from())).orElse(false);
    }

    private static String bareWinter(Window w) {
        long winter = w.from()
                .datesUntil(w.to())
                .filter(d -> d.getMonthValue() >= 11 || d.getMonthValue() <= 3)
                .count();
        return winter >= MANY_WINTER_DAYS ? ", " + winter + " of them from November to March" : "";
    }
}
