package whipsaw.core.holddown;

import java.util.List;
import java.util.Map;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.data.CsvRows;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.job.ArrayChoice;

/**
 * What a block is worth: as the datasheet says or, where some of a delivery were weighed, no more than the mean of all of
 * them is sure to be, and on the roof no less than it may be.
 *
 * @param creditedKg counted as holding
 * @param laidKg counted as load
 * @param values of its formulas; null where none were weighed
 */
public record WeighedBlock(double creditedKg, double laidKg, Values values) {
    private static final List<Map<String, String>> STUDENT = CsvRows.shipped("holddown/student-t.csv");

    private static final Formulas FORMULAS = Formulas.of("")
            .in("m_d", "mass of a block by its datasheet", Measured.MASS)
            .in("m", "mean of those weighed", Measured.MASS)
            .in("s", "spread of those weighed, standard deviation", Measured.MASS)
            .in("n", "blocks weighed", Measured.NUMBER)
            .in("t", "one-sided 95 % point of Student's distribution, n − 1", Measured.NUMBER)
            .let(
                    "m_l",
                    "mean of the delivery, at least",
                    "{m} − {t} · {s} / √{n}",
                    Measured.MASS,
                    "confidence limit, 95 %")
            .let(
                    "m_u",
                    "mean of the delivery, at most",
                    "{m} + {t} · {s} / √{n}",
                    Measured.MASS,
                    "confidence limit, 95 %")
            .let("m_c", "counted as holding", "max(0, min({m_d}, {m_l}))", Measured.MASS, "the lower")
            .let("m_r", "counted as load on the roof", "max({m_d}, {m_u})", Measured.MASS, "the higher")
            .build();

    /** @param weighed null where none were weighed */
    static WeighedBlock of(BlockType block, ArrayChoice.Weighed weighed) {
        double kg = block.mass().si();
        if (weighed == null) {
            return new WeighedBlock(kg, kg, null);
        }
        Values v = FORMULAS.values()
                .put("m_d", kg, From.figure(null))
                .put("m", weighed.mean().si(), From.figure(null))
                .put("s", weighed.spread().si(), From.figure(null))
                .put("n", weighed.count())
                .put("t", student(weighed.count() - 1))
                .compute();
        return new WeighedBlock(v.get("m_c"), v.get("m_r"), v);
    }

    private static double student(int freedom) {
        double t = Double.NaN;
        for (Map<String, String> row : STUDENT) {
            if (CsvRows.number(row, "freedom") <= freedom) {
                t = CsvRows.number(row, "t");
            }
        }
        return t;
    }
}
