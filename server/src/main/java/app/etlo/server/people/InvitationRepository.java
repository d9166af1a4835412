package app.etlo.server.people;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface InvitationRepository extends JpaRepository<InvitationRow, Long> {
    @Query("select i from InvitationRow i where i.id = :id")
    Optional<InvitationRow> findInvitation(long id);

    @Query("select i from InvitationRow i where i.expiresAt > :now order by i.id")
    List<InvitationRow> open(Instant now);

    @Modifying
    @Query("delete from InvitationRow i where i.madeBy = :email")
    void endThoseMadeBy(String email);
}
