package app.etlo.server.people;

import app.etlo.server.account.Role;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface MemberRepository extends JpaRepository<MemberRow, Long> {
    // by query, not by key: a look-up by key would not ask for the workspace
    @Query("select m from MemberRow m where m.id = :id")
    Optional<MemberRow> findMember(long id);

    @Query("select m from MemberRow m order by m.joinedAt, m.id")
    List<MemberRow> everybody();

    /** The advisers, held until the transaction ends: two of them cannot dismiss each other at once. */
    @Lock(jakarta.persistence.LockModeType.PESSIMISTIC_WRITE)
    @Query("select m from MemberRow m where m.role = :#{#role.id()} order by m.id")
    List<MemberRow> lockAll(Role role);
}
