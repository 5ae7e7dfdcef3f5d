package whipsaw.app.web;

import java.io.IOException;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;
import whipsaw.app.picture.PictureReader;
import whipsaw.app.reading.FileReading;
import whipsaw.app.store.PictureStore;

/** Takes in photographs: read in a process of their own, kept once. */
@Component
class Photographs {
    private static final int LONGEST_CAPTION = 160;
    private static final int LONGEST_NAME = 80;

    private final PictureStore pictures;
    private final FileReading files;

    Photographs(PictureStore pictures, FileReading files) {
        this.pictures = pictures;
        this.files = files;
    }

    /** Keeps a photograph with caption and who took it; its id. */
    String keep(MultipartFile upload, String caption, String who) throws IOException {
        PictureReader.Read read = read(upload, true, 1);
        return pictures.add(
                brief(upload.getOriginalFilename(), 80),
                read.kind(),
                read.width(),
                read.height(),
                whole("$.caption", "Caption", caption, LONGEST_CAPTION),
                whole("$.caption", "Taken by", who, LONGEST_NAME),
                read.bytes());
    }

    /** The same where one need not be there; empty where none was sent. */
    String keepAny(MultipartFile upload, String caption, String who) throws IOException {
        return upload == null || upload.isEmpty() ? "" : keep(upload, caption, who);
    }

    PictureReader.Read read(MultipartFile upload, boolean photo, int page) throws IOException {
        if (upload == null || upload.isEmpty()) {
            throw WorkOutController.refused("$.upload", "Picture", "", "is missing: choose a PNG, JPEG or PDF file");
        }
        try {
            return files.picture(upload.getBytes(), photo, page);
        } catch (FileReading.Unreadable e) {
            throw WorkOutController.refused(
                    "$.upload", "Picture", String.valueOf(upload.getOriginalFilename()), e.getMessage());
        }
    }

    static String brief(String text, int most) {
        return text == null
                ? ""
                : text.strip().substring(0, Math.min(most, text.strip().length()));
    }

    /** What somebody wrote is kept whole or refused. */
    static String whole(String path, String label, String text, int most) {
        if (text.strip().length() > most) {
            throw WorkOutController.refused(
                    path, label, brief(text, 40) + "...", "is longer than " + most + " characters: shorten it");
        }
        return text.strip();
    }
}
