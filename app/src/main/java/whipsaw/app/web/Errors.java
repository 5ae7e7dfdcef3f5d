package whipsaw.app.web;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.jooq.exception.DataAccessException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.ModelAndView;
import whipsaw.app.job.JobService;
import whipsaw.app.job.NotOwn;
import whipsaw.app.store.JobStore;
import whipsaw.app.store.Json;
import whipsaw.app.store.Revision;
import whipsaw.app.store.StoreException;
import whipsaw.app.store.Stored;
import whipsaw.core.calc.CalcException;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.schema.Problem;

/** Turns refusals into clear answers: JSON for the page's script, a plain page for a browser. */
@ControllerAdvice
public class Errors {
    private static final String DISK_FULL = "The disk is full: nothing was stored, and what was stored before is safe."
            + " Free some space, then try again; what you typed is still here.";
    private static final String CANNOT_WRITE =
            "The data folder cannot be written: no permission, read-only, or the disk"
                    + " failed. Nothing was stored, and what was stored before can still be read. Give the folder back, then try"
                    + " again; what you typed is still here.";

    /** What SQLite says when a file may not be written or the disk does not take it. */
    private static final List<String> NOT_WRITABLE =
            List.of("SQLITE_READONLY", "SQLITE_CANTOPEN", "SQLITE_IOERR", "SQLITE_PERM", "SQLITE_AUTH");

    private static final String STORE_FAILED = "The store could not be read or written just now: nothing was stored."
            + " Try again; if it stays so, look at the log and at the disk.";
    /** Set where the server is the whole process, so that it may end itself. */
    public static final String OWN_PROCESS = "whipsaw.process";

    private static final int OUT_OF_MEMORY = 3;

    private static final Logger LOG = LoggerFactory.getLogger(Errors.class);

    @ExceptionHandler(JobService.Refused.class)
    public Object refused(JobService.Refused e, HttpServletRequest request) {
        List<Map<String, String>> problems = new ArrayList<>();
        for (Problem p : e.problems()) {
            problems.add(Map.of(
                    "path", p.path(),
                    "label", p.label(),
                    "value", p.value(),
                    "message", p.words()));
        }
        return answer(request, HttpStatus.UNPROCESSABLE_CONTENT, "Not taken", problems);
    }

    @ExceptionHandler(JobStore.Conflict.class)
    public Object conflict(JobStore.Conflict e, HttpServletRequest request) {
        List<Map<String, String>> problems = new ArrayList<>();
        e.since()
                .forEach(r -> problems.add(Map.of(
                        "path",
                        "",
                        "label",
                        "Revision " + r.number(),
                        "value",
                        String.valueOf(r.number()),
                        "message",
                        "Revision " + r.number() + " by " + r.who() + ": " + r.words())));
        return answer(request, HttpStatus.CONFLICT, "Changed in another window", problems);
    }

    @ExceptionHandler(NotOwn.class)
    public Object notOwn(NotOwn e, HttpServletRequest request) {
        Revision r = e.revision();
        String at = r.at().substring(0, 16).replace('T', ' ');
        Map<String, String> problem = Map.of(
                "path",
                "",
                "label",
                "own",
                "value",
                String.valueOf(r.number()),
                "message",
                "Undo takes back revision " + r.number() + ", \"" + r.words() + "\", made by " + r.who() + " at " + at
                        + " UTC.");
        return answer(request, HttpStatus.CONFLICT, "Made in another window", List.of(problem));
    }

    @ExceptionHandler({
        Json.NotJson.class,
        CalcException.class,
        DocumentPatch.BadPatch.class,
        JobController.DocumentPatchProblem.class,
        HttpMessageNotReadableException.class,
        MissingServletRequestParameterException.class
    })
    public Object badRequest(Exception e, HttpServletRequest request) {
        String message =
                e instanceof HttpMessageNotReadableException ? "the request is no JSON object" : e.getMessage();
        return answer(request, HttpStatus.BAD_REQUEST, "Not understood", one(message));
    }

