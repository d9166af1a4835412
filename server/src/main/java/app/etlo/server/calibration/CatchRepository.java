package app.etlo.server.calibration;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface CatchRepository extends JpaRepository<CatchRow, Long> {
    List<CatchRow> findAllByOrderById();

    Optional<CatchRow> findByRef(String ref);
}
