package app.etlo.server.outside;

import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.ForecastEntry;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Adviser;
import app.etlo.server.farm.FarmStore;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What services outside tell of a field, and how old it is. */
@RestController
class OutsideController {
    private final Outside outside;
    private final FarmStore farms;

    OutsideController(Outside outside, FarmStore farms) {
        this.outside = outside;
        this.farms = farms;
    }

    record OutsideView(Outside.State<ForecastEntry> forecast, Outside.State<Answers.Probe> probe) {}

    @Access(Who.MEMBER)
    @GetMapping("/api/fields/{fieldId}/outside")
    OutsideView outside(@PathVariable String fieldId, @AuthenticationPrincipal Adviser adviser) {
        FieldEntry field = farms.field(fieldId);
        return new OutsideView(
                outside.forecastState(field, adviser.workspaceId()), outside.probeState(field, adviser.workspaceId()));
    }
}
