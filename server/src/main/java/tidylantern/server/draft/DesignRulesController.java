package tidylantern.server.draft;

import io.swagger.v3.oas.annotations.Operation;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.DesignLimits;
import tidylantern.core.design.Limit;
import tidylantern.core.design.filter.Control;
import tidylantern.core.design.filter.FilterHead;
import tidylantern.core.design.filter.FilterSource;

/** What a design may be, whatever the content: what the workbench's forms offer. */
@RestController
class DesignRulesController {
    /**
     * @param limits between which ends numbers, lengths of texts and how many of a list may be, by their paths in a
     *     design: {@code tiers.name}, {@code page.perPage}
     */
    record DesignRules(Map<String, Limit> limits, FilterRules filters) {}

    /**
     * Rules of filters.
     *
     * @param controls with which a field of a kind may be handled, the usual one first; none for a kind by which nobody
     *     narrows
     * @param joinable kinds whose values can stand in one list with those of other fields
     * @param taken names in addresses that no filter can have
     */
    record FilterRules(Map<String, List<Control>> controls, List<FieldKind> joinable, Set<String> taken) {}

    @Operation(summary = "What designs may be: limits, and of filters the controls by kind and names that are taken.")
    @GetMapping("/api/owner/design-rules")
    DesignRules rules() {
        Map<String, List<Control>> controls = new LinkedHashMap<>();
        for (FieldKind kind : FieldKind.values()) {
            controls.put(kind.toString(), Control.fitting(kind));
        }
        List<FieldKind> joinable = Arrays.stream(FieldKind.values())
                .filter(FilterSource::canBeJoined)
                .toList();
        return new DesignRules(
                DesignLimits.byPath(), new FilterRules(controls, joinable, new TreeSet<>(FilterHead.TAKEN)));
    }
}
