package whipsaw.app.job;

import whipsaw.app.store.Revision;

/** An undo would take back what another window made. */
public class NotOwn extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient Revision revision;

    NotOwn(Revision revision) {
        super("made in another window");
        this.revision = revision;
    }

    /** What would be taken back. */
    public Revision revision() {
        return revision;
    }
}
