package app.etlo.server.config;

import app.etlo.server.access.Access;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Every address of the single-page application answers its page. */
@Controller
class PageConfig {
    @Access(Access.Who.ANYONE)
    @GetMapping({
        "/sign-in",
        "/join",
        "/reset",
        "/people",
        "/fields",
        "/fields/{*rest}",
        "/seed-store",
        "/species",
        "/calibration",
        "/weather",
        "/farms/{*rest}",
        "/plans/{*rest}"
    })
    String page() {
        return "forward:/index.html";
    }
}
