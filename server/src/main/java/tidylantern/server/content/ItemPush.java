package tidylantern.server.content;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tidylantern.server.platform.Refusal;

/** Takes a body of JSON Lines that somebody sends. */
@Component
class ItemPush {
    private static final Logger LOG = LoggerFactory.getLogger(ItemPush.class);

    private final ItemIntake intake;
    private final SiteContents contents;

    ItemPush(ItemIntake intake, SiteContents contents) {
        this.intake = intake;
        this.contents = contents;
    }

    /**
     * @param partial whether properties that are not sent stay as they were
     * @param everything whether what is not named is removed
     * @param removeMany whether that may be more than a third of the collection
     * @throws Refusal if there is no such site or collection, or the body breaks off, or too much would go; nothing of it is
     *     kept then
     */
    IntakeReport push(String site, String collection, InputStream body, boolean partial, boolean everything, boolean removeMany) {
        contents.collection(site, collection);
        Path arrived = arrived(body);
        try {
            return intake.take(site, collection, arrived, new ItemIntake.Manner(partial, everything, removeMany, null, List.of()), ItemIntake.Watch.NONE);
        } catch (ItemIntake.RemovesMany many) {
            throw new Refusal(HttpStatus.CONFLICT, "everything", "%s, which is more than a third. Nothing was changed. If that is meant, send it again with removeMany=true."
                    .formatted(many.getMessage()));
        } finally {
            delete(arrived);
        }
    }

    /** The whole body in a file, so that a slow or broken sender keeps nobody waiting and leaves nothing half-written. */
    private static Path arrived(InputStream body) {
        Path file = null;
        try {
            file = Files.createTempFile("push-", ".jsonl");
            Files.copy(body, file, StandardCopyOption.REPLACE_EXISTING);
            return file;
        } catch (IOException brokenOff) {
            if (file != null) {
                delete(file);
            }
            throw Refusal.bad(null, "The body broke off or could not be stored (%s). Nothing of it was kept; send it again.".formatted(brokenOff.getMessage()));
        }
    }

    private static void delete(Path file) {
        try {
            Files.delete(file);
        } catch (IOException failure) {
            LOG.warn("A temporary file was left behind: {}", file, failure);
        }
    }
}
