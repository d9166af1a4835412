package app.etlo.server.log;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface LogRepository extends JpaRepository<LogRow, Long> {
    List<LogRow> findByFieldRefOrderById(String fieldRef);

    boolean existsByRef(String ref);

    long countByFieldRef(String fieldRef);
}
