package app.etlo.server.outside;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface AnswerRepository extends JpaRepository<AnswerRow, Long> {
    Optional<AnswerRow> findByServiceAndPlace(String service, String place);
}
