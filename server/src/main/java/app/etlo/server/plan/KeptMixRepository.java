package app.etlo.server.plan;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface KeptMixRepository extends JpaRepository<KeptMixRow, Long> {
    List<KeptMixRow> findAllByOrderById();

    Optional<KeptMixRow> findByRef(String ref);
}
