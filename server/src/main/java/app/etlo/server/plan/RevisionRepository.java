package app.etlo.server.plan;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RevisionRepository extends JpaRepository<RevisionRow, Long> {
    Optional<RevisionRow> findByPlanIdAndNumber(Long planId, int number);

    List<RevisionRow> findByPlanIdAndNumberBetweenOrderByNumberDesc(Long planId, int from, int to);

    Optional<RevisionRow> findByRequestId(String requestId);

    @Query("select new app.etlo.server.plan.Change(r.number, r.kind, r.target, r.author) from RevisionRow r"
            + " where r.planId = :planId order by r.number")
    List<Change> changes(Long planId);
}
