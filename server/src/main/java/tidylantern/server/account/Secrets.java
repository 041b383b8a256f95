package tidylantern.server.account;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import tidylantern.server.platform.Digests;

/** Random texts, and fingerprints of them. */
public final class Secrets {
    private static final SecureRandom RANDOM = new SecureRandom();

    private Secrets() {}

    /** Letters, digits, - and _ for so many random bytes. */
    public static String random(int bytes) {
        byte[] secret = new byte[bytes];
        RANDOM.nextBytes(secret);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
    }

    /** SHA-256. What is long and random is as safe behind it as behind a slow one. */
    public static String hash(String secret) {
        return Digests.sha256(secret);
    }

    /** HMAC-SHA-256 (RFC 2104), in hexadecimal digits. */
    static String signature(String key, String of) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(key.getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
            return HexFormat.of().formatHex(mac.doFinal(of.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException("every Java has HmacSHA256", impossible);
        }
    }

    /** Takes as long for texts that differ early as for those that differ late. */
    static boolean same(String one, String other) {
        return MessageDigest.isEqual(one.getBytes(StandardCharsets.UTF_8), other.getBytes(StandardCharsets.UTF_8));
    }
}
