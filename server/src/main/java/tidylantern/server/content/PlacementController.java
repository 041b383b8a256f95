package tidylantern.server.content;

import io.swagger.v3.oas.annotations.Operation;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.Placement;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;

/** Which items hold featured tiers by hand. */
@RestController
@RequestMapping("/api/owner/sites/{site}/placements")
class PlacementController {
    private static final int MOST_AT_ONCE = 1_000;

    private final Placements placements;
    private final SiteContents contents;
    private final Clock clock;

    PlacementController(Placements placements, SiteContents contents, Clock clock) {
        this.placements = placements;
        this.contents = contents;
        this.clock = clock;
    }

    /** Whether a placement holds today, by the site's days. */
    enum State {
        HOLDS,
        BEGINS_LATER,
        ENDED;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /** @param title of the item; null where it is gone */
    record PlacementShape(
            ItemRef item,
            @Nullable String title,
            String tier,
            @Nullable Integer place,
            @Nullable LocalDate from,
            @Nullable LocalDate until,
            State state) {}

    /** @param items that are placed so, 1 to 1,000 */
    record PlacementGiven(
            List<ItemRef> items,
            String tier,
            @Nullable Integer place,
            @Nullable LocalDate from,
            @Nullable LocalDate until) {}

    record PlacementTaken(List<ItemRef> items, String tier) {}

    @Operation(summary = "All placements given by hand, by tier, place and item.")
    @GetMapping
    List<PlacementShape> all(@PathVariable SiteKey site) {
        LocalDate today = LocalDate.now(clock.withZone(contents.of(site).zone()));
        return placements.of(site).stream()
                .map(stored -> {
                    Placement one = stored.placement();
                    State state = one.holdsOn(today)
                            ? State.HOLDS
                            : one.from() != null && one.from().isAfter(today) ? State.BEGINS_LATER : State.ENDED;
                    return new PlacementShape(
                            one.item(), stored.title(), one.tier(), one.place(), one.from(), one.until(), state);
                })
                .toList();
    }

    @Operation(summary = "Places items in a tier, or changes how they are placed in it. It holds at once.")
    @PutMapping
    List<PlacementShape> put(@PathVariable SiteKey site, @RequestBody PlacementGiven given) {
        placements.put(
                site,
                items(given.items()).stream()
                        .map(item -> new Placement(item, given.tier(), given.place(), given.from(), given.until()))
                        .toList());
        return all(site);
    }

    @Operation(summary = "Takes items out of a tier.")
    @DeleteMapping
    List<PlacementShape> remove(@PathVariable SiteKey site, @RequestBody PlacementTaken given) {
        placements.remove(site, items(given.items()), Objects.requireNonNullElse(given.tier(), ""));
        return all(site);
    }

    private static List<ItemRef> items(@Nullable List<ItemRef> given) {
        if (given == null || given.isEmpty() || given.size() > MOST_AT_ONCE) {
            throw Refusal.bad("items", "Name 1 to %,d items.".formatted(MOST_AT_ONCE));
        }
        return given;
    }
}
