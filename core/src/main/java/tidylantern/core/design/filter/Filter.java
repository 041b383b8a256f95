package tidylantern.core.design.filter;

import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.DesignFault;

/**
 * Something that visitors can narrow by.
 *
 * @param head what it is called
 * @param shown where, and when
 * @param source where its values come from, and what that allows
 */
public record Filter(FilterHead head, FilterShown shown, FilterSource source) {
    public Filter {
        DesignFault.unless(
                !head.key().equals(shown.after()),
                "shown.after",
                "the filter \"%s\" cannot wait for itself",
                head.key());
    }

    /** Shown as usual, without a line of help. */
    public static Filter of(String key, String label, FilterSource source) {
        return new Filter(new FilterHead(key, label, ""), FilterShown.usual(), source);
    }

    public String key() {
        return head.key();
    }

    public String label() {
        return head.label();
    }

    /** The fields it draws on. */
    public List<FieldKey> fields() {
        return source.fields();
    }

    /**
     * As it works over a field of this kind, which may have changed since the filter was made: with what is usual for
     * the kind where its own source does not fit. A joint one, and one over a field by which nobody narrows, stays as
     * it is.
     */
    public Filter over(@Nullable FieldKind kind) {
        if (source instanceof JointSource || FilterSource.fits(source, kind)) {
            return this;
        }
        FilterSource usual = FilterSource.usual(source.fields().getFirst(), kind);
        return usual == null ? this : new Filter(head, shown, usual);
    }

    /** Those that are in use for this one: itself, or, where it is joined of others that stand apart now, these. */
    public Stream<Filter> inUse() {
        return source instanceof JointSource joint && joint.apart() ? joint.parts().stream() : Stream.of(this);
    }

    /** Itself and all that are joined in it. */
    public Stream<Filter> withParts() {
        return source instanceof JointSource joint
                ? Stream.concat(Stream.of(this), joint.parts().stream())
                : Stream.of(this);
    }
}
