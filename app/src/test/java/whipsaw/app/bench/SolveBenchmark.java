package whipsaw.app.bench;

import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import whipsaw.app.catalogue.Seeds;
import whipsaw.core.design.Design;
import whipsaw.core.design.Solver;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.table.CodeTables;

/** A full re-solve of the demo hall, and of the same hall stretched. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class SolveBenchmark {

    /** Sides of the roof as a multiple of the demo hall's. */
    @Param({"1", "1.6", "2.4", "3.33", "4.3"})
    public double stretch;

    private Job job;
    private Solver solver;

    @Setup
    public void prepare() {
        solver = new Solver(CodeTables.shipped());
        job = job(stretch);
        System.out.println("modules " + solver.solve(job).layout().modules().size());
    }

    @SuppressWarnings("unchecked")
    static Job job(double stretch) {
        Map<String, Object> document = Seeds.demoJob();
        if (stretch != 1) {
            Map<String, Object> roof = ((List<Map<String, Object>>) document.get("roofs")).get(0);
            List<Map<String, Object>> legs =
                    (List<Map<String, Object>>) ((Map<String, Object>) roof.get("outline")).get("legs");
            double[] sides = {190, 130, 190, 130};
            for (int i = 0; i < 4; i++) {
                legs.get(i).put("length", sides[i] * stretch + " ft");
            }
        }
        return JobReader.read(document, false).job();
    }

    @Benchmark
    public Design solve() {
        return solver.solve(job);
    }
}
