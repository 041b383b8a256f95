package tidylantern.server.content.intake;

import java.io.UncheckedIOException;
import java.util.List;
import java.util.Objects;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tidylantern.server.history.History;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.traffic.ReceivedBody;

/** Takes a body of JSON Lines that somebody sends. */
@Component
class ItemPush {
    private final ItemIntake intake;

    ItemPush(ItemIntake intake) {
        this.intake = intake;
    }

    /**
     * @param partial whether properties that are not sent stay as they were
     * @param everything whether what is not named is removed
     * @param removeMany whether that may be more than a third of the collection
     * @throws Refusal if there is no such site or collection, or the body cannot be unpacked, or too much would go;
     *     nothing of it is kept then
     */
    IntakeReport push(
            SiteKey site,
            String collection,
            ReceivedBody body,
            boolean partial,
            boolean everything,
            boolean removeMany) {
        try {
            return intake.take(
                    site,
                    collection,
                    body::open,
                    new ItemIntake.Manner(partial, everything, removeMany, null, List.of(), History.actor()),
                    ItemIntake.Watch.NONE);
        } catch (ItemIntake.RemovesMany many) {
            throw new Refusal(
                    HttpStatus.CONFLICT,
                    "everything",
                    "%s, which is more than a third. Nothing was changed. If that is meant, send it again with removeMany=true."
                            .formatted(many.getMessage()));
        } catch (UncheckedIOException unreadable) {
            throw Refusal.bad(
                    null,
                    "The body cannot be read (%s). Nothing of it was kept; send it again."
                            .formatted(Objects.requireNonNull(unreadable.getCause())
                                    .getMessage()));
        }
    }
}
