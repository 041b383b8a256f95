package tidylantern.server.source;

import java.net.URI;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.source.reading.Reading;
import tidylantern.server.source.reading.Refusals;
import tidylantern.server.source.reading.SourceProblem;
import tidylantern.server.source.reading.SourceSettings;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Keeps passwords and tokens of sources' addresses apart from what is shown and saved. */
@Component
class SourceSecrets {
    private static final TypeReference<Map<String, String>> SECRETS = new TypeReference<>() {};

    private final SourceStore store;
    private final JsonMapper json;

    SourceSecrets(SourceStore store, JsonMapper json) {
        this.store = store;
        this.json = json;
    }

    /** Settings with the whole address, to be asked, and what of it must not be told. */
    record Revealed(SourceSettings settings, Map<String, String> secrets) {}

    /** The settings as they may be shown. */
    static SourceSettings hidden(SourceSettings settings) {
        String address = settings.address();
        return address == null
                ? settings
                : settings.withAddress(AddressSecrets.hide(address).address());
    }

    /**
     * What has to be kept beside the hidden settings.
     *
     * @param before of the same source; null for a new one
     * @throws Refusal if a secret of another host would be sent to this one
     */
    String kept(SourceSettings settings, SourceStore.@Nullable StoredSource before) {
        String address = settings.address();
        if (address == null) {
            return "{}";
        }
        Map<String, String> secrets =
                new LinkedHashMap<>(AddressSecrets.hide(address).secrets());
        List<String> masked = AddressSecrets.masked(address);
        if (!masked.isEmpty() && before != null) {
            SourceSettings old = json.readValue(before.settings(), SourceSettings.class);
            Refusals.unless(
                    old.address() != null && sameHost(old.address(), address),
                    "settings",
                    "Type the password or token of this address; the one that is kept is of another host.");
            Map<String, String> known = secretsOf(before);
            masked.stream()
                    .filter(known::containsKey)
                    .forEach(name -> secrets.put(name, String.valueOf(known.get(name))));
        }
        return json.writeValueAsString(secrets);
    }

    private Map<String, String> secretsOf(SourceStore.StoredSource stored) {
        // Sources of earlier versions have theirs in the address still.
        SourceSettings settings = json.readValue(stored.settings(), SourceSettings.class);
        Map<String, String> secrets = new LinkedHashMap<>(
                settings.address() == null
                        ? Map.of()
                        : AddressSecrets.hide(settings.address()).secrets());
        secrets.putAll(json.readValue(stored.secrets(), SECRETS));
        return secrets;
    }

    private static boolean sameHost(String a, String b) {
        URI one = URI.create(a);
        URI other = URI.create(b);
        return one.getScheme().equalsIgnoreCase(other.getScheme())
                && one.getHost().equalsIgnoreCase(other.getHost())
                && one.getPort() == other.getPort();
    }

    /**
     * The settings as they are asked: what was typed just now, or what a source of the site with this very address
     * keeps.
     *
     * @throws SourceProblem if a secret is masked and nobody knows it
     */
    Revealed reveal(SiteKey site, SourceSettings settings) throws SourceProblem {
        String address = settings.address();
        if (address == null) {
            return new Revealed(settings, Map.of());
        }
        AddressSecrets.Hidden typed = AddressSecrets.hide(address);
        Map<String, String> secrets = new LinkedHashMap<>(typed.secrets());
        if (!AddressSecrets.masked(address).isEmpty()) {
            for (SourceStore.StoredSource stored : store.ofSite(site)) {
                SourceSettings known = hidden(json.readValue(stored.settings(), SourceSettings.class));
                if (typed.address().equals(known.address())) {
                    secretsOf(stored).forEach(secrets::putIfAbsent);
                }
            }
        }
        String whole = AddressSecrets.reveal(address, secrets);
        if (!AddressSecrets.masked(whole).isEmpty()) {
            throw new SourceProblem("The password or token of %s is not known here. Type the whole address again."
                    .formatted(typed.address()));
        }
        return new Revealed(settings.withAddress(whole), secrets);
    }

    /** A reading that is told nothing of the secrets. */
    static Reading untold(Reading reading, Map<String, String> secrets) {
        return secrets.isEmpty() ? reading : new Untold(reading, secrets);
    }

    private record Untold(Reading reading, Map<String, String> secrets) implements Reading {
        private String clean(String text) {
            return AddressSecrets.without(text, secrets);
        }

        @Override
        public void record(String at, Map<String, @Nullable Object> columns) throws SourceProblem {
            Map<String, @Nullable Object> told = new LinkedHashMap<>(columns);
            told.computeIfPresent("address", (name, address) -> clean(String.valueOf(address)));
            reading.record(clean(at), told);
        }

        @Override
        public void refuse(String at, String reason) {
            reading.refuse(clean(at), clean(reason));
        }

        @Override
        public void gone(String at, String reason) {
            reading.gone(clean(at), clean(reason));
        }

        @Override
        public void asBefore(String at, String id) {
            reading.asBefore(clean(at), id);
        }

        @Override
        public void note(String note) {
            reading.note(clean(note));
        }

        @Override
        public void incomplete(String why) {
            reading.incomplete(clean(why));
        }

        @Override
        public void progress(int read, int known) {
            reading.progress(read, known);
        }

        @Override
        public int wanted() {
            return reading.wanted();
        }

        @Override
        public boolean enough() {
            return reading.enough();
        }
    }
}
