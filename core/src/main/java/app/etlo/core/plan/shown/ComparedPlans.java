package app.etlo.core.plan.shown;

import app.etlo.core.nitrogen.LeftToBuy;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.chapter.Evaluated.CropResult;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Several plans of one field side by side: the figures that a choice between them rests on, with what differs from the first. */
public final class ComparedPlans {
    private ComparedPlans() {}

    /**
     * A figure in every plan.
     *
     * @param figures in the order of the plans; empty where a plan has none
     * @param differences from the first plan's, signed and in the shown unit
     */
    public record ComparedFigure(
            String id, String label, List<Optional<FigureView>> figures, List<Optional<String>> differences) {}

    private enum Place {
        COVER,
        CROP,
        ROTATION,
        BOUGHT,
        DISTURBED
    }

    private record Line(Place place, String subject, Figure figure) {}

    /** What the ground gives, what is left to buy, and how much it is disturbed; a figure of a later plan alone comes last. */
    public static List<ComparedFigure> of(List<Evaluated> plans) {
        List<Map<String, Line>> lines = plans.stream().map(ComparedPlans::lines).toList();
        Map<String, Line> all = new LinkedHashMap<>();
        lines.forEach(own -> own.forEach(all::putIfAbsent));
        return all.entrySet().stream()
                .sorted(Comparator.comparing(line -> line.getValue().place()))
                .map(line -> compared(
                        plans,
                        line.getValue(),
                        lines.stream()
                                .map(own -> Optional.ofNullable(own.get(line.getKey()))
                                        .map(Line::figure))
                                .toList()))
                .toList();
    }

    private static ComparedFigure compared(List<Evaluated> plans, Line line, List<Optional<Figure>> figures) {
        List<Optional<FigureView>> views = new ArrayList<>();
        List<Optional<String>> differences = new ArrayList<>();
        for (int i = 0; i < plans.size(); i++) {
            Evaluated e = plans.get(i);
            Optional<Figure> f = figures.get(i);
            views.add(f.map(x -> EvaluationWriter.figure(x, e)));
            differences.add(
                    i == 0
                            ? Optional.empty()
                            : figures.get(0).flatMap(a -> f.map(b -> FigureDifference.of(a, b, e.units()))));
        }
        return new ComparedFigure(
                line.figure().id(), line.subject() + line.figure().label(), views, differences);
    }

    /** Covers before crops, crops before the whole rotation, then what is bought and disturbed; by figure. */
    private static Map<String, Line> lines(Evaluated e) {
        Map<String, Line> lines = new LinkedHashMap<>();
        e.covers().forEach(c -> c.grow().ifPresent(g -> add(lines, Place.COVER, words(c), g.figures())));
        e.crops().forEach(c -> add(lines, Place.CROP, words(c), c.grow().figures()));
        add(lines, Place.ROTATION, "", e.rotation().figures());
        e.crops().forEach(c -> {
            Optional<LeftToBuy> bought = c.feed().bought();
            add(
                    lines,
                    Place.BOUGHT,
                    words(c),
                    Figured.present(bought.map(LeftToBuy::left), bought.flatMap(LeftToBuy::costPerHa)));
            add(lines, Place.DISTURBED, words(c), Figured.present(c.plant().rating()));
        });
        return lines;
    }

    private static void add(Map<String, Line> lines, Place place, String subject, List<Figure> figures) {
        figures.forEach(f -> lines.put(f.id(), new Line(place, subject, f)));
    }

    private static String words(CoverResult c) {
        return "Cover"
                + c.next()
                        .map(n -> " before " + n.crop().name().toLowerCase(Locale.ROOT))
                        .orElse("") + ": ";
    }

    private static String words(CropResult c) {
        return c.crop().crop().name()
                + c.crop().planted().map(d -> " " + d.getYear()).orElse("") + ": ";
    }
}
