package app.etlo.core.plan.shown;

import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.working.Figure;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** Several plans of one field side by side: the figures that a choice between them rests on, with what differs from the first. */
public final class ComparedPlans {
    /** What the ground gives, what is left to buy, and how much it is disturbed. */
    private static final Pattern TELLING =
            Pattern.compile("grow/.*|feed/[^/]+/(leftToBuy|productCost)|plant/[^/]+/rating");

    private ComparedPlans() {}

    /**
     * A figure in every plan.
     *
     * @param figures in the order of the plans; empty where a plan has none
     * @param differences from the first plan's, signed and in the shown unit
     */
    public record ComparedFigure(
            String id, String label, List<Optional<FigureView>> figures, List<Optional<String>> differences) {}

    /** The figures in the order of the first plan that has them. */
    public static List<ComparedFigure> of(List<Evaluated> plans) {
        Set<String> ids = new LinkedHashSet<>();
        plans.stream()
                .flatMap(e -> e.figures().keySet().stream())
                .filter(id -> TELLING.matcher(id).matches())
                .sorted(Comparator.comparingInt((String id) -> rank(plans, id)).thenComparing(id -> id))
                .forEach(ids::add);
        List<ComparedFigure> found = new ArrayList<>();
        for (String id : ids) {
            List<Figure> all = new ArrayList<>();
            plans.forEach(e -> all.add(e.figures().get(id)));
            String label = all.stream()
                    .filter(Objects::nonNull)
                    .map(Figure::label)
                    .findFirst()
                    .orElse(id);
            List<Optional<FigureView>> views = new ArrayList<>();
            List<Optional<String>> differences = new ArrayList<>();
            for (int i = 0; i < plans.size(); i++) {
                Evaluated e = plans.get(i);
                Optional<Figure> f = Optional.ofNullable(all.get(i));
                views.add(f.map(x -> EvaluationWriter.figure(x, e)));
                differences.add(
                        i == 0
                                ? Optional.empty()
                                : Optional.ofNullable(all.get(0))
                                        .flatMap(a -> f.map(b -> FigureDifference.of(a, b, e.units()))));
            }
            found.add(new ComparedFigure(id, subject(plans, id) + label, views, differences));
        }
        return found;
    }

    /** Covers before crops, crops before the whole rotation, then what is bought and disturbed. */
    private static int rank(List<Evaluated> plans, String id) {
        if (!id.startsWith("grow/")) {
            return id.startsWith("feed/") ? 3 : 4;
        }
        String[] parts = id.split("/");
        boolean cover = parts.length == 3
                && plans.stream()
                        .anyMatch(e ->
                                e.covers().stream().anyMatch(c -> c.entry().id().equals(parts[1])));
        return cover ? 0 : parts.length == 3 ? 1 : 2;
    }

    /** Says of which cover or crop a figure is, in words. */
    private static String subject(List<Evaluated> plans, String id) {
        String[] parts = id.split("/");
        if (parts.length < 3) {
            return "";
        }
        return plans.stream()
                .flatMap(e -> e.covers().stream()
                        .filter(c -> c.entry().id().equals(parts[1]))
                        .map(c -> "Cover"
                                + c.next()
                                        .map(n -> " before " + n.crop().name().toLowerCase(Locale.ROOT))
                                        .orElse("")))
                .findFirst()
                .or(() -> plans.stream()
                        .flatMap(e -> e.crops().stream()
                                .filter(c -> c.crop().id().equals(parts[1]))
                                .map(c -> c.crop().crop().name()
                                        + c.crop()
                                                .planted()
                                                .map(d -> " " + d.getYear())
                                                .orElse("")))
                        .findFirst())
                .map(s -> s + ": ")
                .orElse("");
    }
}
