package tidylantern.core.place;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;

/** A small world in the form of the shipped one, all of it made up. */
public final class GazetteerFixture {
    private final ByteArrayOutputStream file = new ByteArrayOutputStream();
    private int lastLatitude;
    private int lastLongitude;

    public GazetteerFixture place(
            String name, String country, String region, int people, double latitude, double longitude) {
        ByteArrayOutputStream one = new ByteArrayOutputStream();
        text(one, 2, name);
        text(one, 3, country);
        text(one, 8, region);
        number(one, 9 << 3);
        number(one, people);
        int east = (int) Math.round(longitude * 1e5);
        int north = (int) Math.round(latitude * 1e5);
        number(one, 10 << 3);
        number(one, zigzag(east - lastLongitude));
        number(one, 11 << 3);
        number(one, zigzag(north - lastLatitude));
        lastLongitude = east;
        lastLatitude = north;
        number(file, one.size());
        file.writeBytes(one.toByteArray());
        return this;
    }

    public Gazetteer gazetteer() {
        byte[] bytes = file.toByteArray();
        return Gazetteer.of(() -> new ByteArrayInputStream(bytes));
    }

    private static void text(ByteArrayOutputStream out, int field, String text) {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        number(out, field << 3 | 2);
        number(out, bytes.length);
        out.writeBytes(bytes);
    }

    private static void number(ByteArrayOutputStream out, long value) {
        long left = value;
        while ((left & ~0x7fL) != 0) {
            out.write((int) (left & 0x7f | 0x80));
            left >>>= 7;
        }
        out.write((int) left);
    }

    private static long zigzag(long value) {
        return value << 1 ^ value >> 63;
    }
}
