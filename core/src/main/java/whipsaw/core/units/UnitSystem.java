package whipsaw.core.units;

import java.util.Locale;

/** The system a job is shown in; the other one is always beside it. */
public enum UnitSystem {
    US,
    METRIC;

    /** The other system. */
    public UnitSystem other() {
        return this == US ? METRIC : US;
    }

    /** Name in files: {@code us} or {@code metric}. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }
}
