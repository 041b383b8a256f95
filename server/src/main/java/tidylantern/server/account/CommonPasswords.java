package tidylantern.server.account;

import java.io.BufferedReader;
import java.io.FileNotFoundException;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** Passwords that are tried first by whoever guesses (ASVS 5.0, 6.2.4). */
final class CommonPasswords {
    private CommonPasswords() {}

    /** Whether many people chose it, in capitals or not. Read each time, as passwords are set a few times a year. */
    static boolean has(String password) {
        return all().contains(password.strip().toLowerCase(Locale.ROOT));
    }

    private static Set<String> all() {
        try (InputStream list = CommonPasswords.class.getResourceAsStream("/passwords/common.txt")) {
            if (list == null) {
                throw new FileNotFoundException("passwords/common.txt is not in the application");
            }
            return new BufferedReader(new InputStreamReader(list, StandardCharsets.UTF_8))
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .collect(Collectors.toSet());
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the common passwords", failure);
        }
    }
}
