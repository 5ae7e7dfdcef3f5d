package whipsaw.core.job;

import java.time.LocalDate;
import java.util.List;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/**
 * The crew's numbers of an array as they were when its sheet was signed: what is there still keeps its number.
 *
 * @param by who signed
 * @param on when
 * @param x middle of all modules, on the sheet of the roof: tells whether any has moved since
 * @param y of the same
 * @param rows in the order of their numbers
 */
public record KeptNumbers(
        @Input(label = "Numbers kept by", longest = 160) String by,
        @Input(label = "Numbers kept on", help = "as 2026-05-31") LocalDate on,
        @Input(
                        label = "Middle of the modules, x",
                        dim = Dimension.ROOF_LENGTH,
                        least = -Corner.FARTHEST_M,
                        most = Corner.FARTHEST_M,
                        quiet = true)
                Measure x,
        @Input(
                        label = "Middle of the modules, y",
                        dim = Dimension.ROOF_LENGTH,
                        least = -Corner.FARTHEST_M,
                        most = Corner.FARTHEST_M,
                        quiet = true)
                Measure y,
        @Input(
                        label = "Rows kept",
                        longest = 200_000,
                        as = KeptRows.class,
                        quiet = true,
                        help = "row of the grid and its columns, as 1: 1-12, 15-33; 2: 1-33")
                List<Row> rows) {
    public KeptNumbers {
        rows = List.copyOf(rows);
    }

    /**
     * One row of modules.
     *
     * @param row of the array's grid
     * @param columns of the grid that had modules, rising
     */
    public record Row(int row, List<Integer> columns) {
        public Row {
            columns = List.copyOf(columns);
        }
    }
}
