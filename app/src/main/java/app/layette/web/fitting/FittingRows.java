package app.layette.web.fitting;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface FittingRows extends JpaRepository<FittingRow, UUID> {
    @Query("select f from FittingRow f join fetch f.family join fetch f.record where f.id = :id and f.pointId = :point")
    Optional<FittingRow> find(UUID id, UUID point);

    @Query("select f from FittingRow f join fetch f.record where f.family = :family order by f.touchedAt desc")
    List<FittingRow> of(Family family, Limit limit);

    /** Index fitting_same_car serves it. */
    @Query("""
            select f from FittingRow f join fetch f.record
            where f.pointId = :point and f.seatSheet = :seat and f.car = :car and f.state = 'HANDED_OVER' and f.id <> :but
            order by f.touchedAt desc""")
    List<FittingRow> handedOver(UUID point, String seat, String car, UUID but, Limit limit);

    @Query("select f.record.id from FittingRow f where f.pointId = :point and f.id = :id")
    Optional<UUID> recordOf(UUID point, UUID id);

    /** References of the families that came last. */
    @Query("select f.family.reference from FittingRow f where f.pointId = :point order by f.createdAt desc")
    List<String> newestReferences(UUID point, Limit limit);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select f from FittingRow f where f.id = :id and f.pointId = :point")
    Optional<FittingRow> lock(UUID id, UUID point);

    /** All seats of a fitting, in the order of what they are called in its entries. */
    @Query("""
            select f from FittingRow f join fetch f.family join fetch f.record
            where f.pointId = :point and f.record.id = :record order by f.unit""")
    List<FittingRow> together(UUID point, UUID record);

    /**
     * The fittings with this in child or reference, the last touched first.
     *
     * @param pattern in lower case, with its own wildcards escaped by a backslash
     */
    @Query(nativeQuery = true, value = "select fitting_id from fittings_like(:point, :pattern, :most)")
    List<UUID> like(UUID point, String pattern, int most);

    @Query("""
            select f from FittingRow f join fetch f.family
            where f.pointId = :point and f.id in :ids order by f.touchedAt desc""")
    List<FittingRow> find(UUID point, Collection<UUID> ids);

    @Query("""
            select f from FittingRow f join fetch f.family join fetch f.record
            where f.pointId = :point and (f.touchedAt >= :since or f.state in ('OPEN', 'PREPARED'))
            order by f.touchedAt desc""")
    List<FittingRow> recent(UUID point, Instant since, Limit limit);

    /** The open fittings of a seat's sheet, the one touched last first. */
    @Query("""
            select f from FittingRow f join fetch f.family join fetch f.record
            where f.pointId = :point and f.seatSheet = :seat and f.state in ('OPEN', 'PREPARED')
            order by f.touchedAt desc""")
    List<FittingRow> open(UUID point, String seat, Limit limit);

    /** The open fittings in a car by any of its names, the one touched last first. */
    @Query("""
            select f from FittingRow f join fetch f.family join fetch f.record
            where f.pointId = :point and f.car in :names and f.state in ('OPEN', 'PREPARED')
            order by f.touchedAt desc""")
    List<FittingRow> openInCar(UUID point, Collection<String> names, Limit limit);

    /** The fittings that were touched last, whatever became of them. */
    @Query("""
            select f from FittingRow f join fetch f.family join fetch f.record
            where f.pointId = :point order by f.touchedAt desc""")
    List<FittingRow> last(UUID point, Limit limit);
}
