package app.etlo.server.farm;

import app.etlo.core.field.BoundaryReader;
import app.etlo.core.field.FieldArea;
import app.etlo.core.plan.Context.FarmEntry;
import app.etlo.core.plan.Refused;
import app.etlo.core.quantity.Unit;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class FarmController {
    private final FarmStore store;

    FarmController(FarmStore store) {
        this.store = store;
    }

    /** What a boundary file holds. */
    record BoundaryView(double areaHa, double areaAc, int parts, int holes) {}

    @GetMapping("/api/farms")
    List<FarmEntry> farms() {
        return store.farms();
    }

    @PutMapping("/api/farms/{id}")
    FarmEntry put(@PathVariable String id, @RequestBody FarmEntry farm) {
        if (!id.equals(farm.id())) {
            throw new Refused("/id", "the address names another farm");
        }
        return store.put(farm);
    }

    /** Looks at a GeoJSON file before it is taken: its area, or what is wrong at which place. */
    @PostMapping("/api/boundaries")
    BoundaryView boundary(@RequestBody JsonNode geoJson) {
        var boundary = BoundaryReader.read(geoJson);
        var area = FieldArea.of(boundary);
        return new BoundaryView(
                area.in(Unit.HECTARE),
                area.in(Unit.ACRE),
                boundary.parts().size(),
                boundary.parts().stream().mapToInt(p -> p.holes().size()).sum());
    }
}
