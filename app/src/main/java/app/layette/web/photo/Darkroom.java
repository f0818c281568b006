package app.layette.web.photo;

import app.layette.web.photo.CleanPhoto.RefusedPhotoException;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** Where photographs are made small and clean: one at a time for each person, two at once in all. */
@Component
public class Darkroom {
    private static final int AT_ONCE = 2;
    private static final long LONGEST_WAIT_S = 20;
    private static final int MOST_PEOPLE = 1000;

    private final Semaphore all = new Semaphore(AT_ONCE, true);
    private final Cache<String, Semaphore> people = Caffeine.newBuilder()
            .maximumSize(MOST_PEOPLE)
            .expireAfterAccess(Duration.ofMinutes(10))
            .build();

    /**
     * Cleans a photograph that somebody sent.
     *
     * @throws RefusedPhotoException when it is no photograph, or others take too long
     */
    public CleanPhoto develop(String person, MultipartFile photo) throws RefusedPhotoException, IOException {
        if (photo.getSize() > CleanPhoto.MOST_BYTES) {
            throw new RefusedPhotoException("TOO_BIG");
        }
        Semaphore own = people.get(person, each -> new Semaphore(1, true));
        enter(own);
        try {
            enter(all);
            try {
                return CleanPhoto.of(photo.getBytes());
            } finally {
                all.release();
            }
        } finally {
            own.release();
        }
    }

    private static void enter(Semaphore door) throws RefusedPhotoException {
        try {
            if (!door.tryAcquire(LONGEST_WAIT_S, TimeUnit.SECONDS)) {
                throw new RefusedPhotoException("BUSY");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new RefusedPhotoException("BUSY");
        }
    }
}
