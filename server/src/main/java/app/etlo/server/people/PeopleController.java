package app.etlo.server.people;

import app.etlo.core.plan.document.Refused;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Accounts;
import app.etlo.server.account.Adviser;
import app.etlo.server.account.PracticeDay;
import app.etlo.server.account.Role;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who belongs to the practice. Everybody sees it; advisers decide it. */
@RestController
class PeopleController {
    private final People people;
    private final PracticeDay day;
    private final Accounts accounts;

    PeopleController(People people, PracticeDay day, Accounts accounts) {
        this.accounts = accounts;
        this.people = people;
        this.day = day;
    }

    /**
     * @param zone time zone by which the practice's day begins
     */
    record PeopleView(long you, String zone, List<People.Person> people, List<People.Invited> invitations) {}

    record ZoneAsked(@NotNull @Size(max = 60) String zone) {}

    record RoleAsked(
            @NotNull(message = "adviser or assistant") Role role) {}

    record UnitsAsked(@NotNull UnitSystem units) {}

    record NameAsked(@NotNull @Size(max = 120) String name) {}

    @Access(Who.MEMBER)
    @GetMapping("/api/people")
    PeopleView people(@AuthenticationPrincipal Adviser adviser) {
        return new PeopleView(
                adviser.id(), day.zone(adviser.workspaceId()).getId(), people.everybody(), people.invited());
    }

    /** Sets by which time zone the practice's day begins. */
    @Access(Who.ADVISER)
    @PutMapping("/api/practice/zone")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setZone(@Valid @RequestBody ZoneAsked asked, @AuthenticationPrincipal Adviser adviser) {
        day.setZone(
                adviser.workspaceId(),
                PracticeDay.read(asked.zone())
                        .orElseThrow(() -> new Refused("/zone", "a time zone such as Europe/London")));
    }

    @Access(Who.ADVISER)
    @PutMapping("/api/people/{personId}/role")
    People.Person become(@PathVariable long personId, @Valid @RequestBody RoleAsked asked) {
        return people.become(personId, asked.role());
    }

    @Access(Who.ADVISER)
    @DeleteMapping("/api/people/{personId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long personId) {
        people.remove(personId);
    }

    @Access(Who.MEMBER)
    @PutMapping("/api/me/name")
    People.Person rename(@Valid @RequestBody NameAsked asked, @AuthenticationPrincipal Adviser adviser) {
        if (asked.name().chars().anyMatch(Character::isISOControl)) {
            throw new Refused("/name", "a name is one line");
        }
        return people.rename(adviser.id(), asked.name());
    }

    /** Sets the units in which a person reads what concerns no single farm. */
    @Access(Who.MEMBER)
    @PutMapping("/api/me/units")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void read(@Valid @RequestBody UnitsAsked asked, @AuthenticationPrincipal Adviser adviser) {
        accounts.setUnits(adviser, asked.units());
    }

    @Access(Who.ADVISER)
    @PostMapping("/api/invitations")
    @ResponseStatus(HttpStatus.CREATED)
    People.Invitation invite(@Valid @RequestBody RoleAsked asked, @AuthenticationPrincipal Adviser adviser) {
        return people.invite(asked.role(), adviser);
    }

    @Access(Who.ADVISER)
    @DeleteMapping("/api/invitations/{invitationId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@PathVariable long invitationId) {
        people.withdraw(invitationId);
    }
}
