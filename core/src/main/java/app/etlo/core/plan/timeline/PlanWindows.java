package app.etlo.core.plan.timeline;

import app.etlo.core.field.FrostDates;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.InsideWindows;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.weather.YearsAhead;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The windows of a plan, between and inside its crops, with what stands in each and what the weather makes of it. */
public final class PlanWindows {
    private final List<CropInTime> crops;
    private final Optional<YearsAhead> years;
    private final List<Window> all;

    public PlanWindows(List<CropInTime> crops, Optional<YearsAhead> years, Optional<FrostDates> frost) {
        this.crops = crops;
        this.years = years;
        List<Window> found = new ArrayList<>(Window.between(crops));
        found.addAll(new InsideWindows(crops, years, frost.map(FrostDates::lastSpring)).all());
        found.sort(Comparator.comparing(Window::from));
        this.all = List.copyOf(found);
    }

    /** In time. */
    public List<Window> all() {
        return all;
    }

    /** The window a cover stands in: inside the crop it is sown into, else the one ahead of the crop that follows. */
    public Optional<Window> of(CoverEntry cover) {
        String crop = cover.place().cropId();
        if (cover.place().relation().equals("into")) {
            return all.stream()
                    .filter(w -> w.kind() != WindowKind.BETWEEN && w.after().equals(crop))
                    .filter(w -> cover.place().kind().map(w.kind()::equals).orElse(true))
                    .findFirst();
        }
        boolean before = cover.place().relation().equals("before");
        return all.stream()
                .filter(w -> w.kind() == WindowKind.BETWEEN)
                .filter(w -> before
                        ? w.before().equals(Optional.of(crop))
                        : w.after().equals(crop))
                .findFirst();
    }
}
