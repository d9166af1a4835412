package app.etlo.server.plan;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface PlanRepository extends JpaRepository<PlanRow, Long> {
    Optional<PlanRow> findByRef(String ref);

    /** The field of a plan, without reading the plan: that is done once the field is locked. */
    @Query("select p.fieldRef from PlanRow p where p.ref = :ref")
    Optional<String> fieldOf(String ref);

    @Query("select p.ref from PlanRow p where p.id = :id")
    Optional<String> refOf(Long id);

    /** The field's own plan first, then the copies by age. */
    List<PlanRow> findByFieldRefOrderByCurrentDescIdAsc(String fieldRef);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select p from PlanRow p where p.ref = :ref")
    Optional<PlanRow> lockByRef(String ref);
}
