package whipsaw.core.design;

import java.util.function.Supplier;
import whipsaw.core.energy.YearEnergy;

/** Energy of a year that is computed when somebody first asks for it: no check does, a page or a sheet may. */
public final class YearOnce {
    private final Supplier<YearEnergy> year;
    private volatile YearEnergy known;

    YearOnce(Supplier<YearEnergy> year) {
        this.year = year;
    }

    /** The energy; threads that ask at once may compute it twice and get the same. */
    YearEnergy get() {
        YearEnergy own = known;
        if (own == null) {
            own = year.get();
            known = own;
        }
        return own;
    }
}
