package app.etlo.core.plan.timeline;

import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.Sowing;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.Window;
import app.etlo.core.termination.Termination;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A cover in its place and time, with what is sown of it.
 *
 * @param previous the cash crop ahead of the one that follows
 * @param next the cash crop that follows
 * @param standing the crop it is sown into
 * @param window in which it stands
 * @param endings every pass that ends it, in time
 * @param blend empty while no species has a rate
 */
public record CoverInTime(
        CoverEntry entry,
        Optional<CropInTime> previous,
        Optional<CropInTime> next,
        Optional<CropInTime> standing,
        Optional<Window> window,
        Optional<LocalDate> sown,
        List<Termination> endings,
        List<Component> components,
        Sowing sowing,
        Optional<Blend> blend) {
    public String id() {
        return entry.id();
    }

    /** The first of its endings. */
    public Optional<Termination> end() {
        return endings.stream().findFirst();
    }

    /** The day it is ended, else the one on which the next crop is planted, else the last of its window. */
    public Optional<LocalDate> endsOn() {
        return end().map(Termination::date)
                .or(() -> next.flatMap(CropInTime::planted))
                .or(() -> window.map(Window::to));
    }

    /** The species that have a rate. */
    public List<Species> grownSpecies() {
        return blend.stream()
                .flatMap(b -> b.rates().stream())
                .map(r -> r.component().species())
                .toList();
    }

    public List<Species> species() {
        return components.stream().map(Component::species).toList();
    }
}
