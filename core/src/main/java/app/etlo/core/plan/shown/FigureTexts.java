package app.etlo.core.plan.shown;

import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Input;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * How the figures of one evaluation are written, so that the lines of a sum add up to what stands below them: lines and sum carry the
 * same decimals, and the sum is that of the lines as they are shown. A line keeps its own rounding, because its working opens too.
 */
public final class FigureTexts {
    private static final Set<Dimension> ADDED = Set.of(
            Dimension.MASS_PER_AREA,
            Dimension.COUNT_PER_AREA,
            Dimension.MONEY_PER_AREA,
            Dimension.MONEY,
            Dimension.MASS,
            Dimension.LENGTH,
            Dimension.RATING);

    private final Map<String, Figure> figures;
    private final UnitSystem units;
    private final Map<String, Fixed> fixed = new HashMap<>();

    /** A text that a sum has settled. */
    private record Fixed(long count, int decimals) {
        String text() {
            return Shown.plain(count / Math.pow(10, decimals), decimals);
        }
    }

    /** The texts of an evaluated plan, in its farm's units. */
    public static FigureTexts of(Evaluated e) {
        return new FigureTexts(e.figures(), e.units());
    }

    FigureTexts(Map<String, Figure> figures, UnitSystem units) {
        this.figures = figures;
        this.units = units;
        figures.values().stream().filter(this::isSum).forEach(this::settle);
    }

    /** The text of a figure in the unit it is read in. */
    String text(Figure f) {
        return settled(f.id()).orElseGet(() -> plain(f));
    }

    /** The text that a sum has settled for a figure, if one has. */
    Optional<String> settled(String figureId) {
        return Optional.ofNullable(fixed.get(figureId)).map(Fixed::text);
    }

    private String plain(Figure f) {
        Unit shown = units.shown(f.unit());
        double spread = f.unit().to(shown, f.value().high())
                - f.unit().to(shown, f.value().low());
        return Shown.text(value(f), shown, spread);
    }

    private double value(Figure f) {
        return f.in(units.shown(f.unit()));
    }

    private boolean isSum(Figure f) {
        List<Input> inputs = f.working().inputs();
        String sum = inputs.stream().map(Input::symbol).collect(Collectors.joining(" + "));
        return inputs.size() > 1
                && ADDED.contains(f.unit().dimension())
                && f.working().expression().equals(sum)
                && inputs.stream()
                        .allMatch(i -> i.unit() == f.unit() && lineOf(i).isPresent());
    }

    private Optional<Figure> lineOf(Input i) {
        return i.figureId().map(figures::get).filter(f -> f.unit() == i.unit());
    }

    private void settle(Figure sum) {
        List<Figure> lines = sum.working().inputs().stream()
                .map(i -> lineOf(i).orElseThrow())
                .toList();
        int own = decimals(plain(sum));
        int finest = lines.stream().mapToInt(f -> decimals(plain(f))).max().orElse(own);
        int decimals = Math.max(own, Math.min(own + 1, finest));
        double scale = Math.pow(10, decimals);
        lines.forEach(f -> fixed.computeIfAbsent(f.id(), id -> new Fixed(whole(value(f) * scale), decimals)));
        List<Fixed> shown = lines.stream().map(f -> fixed.get(f.id())).toList();
        int most = shown.stream().mapToInt(Fixed::decimals).max().orElse(decimals);
        long count = 0;
        for (Fixed f : shown) {
            count += f.count() * Math.round(Math.pow(10, most - f.decimals()));
        }
        fixed.put(sum.id(), new Fixed(count, most));
    }

    /** A half away from zero, as numbers are written. */
    private static long whole(double v) {
        return (long) Math.signum(v) * Math.round(Math.abs(v));
    }

    private static int decimals(String text) {
        int point = text.indexOf('.');
        return point < 0 ? 0 : text.length() - point - 1;
    }
}
