package app.etlo.server.seed;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReservationRepository extends JpaRepository<ReservationRow, Long> {
    List<ReservationRow> findByLotRef(String lotRef);

    List<ReservationRow> findByPlanRefAndCoverRef(String planRef, String coverRef);
}
