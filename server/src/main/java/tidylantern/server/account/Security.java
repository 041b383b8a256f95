package tidylantern.server.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.context.RequestAttributeSecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter;
import org.springframework.web.cors.CorsConfiguration;
import org.springframework.web.cors.CorsUtils;
import org.springframework.web.filter.OncePerRequestFilter;
import tidylantern.server.key.SearchKey;
import tidylantern.server.platform.Problems;
import tidylantern.server.platform.PublicHeaders;
import tidylantern.server.site.RefusedOrigins;
import tidylantern.server.site.Sites;

/**
 * Who somebody is: everything under {@code /api/owner} needs a session (and then its CSRF token for every change) or an
 * access key, and what they may do there is decided by {@code access}; the rest is public and reads only. Other origins
 * may ask a search if its site lists them.
 */
@Configuration
class Security {
    private static final String PUBLIC_SEARCHES = "/api/public/searches/";
    private static final String BEARER = "Bearer ";
    /** Scripts, styles and fonts are our own; pictures come from the owner's site, wherever that is. */
    private static final String CONTENT_POLICY =
            "default-src 'self'; img-src * data:; style-src 'self' 'unsafe-inline'; "
                    + "object-src 'none'; base-uri 'none'; frame-ancestors 'self'; form-action 'self'";
    /** Owners look at pages of their sites within the workbench. */
    private static final String OWNERS_POLICY = CONTENT_POLICY + "; frame-src 'self' https: http:";

    /** What visitors meet: no session, no cookie, nothing to sign. */
    @Bean
    @Order(1)
    SecurityFilterChain visitors(HttpSecurity http, Sites sites, RefusedOrigins refused) throws Exception {
        return http.securityMatcher(
                        "/api/public/**", "/s/**", "/sample/**", "/elements/**", "/hosted.css", "/lantern.svg")
                // Who asks is nobody in particular, so nothing has to be found out, kept or decided about them.
                .anonymous(nobody -> nobody.disable())
                .securityContext(context -> context.disable())
                .servletApi(api -> api.disable())
                .exceptionHandling(failures -> failures.disable())
                .sessionManagement(sessions -> sessions.disable())
                .csrf(csrf -> csrf.disable())
                .cors(cors -> cors.configurationSource(request -> origins(request, sites, refused)))
                .headers(headers -> headers.cacheControl(cache -> cache.disable())
                        .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY)))
                .requestCache(cache -> cache.disable())
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable())
                .build();
    }

    @Bean
    @Order(2)
    SecurityFilterChain owners(HttpSecurity http, Accounts accounts, AccessKeys keys, Problems problems)
            throws Exception {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Lax"));
        CsrfTokenRequestAttributeHandler plainTokens = new CsrfTokenRequestAttributeHandler();
        // Null: the token is written to its cookie with every answer, so that the workbench has it before it needs it.
        plainTokens.setCsrfRequestAttributeName(null);
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/api/owner/session",
                                "/api/owner/first-start",
                                "/api/owner/invitation",
                                "/api/owner/invitation/accept")
                        .permitAll()
                        .requestMatchers("/api/owner/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                .csrf(csrf -> csrf.csrfTokenRepository(tokens)
                        .csrfTokenRequestHandler(plainTokens)
                        .ignoringRequestMatchers(request -> bearer(request) != null))
                .addFilterBefore(new AccessKeyFilter(keys, problems), UsernamePasswordAuthenticationFilter.class)
                .addFilterBefore(new PasswordNumberFilter(accounts), AccessKeyFilter.class)
                .exceptionHandling(
                        failures -> failures.authenticationEntryPoint((request, response, missing) -> problems.write(
                                        response,
                                        HttpStatus.UNAUTHORIZED,
                                        null,
                                        "Sign in, or send an access key as \"Authorization: Bearer KEY\"."))
                                .accessDeniedHandler(
                                        (request, response, denied) -> problems.write(
                                                response,
                                                HttpStatus.FORBIDDEN,
                                                null,
                                                "The request lacks the session's X-XSRF-TOKEN. Load the page again, or use an access key.")))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(OWNERS_POLICY))
                        .frameOptions(frames -> frames.sameOrigin())
                        .referrerPolicy(
                                referrer -> referrer.policy(ReferrerPolicyHeaderWriter.ReferrerPolicy.SAME_ORIGIN)))
                .requestCache(cache -> cache.disable())
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable())
                .build();
    }

    private static @Nullable CorsConfiguration origins(
            HttpServletRequest request, Sites sites, RefusedOrigins refused) {
        CorsConfiguration allowed = new CorsConfiguration();
        allowed.setAllowedMethods(List.of("GET", "POST"));
        allowed.setAllowedHeaders(List.of("Content-Type"));
        // Says that a list goes on; says when to ask again; tells of a draft that stands here.
        allowed.setExposedHeaders(List.of(HttpHeaders.LINK, HttpHeaders.RETRY_AFTER, PublicHeaders.DRAFT_OFFER));
        allowed.setMaxAge(600L);
        String path = request.getRequestURI();
        if (path.startsWith("/elements/")) {
            allowed.setAllowedOrigins(List.of("*"));
            return allowed;
        }
        if (!path.startsWith(PUBLIC_SEARCHES)) {
            return null;
        }
        SearchKey key = new SearchKey(searchIn(path));
        Set<String> origins = sites.originsOfSearch(key);
        String origin = request.getHeader(HttpHeaders.ORIGIN);
        if (origin != null && !CorsUtils.isPreFlightRequest(request)) {
            refused.noteUnlessAllowed(key, origin, origins);
        }
        allowed.setAllowedOrigins(List.copyOf(origins));
        return allowed;
    }

    private static String searchIn(String path) {
        int end = path.indexOf('/', PUBLIC_SEARCHES.length());
        return path.substring(PUBLIC_SEARCHES.length(), end < 0 ? path.length() : end);
    }

    private static @Nullable String bearer(HttpServletRequest request) {
        String header = request.getHeader(HttpHeaders.AUTHORIZATION);
        return header != null && header.regionMatches(true, 0, BEARER, 0, BEARER.length())
                ? header.substring(BEARER.length()).strip()
                : null;
    }

    private static final class AccessKeyFilter extends OncePerRequestFilter {
        private final AccessKeys keys;
        private final Problems problems;
        private final RequestAttributeSecurityContextRepository contexts =
                new RequestAttributeSecurityContextRepository();

        AccessKeyFilter(AccessKeys keys, Problems problems) {
            this.keys = keys;
            this.problems = problems;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            String key = bearer(request);
            if (key != null) {
                Optional<KeyHolder> holder = keys.holder(key);
                if (holder.isEmpty()) {
                    problems.write(
                            response,
                            HttpStatus.UNAUTHORIZED,
                            null,
                            "No such access key. It may have been removed; make a new one under Site.");
                    return;
                }
                SecurityContext context = SecurityContextHolder.createEmptyContext();
                UsernamePasswordAuthenticationToken who = UsernamePasswordAuthenticationToken.authenticated(
                        "the access key “" + holder.get().name() + "”", null, List.of());
                who.setDetails(holder.get());
                context.setAuthentication(who);
                SecurityContextHolder.setContext(context);
                // The request goes through here once more when its body has arrived.
                contexts.saveContext(context, request, response);
            }
            chain.doFilter(request, response);
        }
    }
}
