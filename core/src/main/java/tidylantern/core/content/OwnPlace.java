package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

/**
 * A place that visitors may name, by a name of the owner's own.
 *
 * @param name 1 to 100 characters
 * @param latitude WGS 84, -90 to 90 degrees
 * @param longitude WGS 84, -180 to 180 degrees
 */
public record OwnPlace(String name, double latitude, double longitude) {
    public OwnPlace {
        name = name == null ? "" : ItemReader.clean(name.strip());
        require(!name.isEmpty() && name.length() <= 100, "a place needs a name of 1 to 100 characters");
        require(
                Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180,
                "%s, %s of \"%s\" is no place on the Earth; latitudes go from -90 to 90, longitudes from -180 to 180",
                latitude,
                longitude,
                name);
    }
}
