package tidylantern.core.place;

/** WGS 84, in degrees: latitude from -90 to 90, longitude from -180 to 180. */
public record Position(double latitude, double longitude) {
    /** Whether there is such a place on the Earth. */
    public static boolean exists(double latitude, double longitude) {
        return Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180;
    }
}
