package app.etlo.server.people;

import app.etlo.core.plan.document.Refused;
import app.etlo.server.account.Adviser;
import app.etlo.server.account.Role;
import app.etlo.server.account.Sessions;
import app.etlo.server.account.Tokens;
import app.etlo.server.documents.NotFound;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people of a practice. It always has an adviser. */
@Service
@Transactional
public class People {
    private static final Duration INVITATION_LASTS = Duration.ofDays(7);

    private final MemberRepository members;
    private final InvitationRepository invitations;
    private final Sessions sessions;
    private final Clock clock;

    People(MemberRepository members, InvitationRepository invitations, Sessions sessions, Clock clock) {
        this.members = members;
        this.invitations = invitations;
        this.sessions = sessions;
        this.clock = clock;
    }

    record Person(long id, String email, String name, Role role, Instant joinedAt) {
        static Person of(MemberRow m) {
            return new Person(m.id(), m.email(), m.name(), m.role(), m.joinedAt());
        }
    }

    record Invited(long id, Role role, String madeBy, Instant expiresAt) {}

    /**
     * @param token the secret of the link, shown this once
     */
    record Invitation(long id, Role role, Instant expiresAt, String token) {}

    @Transactional(readOnly = true)
    List<Person> everybody() {
        return members.everybody().stream().map(Person::of).toList();
    }

    /** How each address of the practice is called: by name where one is given. */
    @Transactional(readOnly = true)
    public Map<String, String> names() {
        Map<String, String> names = new HashMap<>();
        members.everybody().forEach(m -> names.put(m.email(), m.name().isEmpty() ? m.email() : m.name()));
        return names;
    }

    @Transactional(readOnly = true)
    List<Invited> invited() {
        return invitations.open(clock.instant()).stream()
                .map(i -> new Invited(i.id(), i.role(), i.madeBy(), i.expiresAt()))
                .toList();
    }

    Invitation invite(Role role, Adviser by) {
        String token = Tokens.fresh();
        InvitationRow row = invitations.save(new InvitationRow(
                Tokens.hash(token), role, by.email(), clock.instant().plus(INVITATION_LASTS)));
        return new Invitation(row.id(), role, row.expiresAt(), token);
    }

    void withdraw(long invitationId) {
        invitations.delete(invitations.findInvitation(invitationId).orElseThrow(() -> new NotFound("invitation")));
    }

    Person become(long personId, Role role) {
        MemberRow member = member(personId);
        if (role != Role.ADVISER) {
            keepAnAdviser(personId);
        }
        member.become(role);
        if (role != Role.ADVISER) {
            invitations.endThoseMadeBy(member.email());
        }
        return Person.of(members.save(member));
    }

    Person rename(long personId, String name) {
        MemberRow member = member(personId);
        member.rename(name.strip());
        return Person.of(members.save(member));
    }

    /** Removes a person; their sessions and the invitations they made end, and what they did stays in the history. */
    void remove(long personId) {
        MemberRow member = member(personId);
        keepAnAdviser(personId);
        members.delete(member);
        invitations.endThoseMadeBy(member.email());
        sessions.endAll(personId);
    }

    private MemberRow member(long id) {
        return members.findMember(id).orElseThrow(() -> new NotFound("person"));
    }

    private void keepAnAdviser(long leaving) {
        if (members.lockAll(Role.ADVISER).stream().allMatch(m -> m.id() == leaving)) {
            throw new Refused("", "A practice has at least one adviser. Make somebody else one first.");
        }
    }
}
