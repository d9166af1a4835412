package app.etlo.server.seed;

import app.etlo.core.plan.Context.LotEntry;
import app.etlo.core.plan.Refused;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class LotController {
    private final SeedStore store;

    LotController(SeedStore store) {
        this.store = store;
    }

    @GetMapping("/api/lots")
    List<LotEntry> lots() {
        return store.all();
    }

    @PutMapping("/api/lots/{id}")
    LotEntry put(@PathVariable String id, @RequestBody LotEntry lot) {
        if (!id.equals(lot.id())) {
            throw new Refused("/id", "the address names another lot");
        }
        return store.put(lot);
    }

    @DeleteMapping("/api/lots/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        store.remove(id);
    }
}
