package whipsaw.app.store;

/** The version of the database this program writes: that of its newest migration. */
final class Schema {
    static final int VERSION = 8;

    private Schema() {}
}
