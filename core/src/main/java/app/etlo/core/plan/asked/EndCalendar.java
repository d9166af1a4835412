package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.plan.chapter.EndPlanning;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.quantity.Band;
import app.etlo.core.termination.EndGap;
import app.etlo.core.termination.EndGaps;
import app.etlo.core.termination.EndPlanned;
import app.etlo.core.termination.EndRule;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;

/** On which days a cover may end: what rules, gaps and seed speak against, and what its aims favour. */
public final class EndCalendar {
    /** Seed that can grow in so many years is too much. */
    private static final double MUCH_SEED = 0.1;
    /** Nearly all of what can be had. */
    private static final double NEARLY_ALL = 0.9;

    private final Evaluated e;
    private final CoverResult cover;
    private final LivingCover living;

    /** Days on which the plan's passes would break a rule or a gap, with why. */
    public record BlockView(LocalDate from, LocalDate to, boolean stop, List<String> why) {}

    /** Days that an aim of the cover favours. */
    public record SpanView(String aim, String name, LocalDate from, LocalDate to, String why) {}

    EndCalendar(Evaluated e, CoverResult cover, LivingCover living) {
        this.e = e;
        this.cover = cover;
        this.living = living;
    }

    /**
     * Runs of days that break the same rules and gaps.
     *
     * @param instead passes that stand for those of the plan where it names none
     */
    List<BlockView> blocked(LocalDate first, LocalDate to, Optional<List<TerminationMethod>> instead) {
        EndPlanned plan = EndPlanning.of(e.inTime(), cover.inTime(), cover.clocks());
        EndPlanned so = instead.map(methods -> plan.by(first, methods)).orElse(plan);
        List<BlockView> found = new ArrayList<>();
        for (LocalDate d = first; !d.isAfter(to); d = d.plusDays(1)) {
            add(found, against(d, so.endedOn(d)));
        }
        return found;
    }

    private BlockView against(LocalDate day, EndPlanned then) {
        List<String> why = new ArrayList<>();
        boolean stop = false;
        for (EndRule r : EndRule.of(then, EndPlanning.rules(e.inTime()))) {
            if (!r.holds()) {
                why.add(r.says());
                stop = true;
            }
        }
        for (EndGap g : EndGaps.of(then, EndPlanning.labels(e.inTime()))) {
            if (!g.holds()) {
                why.add(g.from() + " to " + g.to() + ": " + g.wanted());
                stop |= g.ofLabel();
            }
        }
        if (seeded(day)) {
            why.add("seed that can grow in 1 year of 10 or more");
            stop = true;
        }
        return new BlockView(day, day, stop, why);
    }

    private boolean seeded(LocalDate day) {
        return living.seedShare(day) >= MUCH_SEED;
    }

    private static void add(List<BlockView> found, BlockView day) {
        if (day.why().isEmpty()) {
            return;
        }
        BlockView last = found.isEmpty() ? day : found.get(found.size() - 1);
        if (last.to().plusDays(1).equals(day.from()) && last.why().equals(day.why())) {
            found.set(found.size() - 1, new BlockView(last.from(), day.to(), day.stop(), day.why()));
        } else {
            found.add(day);
        }
    }

    /** For each aim that the day decides, the days on which nearly all of what can be had is there. */
    List<SpanView> favoured(EndRows rows) {
        List<SpanView> found = new ArrayList<>();
        for (String aim : cover.entry().aims().orElse(List.of())) {
            switch (aim) {
                case "mulch", "suppress-weeds", "protect-soil", "build-organic-matter" ->
                    span(aim, rows.points("tops"), "tops within a tenth of the most")
                            .ifPresent(found::add);
                case "fix-nitrogen", "catch-nitrogen" ->
                    span(aim, rows.points("nitrogen"), "nitrogen in the tops within a tenth of the most")
                            .ifPresent(found::add);
                case "manage-water" ->
                    span(aim, rows.points("water"), "soil water at planting within a tenth of the most")
                            .ifPresent(found::add);
                default -> {
                    // the day of the end decides nothing of the others
                }
            }
        }
        return found;
    }

    private Optional<SpanView> span(String aim, NavigableMap<LocalDate, Band> points, String why) {
        double most = points.values().stream().mapToDouble(Band::middle).max().orElse(0);
        List<LocalDate> days = points.entrySet().stream()
                .filter(x -> x.getValue().middle() >= NEARLY_ALL * most && !seeded(x.getKey()))
                .map(Map.Entry::getKey)
                .toList();
        return most <= 0 || days.isEmpty()
                ? Optional.empty()
                : Optional.of(new SpanView(
                        aim, e.knowledge().aims().get(aim).name(), days.get(0), days.get(days.size() - 1), why));
    }
}
