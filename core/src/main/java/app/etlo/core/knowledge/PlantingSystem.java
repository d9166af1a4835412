package app.etlo.core.knowledge;

import java.util.List;

/** The passes that put a cash crop in, as a template. */
public record PlantingSystem(String id, String name, List<Step> steps) {
    /**
     * @param daysBefore days before planting day
     */
    public record Step(String operation, int daysBefore) {}
}
