package app.etlo.server.knowledge;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface CorrectionRepository extends JpaRepository<CorrectionRow, Long> {
    List<CorrectionRow> findAllByOrderById();

    List<CorrectionRow> findBySpeciesOrderByIdDesc(String species);
}
