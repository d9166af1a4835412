package app.etlo.core.plan.timeline;

import app.etlo.core.rotation.CropInTime;
import app.etlo.core.tillage.Pass;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Which crops are planted into ground that was worked since the harvest before, and which are not. */
public record Tilled(List<CropInTime> crops, List<Pass> passes) {
    private static final Set<String> WORKS = Set.of("till", "strip");

    /** Crops with a planting day before which, since the harvest before, no tool worked the soil. */
    public Set<String> untilled() {
        Set<String> found = new HashSet<>();
        LocalDate after = LocalDate.MIN;
        for (CropInTime c : crops) {
            LocalDate from = after;
            c.planted()
                    .filter(day -> passes.stream()
                            .filter(p -> WORKS.contains(p.operation().use()))
                            .noneMatch(p -> p.date().isAfter(from) && !p.date().isAfter(day)))
                    .ifPresent(day -> found.add(c.id()));
            after = c.harvested().filter(from::isBefore).orElse(from);
        }
        return found;
    }
}
