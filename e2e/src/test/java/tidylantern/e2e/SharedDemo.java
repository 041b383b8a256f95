package tidylantern.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.util.FileSystemUtils;

/**
 * One demo for all classes that only look at it, or make searches or sites of their own in it: starting a service and
 * filling it takes longer than most tests. Which site the workbench opens on after signing in depends on what others
 * made, so a class opens the address it means.
 */
final class SharedDemo implements ParameterResolver {
    private static final class Held implements AutoCloseable {
        private final Path data;
        private final DemoWorld world;

        Held() throws IOException {
            data = Files.createTempDirectory("shared-demo");
            world = new DemoWorld(data);
        }

        @Override
        public void close() throws IOException {
            world.close();
            FileSystemUtils.deleteRecursively(data);
        }
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == DemoWorld.class;
    }

    @Override
    public DemoWorld resolveParameter(ParameterContext parameter, ExtensionContext context) {
        // In the store of the whole run, which closes it at the end.
        return context.getRoot()
                .getStore(ExtensionContext.Namespace.create(SharedDemo.class))
                .getOrComputeIfAbsent(
                        Held.class,
                        any -> {
                            try {
                                return new Held();
                            } catch (IOException failure) {
                                throw new java.io.UncheckedIOException(failure);
                            }
                        },
                        Held.class)
                .world;
    }
}
