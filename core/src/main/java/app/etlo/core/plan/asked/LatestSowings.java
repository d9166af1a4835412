package app.etlo.core.plan.asked;

import app.etlo.core.mix.UsefulSowing;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.shown.ChapterViews.LatestView;
import app.etlo.core.plan.shown.ChapterWriter;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowResult;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;

/** The latest useful sowing of every species of the library in one window. */
public final class LatestSowings {
    private LatestSowings() {}

    /**
     * Those that can be sown longest first; those that never reach a useful stand last.
     *
     * @throws Refused when the plan has no such window, or its place has no weather
     */
    public static List<LatestView> of(Evaluated e, String windowId) {
        Window w = e.windows().stream()
                .map(WindowResult::window)
                .filter(x -> x.id().equals(windowId))
                .findFirst()
                .orElseThrow(() -> new Refused("/windowId", "the plan has no such window"));
        return e.years()
                .map(years -> e.knowledge().species().all().stream()
                        .map(s -> UsefulSowing.of(
                                s, years, w.from(), w.to(), w.sowUntil(), w.figures() + "/latest/" + s.id()))
                        .sorted(Comparator.comparing(
                                        (UsefulSowing u) -> u.mostYears().orElse(LocalDate.MIN))
                                .reversed())
                        .map(ChapterWriter::latest)
                        .toList())
                .orElseThrow(() -> new Refused("/windowId", "say where the field lies, or choose a station, first"));
    }
}
