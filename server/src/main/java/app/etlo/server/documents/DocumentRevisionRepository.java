package app.etlo.server.documents;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface DocumentRevisionRepository extends JpaRepository<DocumentRevisionRow, Long> {
    List<DocumentRevisionRow> findByKindAndRefOrderByIdDesc(String kind, String ref, Limit limit);
}
