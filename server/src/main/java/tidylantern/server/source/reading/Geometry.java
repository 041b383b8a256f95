package tidylantern.server.source.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** The centre of a GeoJSON geometry (RFC 7946): a point itself, of other shapes the middle of their bounds. */
final class Geometry {
    private static final int MOST_LEVELS = 8;

    private Geometry() {}

    /** @throws IllegalArgumentException if it has no positions, or they lie outside of the globe */
    static Map<String, Object> centre(Map<?, ?> geometry) {
        List<double[]> positions = new ArrayList<>();
        collect(geometry, positions, 0);
        if (positions.isEmpty()) {
            throw new IllegalArgumentException("the geometry has no coordinates");
        }
        if (positions.size() == 1) {
            return place(positions.getFirst()[1], positions.getFirst()[0]);
        }
        double south = 90;
        double north = -90;
        double west = 180;
        double east = -180;
        for (double[] position : positions) {
            south = Math.min(south, position[1]);
            north = Math.max(north, position[1]);
            west = Math.min(west, position[0]);
            east = Math.max(east, position[0]);
        }
        return place((south + north) / 2, (west + east) / 2);
    }

    private static Map<String, Object> place(double latitude, double longitude) {
        Map<String, Object> place = new LinkedHashMap<>();
        place.put("lat", latitude);
        place.put("lon", longitude);
        return place;
    }

    private static void collect(Map<?, ?> geometry, List<double[]> positions, int level) {
        if (level < MOST_LEVELS && geometry.get("geometries") instanceof List<?> parts) {
            parts.forEach(part -> {
                if (part instanceof Map<?, ?> map) {
                    collect(map, positions, level + 1);
                }
            });
        }
        if (geometry.get("coordinates") instanceof List<?> coordinates) {
            collect(coordinates, positions, level);
        }
    }

    private static void collect(List<?> coordinates, List<double[]> positions, int level) {
        if (coordinates.size() >= 2
                && coordinates.getFirst() instanceof Number longitude
                && coordinates.get(1) instanceof Number latitude) {
            double[] position = {longitude.doubleValue(), latitude.doubleValue()};
            if (Math.abs(position[1]) > 90 || Math.abs(position[0]) > 180) {
                throw new IllegalArgumentException(
                        "the position [%s, %s] is outside of the globe; GeoJSON has longitude first, in degrees"
                                .formatted(position[0], position[1]));
            }
            positions.add(position);
        } else if (level < MOST_LEVELS) {
            coordinates.stream().filter(Objects::nonNull).forEach(part -> {
                if (part instanceof List<?> list) {
                    collect(list, positions, level + 1);
                }
            });
        }
    }
}
