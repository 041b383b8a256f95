package tidylantern.server.traffic;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;

/** Once a body has arrived, whoever works with the request reads it from where it was kept. */
class ReceivedBodyRequests implements Filter {
    @Override
    public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        chain.doFilter(new WithBody((HttpServletRequest) request), response);
    }

    private static final class WithBody extends HttpServletRequestWrapper {
        private final ReceivedBody body;

        WithBody(HttpServletRequest request) {
            super(request);
            this.body = ReceivedBody.of(request);
        }

        /**
         * What has not been through security yet is no second dispatch to it: filters that run once a request have yet
         * to run.
         */
        @Override
        public DispatcherType getDispatcherType() {
            return body.beforeSecurity() ? DispatcherType.REQUEST : super.getDispatcherType();
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new Kept(body.open());
        }

        @Override
        public BufferedReader getReader() throws IOException {
            return new BufferedReader(new InputStreamReader(body.open(), StandardCharsets.UTF_8));
        }
    }

    private static final class Kept extends ServletInputStream {
        private final InputStream in;
        private boolean finished;

        Kept(InputStream in) {
            this.in = in;
        }

        @Override
        public int read() throws IOException {
            int one = in.read();
            finished |= one < 0;
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int some = in.read(into, from, length);
            finished |= some < 0;
            return some;
        }

        @Override
        public boolean isFinished() {
            return finished;
        }

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
            throw new IllegalStateException("the body is there already; read it");
        }

        @Override
        public void close() throws IOException {
            in.close();
        }
    }
}
