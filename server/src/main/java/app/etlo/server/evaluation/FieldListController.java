package app.etlo.server.evaluation;

import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import java.time.LocalDate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** All fields of the practice with what each needs next, soonest first. */
@RestController
class FieldListController {
    private final FieldSummaries summaries;

    FieldListController(FieldSummaries summaries) {
        this.summaries = summaries;
    }

    @Access(Who.MEMBER)
    @GetMapping("/api/fields")
    FieldSummaries.FieldList fields(@RequestParam LocalDate asOf) {
        return summaries.all(asOf);
    }
}
