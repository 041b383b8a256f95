package tidylantern.server.platform;

import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Long lists, a page at a time. That there is more is said by a link to the next page (RFC 8288). */
public final class ListPages {
    private ListPages() {}

    /**
     * Answers with one page.
     *
     * @param all of which it is a page
     * @param size how many stand on a page
     * @param page as it stands in the address; beyond the last there is nothing
     */
    public static <T> ResponseEntity<List<T>> answer(
            ResponseEntity.BodyBuilder answer, List<T> all, int size, String page) {
        int number = PageNumber.of(page);
        if ((long) number * size < all.size()) {
            String next = ServletUriComponentsBuilder.fromCurrentRequest()
                    .replaceQueryParam("page", number + 1)
                    .build()
                    .getQuery();
            answer.header(HttpHeaders.LINK, "<?%s>; rel=\"next\"".formatted(next));
        }
        long from = Math.min((long) (number - 1) * size, all.size());
        return answer.body(all.subList((int) from, (int) Math.min(from + size, all.size())));
    }
}
