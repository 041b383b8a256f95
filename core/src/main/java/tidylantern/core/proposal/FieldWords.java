package tidylantern.core.proposal;

import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import tidylantern.core.content.Field;
import tidylantern.core.content.KindGuess;

/**
 * Words by which names of fields and collections tell what they hold, in the five languages that this product speaks.
 * They are common practice, collected from memory.
 */
enum FieldWords {
    TAGS("tags", "tag", "keywords", "keyword", "schlagworte", "stichworte", "mots", "etiquetas", "trefwoorden"),
    COOKING(
            "recipe",
            "ingredient",
            "ingredients",
            "servings",
            "serves",
            "cook",
            "cooking",
            "prep",
            "cuisine",
            "course",
            "rezept",
            "zutat",
            "zutaten",
            "portionen",
            "zubereitung",
            "gang",
            "recette",
            "ingrédient",
            "ingrédients",
            "cuisson",
            "recept",
            "ingrediënten",
            "porties",
            "receta",
            "ingrediente",
            "ingredientes",
            "raciones"),
    ROOMS(
            "room",
            "rooms",
            "bedroom",
            "bedrooms",
            "beds",
            "bathrooms",
            "zimmer",
            "schlafzimmer",
            "chambre",
            "chambres",
            "pièces",
            "kamers",
            "slaapkamers",
            "habitaciones",
            "dormitorios",
            "floorsize"),
    STARTING(
            "departure",
            "departures",
            "departs",
            "starts",
            "start",
            "begins",
            "when",
            "abfahrt",
            "abfahrten",
            "beginn",
            "termin",
            "termine",
            "départ",
            "départs",
            "début",
            "vertrek",
            "begin",
            "salida",
            "salidas",
            "inicio"),
    PICTURES(
            "picture",
            "pictures",
            "photo",
            "photos",
            "photographs",
            "gallery",
            "bild",
            "bilder",
            "foto",
            "fotos",
            "galerie",
            "images",
            "galería",
            "imágenes",
            "afbeeldingen"),
    CONTACT(
            "phone",
            "telephone",
            "tel",
            "email",
            "mail",
            "website",
            "opening",
            "hours",
            "street",
            "postcode",
            "zip",
            "telefon",
            "strasse",
            "straße",
            "plz",
            "téléphone",
            "rue",
            "horaires",
            "telefoon",
            "straat",
            "teléfono",
            "calle",
            "horario"),
    RATING(
            "rating",
            "ratings",
            "stars",
            "score",
            "bewertung",
            "sterne",
            "note",
            "étoiles",
            "beoordeling",
            "sterren",
            "valoración",
            "estrellas"),
    /** A lower bound is what people ask for. */
    THE_MORE(
            "rating",
            "stars",
            "sterne",
            "étoiles",
            "sterren",
            "estrellas",
            "room",
            "rooms",
            "bedrooms",
            "beds",
            "bathrooms",
            "seats",
            "zimmer",
            "schlafzimmer",
            "chambres",
            "pièces",
            "kamers",
            "slaapkamers",
            "habitaciones",
            "dormitorios"),
    /** An upper bound is what people ask for. */
    THE_LESS("minutes", "duration", "hours", "time", "dauer", "minuten", "durée", "duur", "duración", "minutos"),
    /** Numbers that name something and measure nothing. */
    NAMING(
            "id",
            "number",
            "no",
            "nr",
            "num",
            "code",
            "phone",
            "telephone",
            "tel",
            "fax",
            "zip",
            "postcode",
            "plz",
            "telefon",
            "nummer",
            "numéro",
            "número",
            "téléphone",
            "telefoon",
            "teléfono",
            "isbn",
            "ean"),
    /** What a page is, in the words of its markup. */
    MARK_UP("type"),
    FEATURED(
            "featured",
            "sponsored",
            "premium",
            "promoted",
            "recommended",
            "highlighted",
            "highlight",
            "gesponsert",
            "empfohlen",
            "hervorgehoben",
            "recommandé",
            "sponsorisé",
            "aanbevolen",
            "gesponsord",
            "destacado",
            "patrocinado"),
    PAID_FOR("sponsored", "premium", "promoted", "gesponsert", "sponsorisé", "gesponsord", "patrocinado");

    // Set.of is immutable, which its type does not say.
    @SuppressWarnings("ImmutableEnumChecker")
    private final Set<String> words;

    FieldWords(String... words) {
        this.words = Set.of(words);
    }

    /** Whether one of these words stands in a field's label or property. */
    boolean name(Field field) {
        return in(field.label()) || in(field.property());
    }

    /** Whether one of these words stands in a name. */
    boolean in(String name) {
        return Stream.concat(KindGuess.wordsOf(name).stream(), Stream.of(name.toLowerCase(Locale.ROOT)))
                .anyMatch(words::contains);
    }
}
