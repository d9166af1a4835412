package app.etlo.core.plan.chapter;

import app.etlo.core.advice.Step;
import app.etlo.core.mix.UsefulSowing;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowOffer;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;

/** Counts back from the latest useful sowing of a cover: seed ordered, drill booked, and what the drill can do until then. */
public final class DecisionCalendar {
    /** Seed is ordered about three weeks ahead, the drill about two. */
    private static final int ORDER_DAYS = 21;

    private static final int BOOK_DAYS = 14;
    private static final double USUAL_DRILL_HA_PER_DAY = 14;
    private static final Formula CAPACITY = Formula.of(
            "What the drill can do",
            "days * perDay",
            Source.own("days dry enough to drill, times what the drill does in a day"),
            "days",
            "perDay");

    private final FieldEntry field;
    private final List<CoverResult> covers;
    private final Optional<WindowOffer> offer;
    private final Consumer<Figure> keep;

    DecisionCalendar(FieldEntry field, List<CoverResult> covers, Optional<WindowOffer> offer, Consumer<Figure> keep) {
        this.field = field;
        this.covers = covers;
        this.offer = offer;
        this.keep = keep;
    }

    List<Decision> all() {
        List<Decision> found = new ArrayList<>();
        covers.forEach(c -> cover(c, found));
        found.sort(Comparator.comparing(Decision::by));
        return List.copyOf(found);
    }

    private void cover(CoverResult c, List<Decision> found) {
        String id = c.entry().id();
        Optional<UsefulSowing> first = c.useful().stream()
                .filter(u -> u.mostYears().isPresent())
                .min(Comparator.comparing(u -> u.mostYears().orElseThrow()));
        LocalDate latest = first.flatMap(UsefulSowing::mostYears).or(c::sown).orElse(null);
        if (latest == null) {
            return;
        }
        boolean mixed = c.blend().isPresent();
        LocalDate sow = c.sown().filter(s -> s.isBefore(latest)).orElse(latest);
        String from = c.sown().isPresent() && sow.equals(c.sown().get())
                ? "the sowing on " + Shown.date(sow)
                : "the latest useful sowing, " + Shown.date(sow);
        found.add(new Decision(
                mixed ? "order seed" : "compose the mix",
                sow.minusDays(ORDER_DAYS),
                Step.MIX,
                id,
                ORDER_DAYS + " days before " + from,
                Optional.empty()));
        boolean drilled =
                c.window().map(w -> w.kind().usualMethod().equals("drilled")).orElse(true);
        found.add(new Decision(
                drilled ? "book the drill" : "book the spreader",
                sow.minusDays(BOOK_DAYS),
                Step.SOW,
                id,
                BOOK_DAYS + " days before " + from,
                Optional.empty()));
        first.ifPresent(u -> found.add(new Decision(
                "last useful sowing of " + u.species().name().toLowerCase(Locale.ROOT),
                latest,
                Step.SOW,
                id,
                "8 years in 10 still reach a useful stand",
                u.figure().map(Figure::id))));
        c.window().filter(w -> drilled).ifPresent(w -> capacity(c, w, latest).ifPresent(keep));
    }

    /** Area that can be drilled from the window's first day to the latest useful sowing. */
    private Optional<Figure> capacity(CoverResult c, Window w, LocalDate latest) {
        String id = "sow/" + c.entry().id();
        Optional<Figure> days = offer.flatMap(o -> o.workDays(w.from(), latest.plusDays(1), id + "/drillDays"));
        days.ifPresent(keep);
        return days.map(d -> CAPACITY.figure(
                id + "/drillCapacity",
                "Area the drill can do in time",
                Unit.HECTARE,
                Input.figure("days", d),
                Input.of(
                        "perDay",
                        "What the drill does in a day",
                        field.drillHaPerDay().map(q -> q.in(Unit.HA_PER_DAY)).orElse(USUAL_DRILL_HA_PER_DAY),
                        Unit.HA_PER_DAY,
                        field.drillHaPerDay().isPresent() ? Origin.ENTERED : Origin.DEFAULT,
                        field.drillHaPerDay()
                                .map(q -> "typed")
                                .orElse("a drill of " + Said.of(3, Unit.METRE) + ", common practice"))));
    }
}
