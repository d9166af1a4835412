package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.LateSowing;
import app.etlo.core.mix.UsefulSowing;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.shown.ChapterViews.LatestView;
import app.etlo.core.plan.shown.ChapterWriter;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowResult;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The latest useful sowing of species in a window, each sown alone into the plan's own ground; asked for, never part of an evaluation. */
public final class LatestSowings {
    private static final String PLACE = "/latest/";

    private LatestSowings() {}

    /**
     * Of the species of a cover.
     *
     * @param lateness factor on the rates proposed where it is sown later than half of its species may be
     */
    public record CoverLatest(List<LatestView> species, Optional<FigureView> lateness) {}

    /**
     * All species of the library. Those that can be sown longest first; those that never reach a useful stand last.
     *
     * @throws Refused when the plan has no such window, or its place has no weather
     */
    public static List<LatestView> of(Evaluated e, String windowId) {
        Window w = e.windows().stream()
                .map(WindowResult::window)
                .filter(x -> x.id().equals(windowId))
                .findFirst()
                .orElseThrow(() -> new Refused("/windowId", "the plan has no such window"));
        if (e.years().isEmpty()) {
            throw new Refused("/windowId", "say where the field lies, or choose a station, first");
        }
        return e.knowledge().species().all().stream()
                .map(s -> latest(e, s, w, !w.kind().usualMethod().equals("drilled"), w.figures() + PLACE + s.id()))
                .sorted(Comparator.comparing((UsefulSowing u) -> u.mostYears().orElse(LocalDate.MIN))
                        .reversed())
                .map(ChapterWriter::latest)
                .toList();
    }

    /**
     * The species of a cover, in the order of its mix; empty without weather or window.
     *
     * @throws Refused when the plan has no such cover
     */
    public static CoverLatest ofCover(Evaluated e, String coverId) {
        CoverResult cover = e.covers().stream()
                .filter(c -> c.id().equals(coverId))
                .findFirst()
                .orElseThrow(() -> new Refused("/coverId", "the plan has no such cover"));
        List<UsefulSowing> found = found(e, cover);
        return new CoverLatest(
                found.stream().map(ChapterWriter::latest).toList(),
                lateness(cover, found).map(f -> EvaluationWriter.figure(f, e)));
    }

    private static List<UsefulSowing> found(Evaluated e, CoverResult cover) {
        return e.years().isEmpty()
                ? List.of()
                : cover.window().stream()
                        .flatMap(w -> cover.inTime().species().stream()
                                .map(s -> latest(
                                        e,
                                        s,
                                        w,
                                        cover.inTime().sowing().method().onSurface(),
                                        "sow/" + cover.id() + PLACE + s.id())))
                        .toList();
    }

    private static Optional<Figure> lateness(CoverResult cover, List<UsefulSowing> found) {
        return cover.sown().flatMap(d -> LateSowing.factor("sow/" + cover.id() + "/lateness", d, found));
    }

    private static UsefulSowing latest(Evaluated e, Species s, Window w, boolean onSurface, String id) {
        LocalDate until = w.sowUntil().isBefore(w.to()) ? w.sowUntil() : w.to().minusDays(1);
        return UsefulSowing.of(s, w.from(), until, day -> e.growth().alone(s, w, day, onSurface), id);
    }

    /** A figure of these by its id; empty for others. */
    public static Optional<Figure> figure(Evaluated e, String figureId) {
        return Stream.concat(
                        e.covers().stream()
                                .filter(c -> figureId.startsWith("sow/" + c.id() + "/"))
                                .flatMap(c -> {
                                    List<UsefulSowing> found = found(e, c);
                                    return Stream.concat(
                                            found.stream().flatMap(u -> u.figure().stream()),
                                            lateness(c, found).stream());
                                }),
                        e.windows().stream()
                                .map(WindowResult::window)
                                .filter(w -> figureId.startsWith(w.figures() + PLACE))
                                .flatMap(w -> e.knowledge().species().all().stream()
                                        .filter(s -> figureId.equals(w.figures() + PLACE + s.id()))
                                        .flatMap(s -> latest(
                                                e, s, w, !w.kind().usualMethod().equals("drilled"), figureId)
                                                .figure()
                                                .stream())))
                .filter(f -> f.id().equals(figureId))
                .findFirst();
    }
}
