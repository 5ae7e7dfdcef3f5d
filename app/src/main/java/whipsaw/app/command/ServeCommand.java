package whipsaw.app.command;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.channels.FileLock;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.springframework.boot.Banner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ApplicationListener;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import whipsaw.app.Application;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.DataFolder;
import whipsaw.app.store.JobStore;
import whipsaw.app.table.CodeTableService;
import whipsaw.app.web.Errors;
import whipsaw.core.design.Solver;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;

/** Starts the server on this machine only. */
public final class ServeCommand {
    private static final int USUAL_PORT = 8190;
    private static final int TRIED = 50;
    private static final String LOOPBACK = "127.0.0.1";

    private ServeCommand() {}

    /**
     * Starts it, prints the address and returns while it runs; ends the process on a wrong option.
     */
    public static void run(boolean demo, String[] args) {
        int port = 0;
        String address = LOOPBACK;
        Path data = null;
        boolean rehearsal = false;
        try {
            for (int i = 0; i < args.length; i++) {
                switch (args[i]) {
                    case "--port" -> port = port(args[++i]);
                    case "--address" -> address = args[++i];
                    case "--rehearse" -> rehearsal = true;
                    case "--data" -> data = Path.of(args[++i]);
                    default -> throw new IllegalArgumentException("unknown option " + args[i]);
                }
            }
            if (data == null) {
                throw new IllegalArgumentException("--data DIR is missing");
            }
            if (!address.equals(LOOPBACK) && !address.equals("localhost")) {
                throw new IllegalArgumentException(
                        "--address " + address + ": there are no accounts yet, so only 127.0.0.1 is served");
            }
            int chosen = freePort(port);
            // what is needed for a while lies with the data and goes with the next start, however this one ends
            String scratch = new DataFolder(data).scratch().toString();
            System.setProperty("java.io.tmpdir", scratch);
            System.setProperty("org.sqlite.tmpdir", scratch);
            System.setProperty(Errors.OWN_PROCESS, "true");
            ConfigurableApplicationContext context = start(data, chosen, demo);
            if (rehearsal) {
                rehearse(context, chosen);
                return;
            }
            System.out.println("Whipsaw is at http://" + LOOPBACK + ":" + chosen + "/");
            System.out.println("Data: " + data.toAbsolutePath() + "   Stop with Ctrl-C.");
            warmUp(context, chosen);
        } catch (ArrayIndexOutOfBoundsException e) {
            System.err.println("an option lacks its value");
            System.exit(1);
        } catch (IllegalArgumentException | DataFolder.Trouble e) {
            System.err.println(e.getMessage());
            System.exit(1);
        } catch (SpringApplication.AbandonedRunException e) {
            // the container is only worked out, at the build
            throw e;
        } catch (RuntimeException e) {
            // a server that did not come up whole does not stay up in part
            System.err.println("Whipsaw could not start: " + first(e));
            System.exit(1);
        }
    }

    /** The first line of what it comes down to. */
    private static String first(Throwable e) {
        Throwable cause = e;
        while (cause.getCause() != null && cause.getCause() != cause) {
            cause = cause.getCause();
        }
        String message = String.valueOf(cause.getMessage()).strip();
        return message.isEmpty()
                ? cause.getClass().getSimpleName()
                : message.lines().findFirst().orElse(message);
    }