    /** A store that cannot be written is said, with what to do; what was typed is still in the page. */
    @ExceptionHandler({
        DataAccessException.class,
        org.springframework.dao.DataAccessException.class,
        TransactionException.class
    })
    public Object store(RuntimeException e, HttpServletRequest request) {
        if (Stored.already()) {
            return storedYet(request, e);
        }
        // SQLite ends the transaction itself when the disk is full, and the rollback that follows then fails too
        Throwable first = e instanceof TransactionSystemException t && t.getApplicationException() != null
                ? t.getApplicationException()
                : e;
        String cause = String.valueOf(first.getMessage());
        boolean full = cause.contains("SQLITE_FULL");
        boolean barred = NOT_WRITABLE.stream().anyMatch(cause::contains);
        LOG.error(
                "The store failed: {}",
                full
                        ? "disk full"
                        : barred ? "cannot be written" : first.getClass().getSimpleName());
        return answer(
                request,
                full || barred ? HttpStatus.INSUFFICIENT_STORAGE : HttpStatus.SERVICE_UNAVAILABLE,
                "Not stored",
                one(full ? DISK_FULL : barred ? CANNOT_WRITE : STORE_FAILED));
    }

    @ExceptionHandler({MaxUploadSizeExceededException.class, MultipartException.class})
    public Object upload(Exception e, HttpServletRequest request) {
        return answer(
                request,
                HttpStatus.CONTENT_TOO_LARGE,
                "Not taken",
                one("the upload is broken or larger than what is taken: choose the file again"));
    }

    @ExceptionHandler(Gate.Busy.class)
    public Object busy(Gate.Busy e, HttpServletRequest request) {
        return answer(request, HttpStatus.SERVICE_UNAVAILABLE, "Busy", one(e.getMessage()));
    }

    private static Object storedYet(HttpServletRequest request, Throwable e) {
        LOG.error("{} after a revision was stored", e.getClass().getSimpleName());
        return answer(
                request,
                HttpStatus.SERVICE_UNAVAILABLE,
                "Stored",
                one("What you did is stored; only the page could not be made just now. Reload it."));
    }

    /** More memory or depth than there is; the server itself ends and starts again where the machine has none left. */
    @ExceptionHandler(VirtualMachineError.class)
    public Object tooMuch(VirtualMachineError e, HttpServletRequest request) {
        if (e instanceof OutOfMemoryError && Boolean.getBoolean(OWN_PROCESS)) {
            // what was under way may hold what it took for ever: the answer goes out, then a fresh process takes over
            CompletableFuture.delayedExecutor(1, TimeUnit.SECONDS)
                    .execute(() -> Runtime.getRuntime().halt(OUT_OF_MEMORY));
        }
        if (Stored.already()) {
            return storedYet(request, e);
        }
        LOG.error("{} at {}", e.getClass().getSimpleName(), request.getMethod());
        return answer(
                request,
                HttpStatus.SERVICE_UNAVAILABLE,
                "Too much",
                one(
                        "this takes more memory than the server has: nothing was stored. Try again; if it stays so, make the"
                                + " job smaller or give the server more memory"));
    }

    @ExceptionHandler(BodyReader.Incomplete.class)
    public Object incomplete(BodyReader.Incomplete e, HttpServletRequest request) {
        return answer(request, HttpStatus.valueOf(e.status), "Not taken", one(e.getMessage()));
    }

    @ExceptionHandler(UploadLimits.TooLarge.class)
    public Object tooLarge(UploadLimits.TooLarge e, HttpServletRequest request) {
        return answer(request, HttpStatus.CONTENT_TOO_LARGE, "Not taken", one(e.getMessage()));
    }

    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    public Object type(MethodArgumentTypeMismatchException e, HttpServletRequest request) {
        return answer(
                request,
                HttpStatus.BAD_REQUEST,
                "Not understood",
                one(e.getName() + ": '" + e.getValue() + "' is not what is asked for here"));
    }

    @ExceptionHandler(StoreException.Taken.class)
    public Object taken(StoreException.Taken e, HttpServletRequest request) {
        return answer(request, HttpStatus.CONFLICT, "Already there", one(e.getMessage()));
    }

    @ExceptionHandler(StoreException.class)
    public Object missing(StoreException e, HttpServletRequest request) {
        return answer(request, HttpStatus.NOT_FOUND, "Not found", one(e.getMessage()));
    }

    private static List<Map<String, String>> one(String message) {
        return List.of(Map.of("path", "", "label", "", "value", "", "message", message));
    }

    private static Object answer(
            HttpServletRequest request, HttpStatus status, String title, List<Map<String, String>> problems) {
        String accept = String.valueOf(request.getHeader("Accept"));
        if (accept.contains("application/json")) {
            Map<String, Object> body = new LinkedHashMap<>();
            body.put("title", title);
            body.put("problems", problems);
            return ResponseEntity.status(status)
                    .contentType(MediaType.APPLICATION_JSON)
                    .body(body);
        }
        ModelAndView page = new ModelAndView("problem", status);
        page.addObject("title", title);
        page.addObject("problems", problems);
        return page;
    }
}
