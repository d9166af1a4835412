package app.etlo.core.plan.chapter;

import app.etlo.core.advice.Step;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.quantity.Shown;
import app.etlo.core.rotation.Window;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Counts back from the sowing of a cover: seed ordered, drill booked. */
final class DecisionCalendar {
    /** Seed is ordered about three weeks ahead, the drill about two. */
    private static final int ORDER_DAYS = 21;

    private static final int BOOK_DAYS = 14;

    private final List<CoverResult> covers;

    DecisionCalendar(List<CoverResult> covers) {
        this.covers = covers;
    }

    List<Decision> all() {
        List<Decision> found = new ArrayList<>();
        covers.forEach(c -> cover(c, found));
        found.sort(Comparator.comparing(Decision::by));
        return List.copyOf(found);
    }

    private void cover(CoverResult c, List<Decision> found) {
        String id = c.entry().id();
        c.ending()
                .fallbacks()
                .forEach(f -> found.add(new Decision(
                        "look whether " + f.when(),
                        f.look(),
                        Step.END,
                        id,
                        "plan B"
                                + f.by().map(d -> " is done by " + Shown.date(d))
                                        .orElse(": none after it"))));
        LocalDate sow = c.sown().or(() -> c.window().map(Window::sowUntil)).orElse(null);
        if (sow == null) {
            return;
        }
        boolean mixed = c.mix().blend().isPresent();
        String from = c.sown().isPresent()
                ? "the sowing on " + Shown.date(sow)
                : "the last day its window allows sowing, " + Shown.date(sow);
        found.add(new Decision(
                mixed ? "order seed" : "compose the mix",
                sow.minusDays(ORDER_DAYS),
                Step.MIX,
                id,
                ORDER_DAYS + " days before " + from));
        boolean drilled =
                c.window().map(w -> w.kind().usualMethod().equals("drilled")).orElse(true);
        found.add(new Decision(
                drilled ? "book the drill" : "book the spreader",
                sow.minusDays(BOOK_DAYS),
                Step.SOW,
                id,
                BOOK_DAYS + " days before " + from));
    }
}
