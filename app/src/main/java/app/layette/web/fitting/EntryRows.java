package app.layette.web.fitting;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface EntryRows extends JpaRepository<EntryRow, EntryRow.Key> {
    /** Texts, not rows: a row that was read before is never read again in its transaction, and words may be struck. */
    @Query("select e.document from EntryRow e where e.pointId = :point and e.key.fittingId = :fitting"
            + " and e.key.seq > :seq order by e.key.seq")
    List<String> after(UUID point, UUID fitting, int seq);

    @Query(
            "select e.document from EntryRow e where e.pointId = :point and e.key.fittingId = :fitting order by e.key.seq")
    List<String> documents(UUID point, UUID fitting);

    /** The one change that an entry knows: words of it are struck. */
    @Modifying
    @Query(
            value = "update entry set document = cast(:document as jsonb) where point_id = :point"
                    + " and fitting_id = :fitting and seq = :seq",
            nativeQuery = true)
    void strike(UUID point, UUID fitting, int seq, String document);

    Optional<EntryRow> findByPointIdAndId(UUID pointId, UUID id);
}
