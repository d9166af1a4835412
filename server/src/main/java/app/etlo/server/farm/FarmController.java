package app.etlo.server.farm;

import app.etlo.core.field.BoundaryReader;
import app.etlo.core.field.FieldArea;
import app.etlo.core.plan.document.Context.FarmEntry;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.document.SoilTestCsv;
import app.etlo.core.quantity.Unit;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Adviser;
import app.etlo.server.documents.TableAnswers;
import app.etlo.server.limits.Limited;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Farms, fields and their outlines. */
@RestController
class FarmController {
    private final FarmStore store;

    FarmController(FarmStore store) {
        this.store = store;
    }

    /** What a boundary file holds. */
    record BoundaryView(double areaHa, double areaAc, int parts, int holes) {}

    @Access(Who.MEMBER)
    @GetMapping("/api/farms")
    List<FarmEntry> farms() {
        return store.farms();
    }

    /**
     * @param base the farm as the editor found it; absent for a new one
     */
    record FarmSave(Optional<FarmEntry> base, @NotNull FarmEntry mine) {}

    /**
     * @param base the field as the editor found it; absent for a new one
     */
    record FieldSave(Optional<FieldEntry> base, @NotNull FieldEntry mine) {}

    @Access(Who.MEMBER)
    @PutMapping("/api/farms/{farmId}")
    FarmEntry put(
            @PathVariable String farmId, @Valid @RequestBody FarmSave save, @AuthenticationPrincipal Adviser adviser) {
        if (!farmId.equals(save.mine().id())) {
            throw new Refused("/mine/id", "the address names another farm");
        }
        return store.put(save.base(), save.mine(), adviser.email());
    }

    @Access(Who.MEMBER)
    @GetMapping("/api/fields/{fieldId}")
    FieldEntry field(@PathVariable String fieldId) {
        return store.field(fieldId);
    }

    @Access(Who.MEMBER)
    @PutMapping("/api/fields/{fieldId}")
    FieldEntry put(
            @PathVariable String fieldId,
            @Valid @RequestBody FieldSave save,
            @AuthenticationPrincipal Adviser adviser) {
        if (!fieldId.equals(save.mine().id())) {
            throw new Refused("/mine/id", "the address names another field");
        }
        return store.put(save.base(), save.mine(), adviser.email());
    }

    /**
     * Looks at a laboratory's table of soil tests before any is kept.
     *
     * @param map value:column for columns that are not to be guessed
     * @param decimalSign point or comma, where the table does not show it
     * @param dayOrder dmy or mdy, where its dates do not show it
     */
    @Limited(Limited.Kind.IMPORT)
    @Access(Who.MEMBER)
    @PostMapping(value = "/api/soil-tests/tables", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    SoilTestCsv.SoilTestTable soilTests(
            @RequestBody byte[] file,
            @RequestParam Optional<List<String>> map,
            @RequestParam Optional<String> decimalSign,
            @RequestParam Optional<String> dayOrder) {
        Map<String, String> mapping = new HashMap<>();
        map.orElse(List.of()).forEach(m -> {
            int at = m.indexOf(':');
            if (at < 1 || !SoilTestCsv.values().contains(m.substring(0, at))) {
                throw new Refused("/map", "value:column, the value one of " + SoilTestCsv.values());
            }
            mapping.put(m.substring(0, at), m.substring(at + 1));
        });
        return SoilTestCsv.read(
                new String(file, StandardCharsets.UTF_8),
                mapping,
                TableAnswers.decimalSign(decimalSign),
                TableAnswers.dayOrder(dayOrder));
    }

    /** Looks at a GeoJSON file before it is taken: its area, or what is wrong at which place. */
    @Limited(Limited.Kind.IMPORT)
    @Access(Who.MEMBER)
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