    /**
     * Serves the first pages once and ends, so that their classes can be archived for a quick
     * start.
     */
    private static void rehearse(ConfigurableApplicationContext context, int port) {
        try {
            fetch(port, "/");
            List<JobStore.Listed> jobs = context.getBean(JobStore.class).list();
            for (JobStore.Listed job : jobs) {
                fetch(port, "/jobs/" + job.slug());
            }
            if (!jobs.isEmpty()) {
                print(port, jobs.get(0).slug());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        context.close();
    }

    private static void fetch(int port, String page) throws IOException {
        try (InputStream in =
                URI.create("http://" + LOOPBACK + ":" + port + page).toURL().openStream()) {
            in.readAllBytes();
        }
    }

    private static void print(int port, String slug) throws IOException {
        for (String file : List.of("sheet.pdf", "schedules.xlsx", "plan.dxf")) {
            fetch(port, "/jobs/" + slug + "/" + file);
        }
    }

    /** Prints a job once in the background, so that the first print somebody asks for does not wait for fonts and classes. */
    private static void warmUp(ConfigurableApplicationContext context, int port) {
        Thread thread = new Thread(
                () -> {
                    try {
                        List<JobStore.Listed> jobs =
                                context.getBean(JobStore.class).list();
                        if (!jobs.isEmpty()) {
                            print(port, jobs.get(jobs.size() - 1).slug());
                        }
                    } catch (IOException | RuntimeException e) {
                        // nothing rests on it: whoever prints meets the same trouble and is told
                    }
                },
                "warm-up");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        thread.start();
    }

    private static int port(String text) {
        try {
            int port = Integer.parseInt(text);
            if (port >= 1 && port <= 65535) {
                return port;
            }
        } catch (NumberFormatException e) {
            // told below
        }
        throw new IllegalArgumentException("--port " + text + ": give a number from 1 to 65535");
    }

    /** The port asked for, or the first free one from the usual one up. */
    private static int freePort(int asked) {
        int from = asked == 0 ? USUAL_PORT : asked;
        if (isFree(from)) {
            return from;
        }
        for (int port = from + 1; port < Math.min(from + TRIED, 65536); port++) {
            if (isFree(port)) {
                if (asked != 0) {
                    throw new IllegalArgumentException(
                            "port " + asked + " is taken; the next free one: --port " + port);
                }
                System.out.println("Port " + from + " is taken; taking the next free one, " + port);
                return port;
            }
        }
        throw new IllegalArgumentException(
                "no free port from " + from + " to " + (from + TRIED) + "; name one with --port");
    }

    private static boolean isFree(int port) {
        try (ServerSocket socket = new ServerSocket()) {
            socket.setReuseAddress(true);
            socket.bind(new InetSocketAddress(InetAddress.getByName(LOOPBACK), port));
            return true;
        } catch (IOException e) {
            return false;
        }
    }

    /**
     * Starts the server on a data folder that no other server has open and whose database is sound.
     *
     * @param port 0 takes any free one
     * @param demo puts the demo jobs into an empty store
     * @param settings of the application, as {@code name=value}
     */
    public static ConfigurableApplicationContext start(Path data, int port, boolean demo, String... settings) {
        DataFolder folder = new DataFolder(data);
        FileLock lock = folder.lock();
        ConfigurableApplicationContext context = null;
        try {
            folder.emptyScratch();
            folder.check();
            folder.copyBeforeMigration();
            copyOfToday(folder);
            context = new SpringApplicationBuilder(Application.class)
                    .bannerMode(Banner.Mode.OFF)
                    .logStartupInfo(false)
                    .properties("whipsaw.data=" + data.toAbsolutePath(), "server.address=" + LOOPBACK)
                    .properties(settings)
                    .run("--server.port=" + port);
            seed(context, demo);
        } catch (RuntimeException e) {
            if (context != null) {
                context.close();
            }
            DataFolder.release(lock);
            throw e;
        }
        context.addApplicationListener((ApplicationListener<ContextClosedEvent>) closed -> DataFolder.release(lock));
        return context;
    }

    /** No copy of today is no reason not to start. */
    private static void copyOfToday(DataFolder folder) {
        try {
            folder.dailyCopy();
        } catch (DataFolder.Trouble e) {
            System.err.println("No copy of today: " + e.getMessage());
        }
    }

    /** What ships, all of it or nothing. */
    private static void seed(ConfigurableApplicationContext context, boolean demo) {
        CatalogueStore catalogue = context.getBean(CatalogueStore.class);
        JobStore jobs = context.getBean(JobStore.class);
        Solver solver = context.getBean(CodeTableService.class).solver();
        new TransactionTemplate(context.getBean(PlatformTransactionManager.class)).executeWithoutResult(status -> {
            catalogue.load(Seeds.entries());
            if (demo && jobs.isEmpty()) {
                // the newest change is listed first, so the first demo job is made last
                List<Map<String, Object>> demos = new ArrayList<>(Seeds.demoJobs());
                Collections.reverse(demos);
                demos.remove(Seeds.signedDemoJob());
                new DemoStory(context).tell();
                for (Map<String, Object> document : demos) {
                    var job = JobReader.read(document, false).job();
                    jobs.create(job.project().name(), JobWriter.write(solver.resting(job)), "demo");
                }
            }
        });
    }
}
